import { densityRank } from '../design/planDesign';
import { type Finding, finding } from '../findings/finding';
import type { Reason } from '../findings/reason';
import { type Point, plus, turn } from '../geometry/point';
import { type Polygon, placed } from '../geometry/polygon';
import { numberFor } from '../rules/numbers';
import type { HouseRules } from '../rules/schema';
import type { Hoop, Shelf } from '../shelf/schema';
import { count, mm, type Phrase, percent, phrase } from '../units/phrase';
import { chooseMethod, isKnit } from './chooseMethod';
import { allowedRegion, type Pose, roomTowards, whyDesignDoesNotFit } from './fit';
import { type Hooping, hoopingsFor } from './hoopings';
import {
  byChoice,
  fieldOf,
  type HoopQuestion,
  type HoopVerdict,
  judgeHoop,
  type TurnVerdict,
} from './judgeHoop';
import { floatRescue, hoopRescue, rescuesFor } from './rescues';
import { fieldOnPiece, hoopCentre, ringOnPiece } from './ring';
import type { HoopInput, Method, QuarterTurn } from './schema';
import { tensionFor } from './tension';

/** The chosen hoop where it lies on the piece. Corners in the piece frame, mm. */
export interface LaidHoop {
  verdict: HoopVerdict;
  turnDeg: QuarterTurn;
  /** The hoop's whole turn on the piece, the design's included. */
  onPieceDeg: number;
  /** The design's centre in the hoop frame. */
  designAt: Point;
  centre: Point;
  ring: Point[];
  field: Point[];
  /** Where the design's centre may lie in this field, piece frame; empty where it fits nowhere. */
  allowed: Point[];
  /** How far the design may still be moved on the piece without moving the hoop, mm. */
  room: { up: number; down: number; left: number; right: number };
}

export interface HoopPlan {
  verdicts: HoopVerdict[];
  proposedId: string | null;
  method: Method;
  laid: LaidHoop | null;
  /** Turns in which the chosen hoop works, for mounting to rank. */
  turns: QuarterTurn[];
  /** Basting box outside the design when floating, mm; null when hooped. */
  bastingMm: number | null;
  /** Stabilizer to cut, mm. */
  cut: { widthMm: number; heightMm: number } | null;
  tension: Phrase;
  /** Which copies of the design one hooping reaches; empty where there is one copy. */
  hoopings: Hooping[];
  findings: Finding[];
  reasons: Reason[];
}

function turnsThatWork(verdict: HoopVerdict, method: Method): TurnVerdict[] {
  const fitting = verdict.turns.filter((t) => t.miss === null);
  const lying = fitting.filter((t) => t.designAt !== null);
  return method === 'hooped' && lying.length > 0 ? lying : fitting;
}

/** The ways to move on the piece, as they lie in the hoop. */
function roomIn(hoop: Hoop, pose: Pose, onPieceDeg: number, q: HoopQuestion): LaidHoop['room'] {
  const towards = (x: number, y: number) =>
    roomTowards(q.facts.hull, fieldOf(hoop), pose, turn({ x, y }, -onPieceDeg));
  return { up: towards(0, -1), down: towards(0, 1), left: towards(-1, 0), right: towards(1, 0) };
}

/** Lays the chosen hoop on the piece in one turn. */
export function layHoop(
  verdict: HoopVerdict,
  turnDeg: QuarterTurn,
  method: Method,
  q: HoopQuestion,
  shift: Point | null,
): LaidHoop {
  const found = verdict.turns.find((t) => t.turnDeg === turnDeg)?.designAt;
  const designAt = shift
    ? { x: -shift.x, y: -shift.y }
    : ((method === 'hooped' ? found : null) ?? { x: 0, y: 0 });
  const onPieceDeg = q.designTurnDeg + turnDeg;
  const pose = { centre: hoopCentre(q.designCentre, onPieceDeg, designAt), turnDeg: onPieceDeg };
  return {
    verdict,
    turnDeg,
    onPieceDeg,
    designAt,
    centre: pose.centre,
    ring: ringOnPiece(verdict.hoop, pose),
    field: fieldOnPiece(verdict.hoop, pose),
    allowed: placed(allowedRegion(q.facts.hull, fieldOf(verdict.hoop), -turnDeg), onPieceDeg, pose.centre),
    room: roomIn(verdict.hoop, { turnDeg: -turnDeg, ...designAt }, onPieceDeg, q),
  };
}

