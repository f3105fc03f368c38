import { DESIGN_NUMBERS } from '../design/numbers';
import { FINISH_NUMBERS } from '../finish/numbers';
import { HOOP_NUMBERS } from '../hoop/numbers';
import { LAYER_NUMBERS } from '../layers/numbers';
import { MOUNT_NUMBERS } from '../mount/numbers';
import { PIECE_NUMBERS } from '../piece/numbers';
import { PLACE_NUMBERS } from '../place/numbers';
import { STITCH_NUMBERS } from '../stitch/numbers';
import type { NumberRule } from './numberRule';
import type { HouseRules } from './schema';

/** Every number a shop may change, one line to a stage. */
export const NUMBERS = {
  ...PIECE_NUMBERS,
  ...DESIGN_NUMBERS,
  ...PLACE_NUMBERS,
  ...HOOP_NUMBERS,
  ...LAYER_NUMBERS,
  ...MOUNT_NUMBERS,
  ...STITCH_NUMBERS,
  ...FINISH_NUMBERS,
} satisfies Record<string, NumberRule>;

export type NumberId = keyof typeof NUMBERS;

/** The shop's own figure, or the trade's default. In the unit the rule states. */
export function numberFor(rules: HouseRules, id: NumberId): number {
  return rules.numbers[id] ?? NUMBERS[id].value;
}
