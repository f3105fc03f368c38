import { type Box, boxOf, clampTo, heightOf, widthOf } from '../../base/geometry/box';
import { negate, ORIGIN, type Point } from '../../base/geometry/point';
import { mm, type Phrase, percent, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { HOOP_NUMBERS } from '../../catalogue/numbers/hoop';
import type { Hoop } from '../../model/shelf';
import type { QuarterTurn } from '../../model/ticket/hoop';
import { closesOnMm } from './closesOn';
import { allowedCentres, type Field, largestScale, leastMiss, type Miss, spareMm } from './fit';
import { hoopKindOf } from './kinds';
import { hoopCentre, isTooLarge, ringLies, ringOnPiece, searchDesignAt } from './ring';
import type { HoopSetting } from './setting';
import { whyHoopCannotBe } from './whyHoopCannotBe';

/** One way of turning one hoop on the piece. */
export interface TurnVerdict {
  turnDeg: QuarterTurn;
  miss: Miss | null;
  /** How wide the ring lies in a piece that it is put into, with the cloth either side of it, mm; null where it lies flat in it. */
  tooWideMm: number | null;
  spareMm: number;
  /** The design's centre in the hoop frame where it fits, as near the middle as can be; null where it does not fit. */
  fitsAt: Point | null;
  /** Design's centre in the hoop frame that lets the ring lie; null when it must float. */
  designAt: Point | null;
}

/** Everything there is to say about one hoop for this design on this piece. */
export interface HoopVerdict {
  hoop: Hoop;
  fits: boolean;
  /** Reasons it cannot be closed on the cloth; empty when it can be hooped. */
  whyNotHooped: Phrase[];
  /** Reason it cannot be used at all, floated or not. */
  whyNotUsed: Phrase | null;
  turns: TurnVerdict[];
  largestScale: number;
  line: Phrase;
}

export const fieldOf = (hoop: Hoop): Field => ({
  widthMm: hoop.fieldWidthMm,
  heightMm: hoop.fieldHeightMm,
  round: hoop.round,
});

/** A field and a ring turned by 180° lie as they did, so the half turns follow from 0° and 90°. */
function judgeTurns(hoop: Hoop, setting: HoopSetting): TurnVerdict[] {
  const [upright, quarter] = [judgeTurn(hoop, 0, setting), judgeTurn(hoop, hoop.mayTurn ? 90 : 0, setting)];
  const about = (turn: TurnVerdict, turnDeg: QuarterTurn): TurnVerdict => ({
    ...turn,
    turnDeg,
    fitsAt: turn.fitsAt && negate(turn.fitsAt),
    designAt: turn.designAt && negate(turn.designAt),
  });
  const half = about(upright, 180);
  return hoop.mayTurn ? [upright, quarter, half, about(quarter, 270)] : [upright, half];
}

function judgeTurn(hoop: Hoop, turnDeg: QuarterTurn, setting: HoopSetting): TurnVerdict {
  const field = fieldOf(hoop);
  const allowed = allowedCentres(setting.facts.hull, field, -turnDeg);
  const miss = allowed ? null : leastMiss(setting.facts.hull, field, -turnDeg);
  const clearance = numberFor(setting.rules, HOOP_NUMBERS.ringClearanceMm);
  const hoopTurn = setting.designTurnDeg + turnDeg;
  const face = boxOf(setting.outline.hoopable);
  const ringAt = (designAt: Point) =>
    ringOnPiece(hoop, { centre: hoopCentre(setting.designCentre, hoopTurn, designAt), turnDeg: hoopTurn });
  const lies = (designAt: Point) => ringLies(ringAt(designAt), setting.outline, clearance, face);
  const mayLie = allowed !== null && !isTooLarge(boxOf(ringAt({ x: 0, y: 0 })), face, clearance);
  const designAt = mayLie ? searchDesignAt(hoop, allowed, lies, setting.chosenAt) : null;
  const fitsAt = allowed && clampTo(allowed, ORIGIN);
  const tooWideMm = tooWide(boxOf(ringAt({ x: 0, y: 0 })), setting);
  return {
    turnDeg,
    miss,
    tooWideMm,
    spareMm: spareMm(setting.facts.hull, field, -turnDeg),
    fitsAt,
    designAt,
  };
}

/** How wide a ring lies across a piece that it is put into, with the cloth either side; null where that lies flat round it. */
function tooWide(ring: Box, { outline, opened, fabric }: HoopSetting): number | null {
  if (!outline.opening || opened.length > 0) return null;
  const across = widthOf(ring) + 2 * fabric.thicknessMm;
  return across > widthOf(boxOf(outline.outline)) ? across : null;
}

/** Why this hoop cannot close on this cloth, wherever it is laid. */
export function whyNotClosed(hoop: Hoop, setting: HoopSetting): Phrase[] {
  const why: Phrase[] = [];
  const kind = hoopKindOf(hoop);
  const closesMm = closesOnMm(hoop, setting.rules);
  if (kind.floatedOnly) why.push(kind.floatedOnly);
  if (setting.fabric.thicknessMm > closesMm)
    why.push(phrase`the cloth is ${mm(setting.fabric.thicknessMm)} thick, it closes on ${mm(closesMm)}`);
  if (setting.fabric.ringMarks && !kind.spares.includes(setting.fabric.structure))
    why.push(phrase`its ring would mark this cloth`);
  return why;
}

/** Why this hoop cannot close on the cloth where the design goes. */
function whyNotHooped(hoop: Hoop, turns: readonly TurnVerdict[], setting: HoopSetting): Phrase[] {
  const why = whyNotClosed(hoop, setting);
  const fitting = turns.filter((t) => t.miss === null);
  if (fitting.length > 0 && fitting.every((t) => t.designAt === null)) {
    why.push(
      phrase`its ring of ${mm(hoop.ringWidthMm)} × ${mm(hoop.ringHeightMm)} does not lie ${mm(numberFor(setting.rules, HOOP_NUMBERS.ringClearanceMm))} clear of seams and bands`,
    );
  }
  return why;
}

/**
 * Why a ring does not go into the piece, null when it does: first it must not be larger than the piece itself, opened
 * or not, then its way in must let it through with a hand.
 */
export function whyNotIn(
  hoop: Hoop,
  { outline, opened, rules }: Pick<HoopSetting, 'outline' | 'opened' | 'rules'>,
): Phrase | null {
  const wrong = whyHoopCannotBe(hoop);
  if (wrong)
    return phrase`cannot be right: ${wrong.charAt(0).toLowerCase()}${wrong.slice(1).replace(/\.$/, '')}`;
  if (!outline.opening) return null;
  const short = Math.min(hoop.ringWidthMm, hoop.ringHeightMm);
  const face = boxOf(outline.outline);
  const room = Math.min(widthOf(face), heightOf(face));
  if (short > room)
    return phrase`does not go into this piece, opened or not: its ring is ${mm(short)}, the piece ${mm(room)}`;
  if (opened.length > 0) return null;
  const needed = short + numberFor(rules, HOOP_NUMBERS.openingAllowanceMm);
  if (outline.opening.widthMm >= needed) return null;
  return phrase`needs an opening of ${mm(needed)}; the ${outline.opening.name} is ${mm(outline.opening.widthMm)}: open a seam`;
}

/** Why no turn in which the design fits lets the ring lie flat in the piece; null where one does, or none fits. */
function whyTooWide(turns: readonly TurnVerdict[], { outline }: HoopSetting): Phrase | null {
  const fitting = turns.filter(({ miss }) => miss === null);
  const across = Math.min(...fitting.map(({ tooWideMm }) => tooWideMm ?? 0));
  if (fitting.length === 0 || across === 0) return null;
  return phrase`would not lie flat in this piece: it is ${mm(across)} across, the piece ${mm(widthOf(boxOf(outline.outline)))}: open a seam`;
}

/** How much too large a design is in all, in words: "6 mm too wide and 3 mm too high"; a round field has one figure. */
export function missInWords({ widthMm, heightMm }: Miss, round: boolean): Phrase {
  if (round) return phrase`${mm(2 * widthMm)} too large across`;
  const parts = [
    ...(widthMm > 0 ? [phrase`${mm(2 * widthMm)} too wide`] : []),
    ...(heightMm > 0 ? [phrase`${mm(2 * heightMm)} too high`] : []),
  ];
  return parts.flatMap((part, i) => (i === 0 ? part : [' and ', ...part]));
}

function lineOf(verdict: Omit<HoopVerdict, 'line'>): Phrase {
  const { turns, largestScale: scale } = verdict;
  const upright = turns[0];
  const fitting = turns.filter((t) => t.miss === null);
  if (fitting.length > 0) {
    const best = Math.max(...fitting.map((t) => t.spareMm));
    const turned = upright?.miss ? phrase`Turn 90°: fits` : phrase`Fits`;
    if (verdict.whyNotUsed) return phrase`${turned}, but ${verdict.whyNotUsed}.`;
    const float = verdict.whyNotHooped[0];
    return float
      ? phrase`${turned} with ${mm(best)} to spare each side; floated only: ${float}.`
      : phrase`${turned} with ${mm(best)} to spare each side.`;
  }
  const by = missInWords(upright?.miss ?? { widthMm: 0, heightMm: 0 }, verdict.hoop.round);
  return phrase`Misses: ${by}; would need ${percent(Math.floor(scale * 100))}.`;
}

/** Judges one hoop in four turns: the field, the ring on the cloth, the opening, the thickness. */
export function judgeHoop(hoop: Hoop, setting: HoopSetting): HoopVerdict {
  const turns = judgeTurns(hoop, setting);
  const verdict = {
    hoop,
    fits: turns.some((t) => t.miss === null),
    whyNotHooped: whyNotHooped(hoop, turns, setting),
    whyNotUsed: whyNotIn(hoop, setting) ?? whyTooWide(turns, setting),
    turns,
    largestScale: Math.max(...turns.map((t) => largestScale(setting.facts.hull, fieldOf(hoop), -t.turnDeg))),
  };
  return { ...verdict, line: lineOf(verdict) };
}

const areaOf = (hoop: Hoop) => hoop.fieldWidthMm * hoop.fieldHeightMm * (hoop.round ? Math.PI / 4 : 1);

/** How far a hoop is from what a person would try: whether its ring goes in, then how near in size its field is. */
const farness = ({ whyNotUsed, largestScale: scale }: HoopVerdict): number =>
  (whyNotUsed ? 10 : 0) + Math.abs(Math.log(scale));

/** Usable hoops by field, the smallest first; then the others, those a person would try first. */
export function byChoice(a: HoopVerdict, b: HoopVerdict): number {
  const usable = (v: HoopVerdict) => v.fits && v.whyNotUsed === null;
  if (usable(a) !== usable(b)) return usable(a) ? -1 : 1;
  return usable(a) ? areaOf(a.hoop) - areaOf(b.hoop) : farness(a) - farness(b);
}