/** The design's point that reaches farthest past the field, in the piece frame. */
function farthestOut(laid: LaidHoop, q: HoopQuestion): Point {
  const { fieldWidthMm, fieldHeightMm } = laid.verdict.hoop;
  let worst = { past: -Infinity, at: q.designCentre };
  for (const point of q.facts.hull) {
    const inHoop = plus(turn(point, -laid.turnDeg), laid.designAt);
    const past = Math.max(Math.abs(inHoop.x) - fieldWidthMm / 2, Math.abs(inHoop.y) - fieldHeightMm / 2);
    if (past > worst.past) worst = { past, at: plus(q.designCentre, turn(point, q.designTurnDeg)) };
  }
  return worst.at;
}

function fitFindings(
  laid: LaidHoop,
  plan: Pick<HoopPlan, 'verdicts' | 'method'>,
  input: HoopInput,
  q: HoopQuestion,
  scalePercent: number,
): Finding[] {
  const found: Finding[] = [];
  const { verdict } = laid;
  const mends = rescuesFor(verdict, plan.verdicts, input, { scalePercent, rules: q.rules });
  const miss = whyDesignDoesNotFit(q.facts.hull, fieldOf(verdict.hoop), {
    turnDeg: -laid.turnDeg,
    ...laid.designAt,
  });
  if (miss) {
    const [wide, high] = [miss.widthMm > 0, miss.heightMm > 0];
    const by =
      wide && high
        ? phrase`${mm(miss.widthMm)} in width and ${mm(miss.heightMm)} in height`
        : wide
          ? phrase`${mm(miss.widthMm)} in width`
          : phrase`${mm(miss.heightMm)} in height`;
    found.push(
      finding(
        'hoop',
        'hoop-misses',
        'stop',
        phrase`The design reaches past the field of ${verdict.hoop.name} by ${by}, on one side.`,
        { at: farthestOut(laid, q), mends },
      ),
    );
  }
  if (verdict.whyNotUsed)
    found.push(
      finding('hoop', 'hoop-opening', 'stop', phrase`${verdict.hoop.name} ${verdict.whyNotUsed}.`, { mends }),
    );
  if (plan.method === 'hooped' && verdict.whyNotHooped.length > 0) {
    const why = verdict.whyNotHooped[0] ?? [];
    found.push(
      finding(
        'hoop',
        'hoop-cannot-close',
        'stop',
        phrase`${verdict.hoop.name} cannot be closed here: ${why}.`,
        {
          mends: [floatRescue(), ...mends],
        },
      ),
    );
  }
  return found;
}

function methodFindings(plan: Pick<HoopPlan, 'method' | 'laid'>, q: HoopQuestion): Finding[] {
  if (plan.method !== 'floated' || !isKnit(q.fabric) || densityRank(q.facts.densityClass) < 3) return [];
  const canHoop = plan.laid?.verdict.whyNotHooped.length === 0;
  return [
    finding(
      'hoop',
      'hoop-float-puckers',
      'warn',
      phrase`A ${q.facts.densityClass} design floated on a knit with ${percent(q.fabric.stretchPercent)} stretch puckers. Baste it at the very least.`,
      { mends: canHoop ? [hoopRescue()] : [] },
    ),
  ];
}

