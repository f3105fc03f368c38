import { numberFor } from '../../catalogue/houseNumber';
import { MONEY_NUMBERS as M } from '../../catalogue/numbers/money';
import type { HouseRules } from '../../model/houseRules';
import type { SpoiltSeen } from '../../records/evidence/advice';
import { meanOf, quantileOf } from '../../records/evidence/beta';

/** The share of pieces that is spoilt, 0 to 1, with the two shares between which it lies in nine cases of ten. */
export interface SpoiltShare extends SpoiltSeen {
  share: number;
  low: number;
  high: number;
}

/** A share that is certain is none: at least so much of a piece is believed spoilt, and so much of one good. */
const LEAST_BELIEF = 0.01;

/**
 * The share that is spoilt: what the shop believes, as so many pieces seen, and what was seen. A Beta distribution; a
 * belief of none or of all is moved off its end, else no piece could teach it.
 */
export function spoiltShare(seen: SpoiltSeen, rules: HouseRules): SpoiltShare {
  const believed = Math.min(1, numberFor(rules, M.spoiltPercent) / 100);
  const counts = Math.max(1, numberFor(rules, M.spoiltSeen));
  const own = {
    a: Math.max(LEAST_BELIEF, believed * counts) + seen.spoilt,
    b: Math.max(LEAST_BELIEF, (1 - believed) * counts) + seen.pieces - seen.spoilt,
  };
  return { ...seen, share: meanOf(own), low: quantileOf(own, 0.05), high: quantileOf(own, 0.95) };
}

/** Of good pieces, how many more have to be begun for each: at a share of one, no end of them. */
export const moreForSpoilt = (share: number): number =>
  share >= 1 ? Number.POSITIVE_INFINITY : share / (1 - share);
