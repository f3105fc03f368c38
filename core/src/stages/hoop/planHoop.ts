import { boxOf, cornersOf } from '../../base/geometry/box';
import { negate, rotate, subtract } from '../../base/geometry/point';
import type { Polygon } from '../../base/geometry/polygon';
import { count, percent, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { HOOP_NUMBERS } from '../../catalogue/numbers/hoop';
import { type Finding, finding } from '../../model/finding';
import type { HouseRules } from '../../model/houseRules';
import { because, type Reason } from '../../model/reason';
import type { Hoop } from '../../model/shelf';
import { type HoopInput, type Method, otherHoop, type QuarterTurn } from '../../model/ticket/hoop';
import type { PieceOutline } from '../piece/geometry';
import { bastingMmIn } from './basting';
import { chooseMethod } from './chooseMethod';
import { fitFindings, methodFindings, nothingFits, splitFindings } from './hoopFindings';
import { type CopiesReached, groupingField, hoopingsFor, type LaidHooping, layHoopings } from './hoopings';
import { byChoice, type HoopVerdict, judgeHoop, type TurnVerdict } from './judgeHoop';
import { designAtFor, hoopingsOfSplit, type LaidHoop, layHoop, layPart, splitFor, splitsOf } from './layHoop';
import { machineFor } from './machineFor';
import type { TurnRank } from './rankTurns';
import { rankTurns } from './rankTurns';
import { floatRescue } from './rescues/method';
import type { HoopSetting } from './setting';

export interface HoopPlan {
  verdicts: HoopVerdict[];
  proposedId: string | null;
  method: Method;
  laid: LaidHoop | null;
  /** The turns in which the chosen hoop works, the best for mounting first. */
  ranks: TurnRank[];
  /** Stabilizer to cut for the ring, and for a patch laid under the field alone, mm. */
  cut: { widthMm: number; heightMm: number; patch: { widthMm: number; heightMm: number } } | null;
  /** How far outside the design a basting box lies in the field of every hooping, mm; null where none does. */
  bastingMm: number | null;
  /** Which copies of the design one hooping reaches; empty where there is one copy. */
  hoopings: LaidHooping[];
  findings: Finding[];
  reasons: Reason[];
}

function turnsThatWork(verdict: HoopVerdict, method: Method): TurnVerdict[] {
  const all = verdict.turns.filter((t) => t.miss === null);
  const flat = all.filter((t) => t.tooWideMm === null);
  const fitting = flat.length > 0 ? flat : all;
  const lying = fitting.filter((t) => t.designAt !== null);
  return method === 'hooped' && lying.length > 0 ? lying : fitting;
}

function proposalReason(verdicts: readonly HoopVerdict[], proposed: HoopVerdict, method: Method): Reason {
  return {
    about: 'hoop',
    text: phrase`The smallest field that fits, ${method}: less cloth moves and less stabilizer is wasted.`,
    arithmetic: verdicts
      .filter((v) => v.fits && v.whyNotUsed === null)
      .map((v) => phrase`${v.hoop.name}: ${v.line}${v === proposed ? ' — proposed' : ''}`),
  };
}

/** How much of the ring the piece fills, and what that says of hooping it. */
function fillReason(laid: LaidHoop): Reason {
  const full = laid.fillPercent > 99.5;
  return because(
    'fill',
    full
      ? phrase`The piece fills the whole ring.`
      : phrase`The piece fills ${percent(laid.fillPercent)} of the ring: it cannot be gripped all round.`,
  );
}

/** How often the piece is hooped, each time on new sheets: for all copies, or for the parts of a split. */
export const hoopingCount = ({ hoopings, laid }: Pick<HoopPlan, 'hoopings' | 'laid'>): number =>
  laid?.split ? hoopingsOfSplit(laid.split.split) * laid.split.copies : Math.max(1, hoopings.length);

function cutFor({ verdict: { hoop } }: LaidHoop, rules: HouseRules): HoopPlan['cut'] {
  const allowance = numberFor(rules, HOOP_NUMBERS.stabilizerAllowanceMm);
  const all = (width: number, height: number) => ({
    widthMm: width + 2 * allowance,
    heightMm: height + 2 * allowance,
  });
  return {
    ...all(hoop.ringWidthMm, hoop.ringHeightMm),
    patch: all(hoop.fieldWidthMm, hoop.fieldHeightMm),
  };
}

/** The face that rings must lie on: of a closed hem without its ends, which meet. */
function faceFor({ outline, closedHem }: HoopSetting): PieceOutline {
  if (!closedHem) return outline;
  const { left, right, top, bottom } = boxOf(outline.hoopable);
  const round = right - left;
  return { ...outline, hoopable: cornersOf({ left: left - round, right: right + round, top, bottom }) };
}

const groupsFor = (hoop: Hoop, turnDeg: number, copies: readonly Polygon[]): CopiesReached[] =>
  hoopingsFor(copies, { ...groupingField(hoop), turnDeg });

/** The hoopings that a hoop needs for all copies, turned so on the piece, each with its ring where it lies. */
function hoopingsOf(hoop: Hoop, turnDeg: number, setting: HoopSetting): LaidHooping[] {
  const { copies, rules } = setting;
  if (copies.length === 0) return [];
  const hoopings = groupsFor(hoop, turnDeg, copies);
  const clearanceMm = numberFor(rules, HOOP_NUMBERS.ringClearanceMm);
  return layHoopings(hoopings, copies, { hoop, turnDeg }, { outline: faceFor(setting), clearanceMm });
}

/** Hoopings at which the ring cannot be closed on the cloth, of a hoop that can be closed for the first copy. */
function openHoopings(hoopings: readonly LaidHooping[], method: Method, laid: LaidHoop | null): Finding[] {
  const open = hoopings.flatMap(({ lies }, i) => (lies ? [] : [i + 1]));
  if (method !== 'hooped' || !laid || laid.verdict.whyNotHooped.length > 0 || open.length === 0) return [];
  const which = open.length === hoopings.length ? 'any hooping' : `hooping ${open.join(', ')}`;
  const text = phrase`${laid.verdict.hoop.name} does not lie clear of seams and bands for ${which} of ${count(hoopings.length)}.`;
  return [finding('hoop', 'hoop-hooping-cannot-close', 'stop', text, { mends: [floatRescue()] })];
}

/** Another hoop of the shelf that takes more copies at once, where there is one. */
function fewerHoopings(
  usable: readonly HoopVerdict[],
  laid: LaidHoop | null,
  hoopings: readonly LaidHooping[],
  { method, setting }: { method: Method; setting: HoopSetting },
): Finding[] {
  if (!laid || hoopings.length < 2) return [];
  const others = usable
    .filter((v) => v !== laid.verdict && (method === 'floated' || v.whyNotHooped.length === 0))
    .flatMap((v) =>
      turnsThatWork(v, method).map((turn) => {
        const turnDeg = setting.designTurnDeg + turn.turnDeg;
        const count = groupsFor(v.hoop, turnDeg, setting.copies).length;
        return { hoop: v.hoop, turnDeg, ofHoop: turn.turnDeg, count };
      }),
    )
    .filter((other) => other.count < hoopings.length)
    .sort((a, b) => a.count - b.count);
  const closes = (other: { hoop: Hoop; turnDeg: number }) =>
    method === 'floated' || hoopingsOf(other.hoop, other.turnDeg, setting).every(({ lies }) => lies);
  const best = others.find(closes);
  if (!best) return [];
  const mend = {
    label: phrase`Take the ${best.hoop.name}`,
    result: phrase`${count(best.count)} hoopings instead of ${count(hoopings.length)}`,
    change: { stage: 'hoop' as const, set: { ...otherHoop(best.hoop.id), turnDeg: best.ofHoop } },
  };
  const text = phrase`${count(setting.copies.length)} copies take ${count(hoopings.length)} hoopings in this hoop.`;
  return [finding('hoop', 'hoop-fewer-hoopings', 'note', text, { mends: [mend] })];
}

/** The chosen hoop on the piece, in the turn asked for or the best for mounting, whole or for the part in hand. */
function layChosen(
  chosen: HoopVerdict,
  method: Method,
  { input, setting }: { input: HoopInput; setting: HoopSetting },
): Pick<HoopPlan, 'laid' | 'ranks'> {
  const { outline, designCentre, designTurnDeg, facts, mount, shelf } = setting;
  const machine = machineFor(mount, chosen.hoop, shelf);
  const pose = { outline: outline.outline, centre: designCentre, designTurnDeg };
  const ranked = (turns: QuarterTurn[]) => rankTurns(turns, pose, machine);
  const best = (ranks: TurnRank[]) => input.turnDeg ?? ranks[0]?.turnDeg ?? (0 as const);
  if (input.split) {
    const splits = splitsOf(chosen, setting);
    const ranks = ranked(splits.map((s) => s.turnDeg));
    const turnDeg = best(ranks);
    const split = splits.find((s) => s.turnDeg === turnDeg)?.split ?? splitFor(chosen.hoop, turnDeg, setting);
    if (split) return { laid: layPart(chosen, turnDeg, { split, index: input.part }, setting), ranks };
  }
  const ranks = ranked(turnsThatWork(chosen, method).map((t) => t.turnDeg));
  const turnDeg = best(ranks);
  const designAt = designAtFor(chosen, turnDeg, method, input.shift);
  return { laid: layHoop(chosen, { turnDeg, designAt, hull: facts.hull }, setting), ranks };
}

/**
 * The hoop where the hooping of the first copy has it: for all copies that it reaches. Where the maker moved it, it stays
 * for the first, and the others of that hooping are reached from there.
 */
function layForAll(
  laid: LaidHoop,
  hoopings: readonly LaidHooping[],
  { input, setting }: { input: HoopInput; setting: HoopSetting },
): LaidHoop {
  const own = hoopings.find(({ copies }) => copies.includes(0));
  if (!own || input.shift) return laid;
  const designAt = rotate(subtract(setting.designCentre, own.centre), -laid.onPieceDeg);
  return layHoop(laid.verdict, { turnDeg: laid.turnDeg, designAt, hull: setting.facts.hull }, setting);
}

/** The hooping of the first copy where the maker moved the hoop to. */
const movedWith = ({ centre }: LaidHoop, hoopings: readonly LaidHooping[]): LaidHooping[] =>
  hoopings.map((one) => (one.copies.includes(0) ? { ...one, centre } : one));

/** Judges every hoop, chooses method and hoop, and lays it on the piece. */
export function planHoop(input: HoopInput, given: HoopSetting): HoopPlan {
  const setting: HoopSetting = input.shift ? { ...given, chosenAt: negate(input.shift) } : given;
  const verdicts = setting.shelf.hoops.map((hoop) => judgeHoop(hoop, setting)).sort(byChoice);
  const usable = verdicts.filter((v) => v.fits && v.whyNotUsed === null);
  const choice = chooseMethod(usable, setting);
  const method = input.method ?? choice.method;
  const proposed =
    (method === 'hooped' ? usable.find((v) => v.whyNotHooped.length === 0) : usable[0]) ?? usable[0] ?? null;
  const chosen = verdicts.find((v) => v.hoop.id === input.hoopId) ?? proposed;
  const { laid: first, ranks } = chosen
    ? layChosen(chosen, method, { input, setting })
    : { laid: null, ranks: [] };
  const state = { verdicts, method, input, setting };
  const hoopings = first && !first.split ? hoopingsOf(first.verdict.hoop, first.onPieceDeg, setting) : [];
  const laid = first && layForAll(first, hoopings, { input, setting });
  return {
    verdicts,
    proposedId: proposed?.hoop.id ?? null,
    method,
    laid,
    ranks,
    cut: laid ? cutFor(laid, setting.rules) : null,
    bastingMm: laid && bastingMmIn(laid, hoopings, setting),
    hoopings: laid && input.shift ? movedWith(laid, hoopings) : hoopings,
    findings: [
      ...(laid ? [...fitFindings({ ...state, laid }), ...splitFindings(laid)] : [nothingFits(state)]),
      ...methodFindings(method, laid, setting),
      ...openHoopings(hoopings, method, laid),
      ...fewerHoopings(usable, laid, hoopings, { method, setting }),
    ],
    reasons: [
      choice.reason,
      ...(proposed ? [proposalReason(verdicts, proposed, method)] : []),
      ...(laid ? [fillReason(laid)] : []),
    ],
  };
}