function nothingFits(
  verdicts: readonly HoopVerdict[],
  input: HoopInput,
  scalePercent: number,
  rules: HouseRules,
): Finding {
  const nearest = verdicts[0];
  if (!nearest) return finding('hoop', 'hoop-none', 'stop', phrase`There is no hoop on the shelf yet.`);
  return finding(
    'hoop',
    'hoop-none-fits',
    'stop',
    phrase`No hoop on the shelf takes this design. Nearest: ${nearest.hoop.name}. ${nearest.line}`,
    { mends: rescuesFor(nearest, verdicts, input, { scalePercent, rules }) },
  );
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

function cutFor(laid: LaidHoop, rules: HouseRules): HoopPlan['cut'] {
  const allowance = numberFor(rules, 'stabilizerAllowanceMm');
  const { hoop } = laid.verdict;
  return { widthMm: hoop.ringWidthMm + 2 * allowance, heightMm: hoop.ringHeightMm + 2 * allowance };
}

/** What the choice of a hoop depends on beyond the design and the piece. */
export interface HoopContext {
  shelf: Shelf;
  scalePercent: number;
  /** The turns that work, the best for mounting first. */
  preferTurns: (hoop: Hoop, turns: readonly QuarterTurn[]) => QuarterTurn[];
  /** Footprints of all copies of the design, piece frame, mm; empty where there is one. */
  copies: readonly Polygon[];
}

/** The hoopings that a hoop needs for all copies, turned so on the piece. */
function hoopingsOf(hoop: Hoop, onPieceDeg: number, copies: readonly Polygon[]): Hooping[] {
  if (copies.length === 0) return [];
  const { fieldWidthMm: widthMm, fieldHeightMm: heightMm } = hoop;
  return hoopingsFor(copies, { widthMm, heightMm, turnDeg: onPieceDeg });
}

/** Another hoop of the shelf that takes more copies at once, where there is one. */
function fewerHoopings(
  usable: readonly HoopVerdict[],
  laid: LaidHoop | null,
  hoopings: readonly Hooping[],
  { copies, method, q }: { copies: readonly Polygon[]; method: Method; q: HoopQuestion },
): Finding[] {
  if (!laid || hoopings.length < 2) return [];
  const others = usable
    .filter((v) => v !== laid.verdict && (method === 'floated' || v.whyNotHooped.length === 0))
    .flatMap((v) => {
      const turnDeg = turnsThatWork(v, method)[0]?.turnDeg;
      if (turnDeg === undefined) return [];
      return [{ hoop: v.hoop, count: hoopingsOf(v.hoop, q.designTurnDeg + turnDeg, copies).length }];
    })
    .sort((a, b) => a.count - b.count);
  const [best] = others;
  if (!best || best.count >= hoopings.length) return [];
  const mend = {
    label: phrase`Take the ${best.hoop.name}`,
    result: phrase`${count(best.count)} hoopings instead of ${count(hoopings.length)}`,
    change: { stage: 'hoop' as const, set: { hoopId: best.hoop.id, turnDeg: null, shift: null } },
  };
  const text = phrase`${count(copies.length)} copies take ${count(hoopings.length)} hoopings in this hoop.`;
  return [finding('hoop', 'hoop-fewer-hoopings', 'note', text, { mends: [mend] })];
}

/** Judges every hoop, chooses method and hoop, and lays it on the piece. */
export function planHoop(input: HoopInput, q: HoopQuestion, context: HoopContext): HoopPlan {
  const { shelf, scalePercent } = context;
  const verdicts = shelf.hoops.map((hoop) => judgeHoop(hoop, q)).sort(byChoice);
  const usable = verdicts.filter((v) => v.fits && v.whyNotUsed === null);
  const choice = chooseMethod(usable, q.facts, q.fabric, q.rules);
  const method = input.method ?? choice.method;
  const proposed =
    (method === 'hooped' ? usable.find((v) => v.whyNotHooped.length === 0) : usable[0]) ?? usable[0] ?? null;
  const chosen = verdicts.find((v) => v.hoop.id === input.hoopId) ?? proposed;
  const working = chosen ? turnsThatWork(chosen, method).map((t) => t.turnDeg) : [];
  const turnDeg = input.turnDeg ?? (chosen ? context.preferTurns(chosen.hoop, working)[0] : undefined) ?? 0;
  const laid = chosen ? layHoop(chosen, turnDeg, method, q, input.shift) : null;
  const tension = tensionFor(q.fabric, method, q.rules);
  const findings = laid
    ? fitFindings(laid, { verdicts, method }, input, q, scalePercent)
    : [nothingFits(verdicts, input, scalePercent, q.rules)];
  const hoopings = laid ? hoopingsOf(laid.verdict.hoop, laid.onPieceDeg, context.copies) : [];
  return {
    verdicts,
    proposedId: proposed?.hoop.id ?? null,
    method,
    laid,
    turns: working,
    bastingMm: method === 'floated' ? numberFor(q.rules, 'bastingOutsideMm') : null,
    cut: laid ? cutFor(laid, q.rules) : null,
    tension: tension.text,
    hoopings,
    findings: [
      ...findings,
      ...methodFindings({ method, laid }, q),
      ...fewerHoopings(usable, laid, hoopings, { copies: context.copies, method, q }),
    ],
    reasons: [choice.reason, tension, ...(proposed ? [proposalReason(verdicts, proposed, method)] : [])],
  };
}
