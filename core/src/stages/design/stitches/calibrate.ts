import { count, type Phrase, percent, phrase } from '../../../base/units/phrase';
import { numberFor } from '../../../catalogue/houseNumber';
import { DESIGN_NUMBERS as N } from '../../../catalogue/numbers/design';
import type { HouseRules } from '../../../model/houseRules';
import type { Made } from '../../../model/ticket/made';
import type { Part } from '../../../model/ticket/part';
import { isCountTyped, machineCount } from './asMade';

/** How a machine's own count teaches the shop's factors: what they become, and what that says. */
export interface Calibration {
  numbers: Record<string, number>;
  text: Phrase;
}

/** Nearer than this share a count teaches nothing. */
const AS_GOOD_AS_SAME = 0.02;
/** A kind that has a smaller share of the stitches is not blamed. */
const LEAST_SHARE = 0.2;
/** A factor beyond these is a wrong count, percent. */
const [LEAST_PERCENT, MOST_PERCENT] = [30, 300];

const tenth = (value: number): number => Math.round(value * 10) / 10;

/**
 * What the count that was typed for a drawing teaches: the factors of its kinds of stitches, fills and satin, so that the
 * shop would count it so. Null where nothing was typed, its stitches are not made, the counts are the same within 2 %, or
 * no sensible factor explains them.
 */
export function calibrationFor(part: Part, made: Made | null, rules: HouseRules): Calibration | null {
  const typed = part.stitches;
  const own = made?.stops.filter((stop) => stop.part === part.id) ?? [];
  if (typed === null || own.length === 0 || !isCountTyped(part) || part.scalePercent !== 100) return null;
  const counted = own.reduce((sum, stop) => sum + machineCount(stop, rules), 0);
  if (Math.abs(typed / counted - 1) < AS_GOOD_AS_SAME) return null;
  const kinds = [
    { name: 'fills', number: N.countFillPercent, stitches: own.reduce((sum, { fill }) => sum + fill, 0) },
    { name: 'satin', number: N.countSatinPercent, stitches: own.reduce((sum, { satin }) => sum + satin, 0) },
  ].map((kind) => ({ ...kind, now: numberFor(rules, kind.number) }));
  const all = kinds.reduce((sum, { stitches }) => sum + stitches, 0);
  const taught = kinds.filter(({ stitches }) => stitches > 0 && stitches >= all * LEAST_SHARE);
  const theirs = taught.reduce((sum, { stitches, now }) => sum + (stitches * now) / 100, 0);
  if (theirs <= 0) return null;
  const by = (typed - (counted - theirs)) / theirs;
  const next = taught.map(({ name, number, now }) => ({ name, id: number.id, percent: tenth(now * by) }));
  if (next.some((one) => !(one.percent >= LEAST_PERCENT && one.percent <= MOST_PERCENT))) return null;
  const [first, second] = next.map(({ name, percent: to }) => phrase`${name} ${percent(to)}`);
  return {
    numbers: Object.fromEntries(next.map(({ id, percent: to }) => [id, to])),
    text: phrase`The machine counts ${count(typed)}, we ${count(counted)}: count ${second ? phrase`${first ?? ''} and ${second}` : (first ?? '')} of ours from now on`,
  };
}
