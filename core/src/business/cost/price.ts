import { numberFor } from '../../catalogue/houseNumber';
import { MONEY_NUMBERS as M } from '../../catalogue/numbers/money';
import type { HouseRules } from '../../model/houseRules';
import type { TrueCost } from './trueCost';

type Parts = Pick<TrueCost, 'onceExact' | 'eachExact'>;

/** What one piece costs in a run of so many, not rounded: its own share, and of what comes once. */
export const costOfOne = ({ onceExact, eachExact }: Parts, pieces: number): number =>
  eachExact + onceExact / pieces;

/** A price up to a whole number of the shop's steps. */
function wholePrice(exact: number, rules: HouseRules): number {
  const step = Math.max(1, Math.round(numberFor(rules, M.priceStep)));
  return Math.ceil((exact - 1e-6) / step) * step;
}

/**
 * The price of one piece that leaves the wanted margin, a share of the price, when all is paid: cost ÷ (1 − margin),
 * rounded up to a whole price. Null where a margin of 100 % or more is wanted: no price leaves it.
 */
export function priceFor(cost: Parts, pieces: number, rules: HouseRules): number | null {
  const margin = numberFor(rules, M.marginPercent) / 100;
  return margin >= 1 ? null : wholePrice(costOfOne(cost, pieces) / (1 - margin), rules);
}

/** What a price leaves, by the shop's habit and in truth, of the whole run. */
export interface Left {
  /** Price minus blank. */
  naiveMinor: number;
  /** Price minus everything. */
  trueMinor: number;
  /** What is truly left, of the price; null at a price of nothing. */
  marginPercent: number | null;
}

/** What is left of a price for one piece, both ways. */
export function leftOf(priceMinor: number, cost: TrueCost, blankMinor: number): Left {
  const paid = priceMinor * cost.pieces;
  const trueMinor = paid - cost.totalMinor;
  return {
    naiveMinor: paid - blankMinor * cost.pieces,
    trueMinor,
    marginPercent: paid === 0 ? null : (trueMinor / paid) * 100,
  };
}

/** One point of the curve: what a piece costs, and its price, in a run of so many. */
export interface QuantityPoint {
  pieces: number;
  costExact: number;
  priceMinor: number | null;
}

const QUANTITIES = [1, 2, 3, 5, 8, 10, 15, 20, 30, 50, 75, 100, 150, 200] as const;

/** Price by quantity: the usual quantities and the run's own, the smallest first. */
export function priceCurve(cost: TrueCost, rules: HouseRules): QuantityPoint[] {
  const quantities = [...new Set([...QUANTITIES, cost.pieces])].sort((a, b) => a - b);
  return quantities.map((pieces) => ({
    pieces,
    costExact: costOfOne(cost, pieces),
    priceMinor: priceFor(cost, pieces, rules),
  }));
}

/** From how many pieces on a price pays what they cost; null where every piece costs more than the price. */
export function breakEven(priceMinor: number, { onceExact, eachExact }: Parts): number | null {
  const each = priceMinor - eachExact;
  if (each <= 0) return onceExact <= 0 && each === 0 ? 1 : null;
  return Math.max(1, Math.ceil(onceExact / each - 1e-9));
}
