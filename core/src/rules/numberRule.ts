/** A number of the trade: a default that a shop may change, with the reason a screen can show. */
export interface NumberRule {
  name: string;
  value: number;
  unit: 'mm' | 'deg' | 'percent' | 'count' | 'seconds' | 'hours' | 'per-mm2';
  reason: string;
}
