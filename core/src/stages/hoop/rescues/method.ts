import { phrase } from '../../../base/units/phrase';
import type { Mend } from '../../../model/finding';
import { set } from './rescue';
/** Mends that change the method, or leave the parts. */
export const floatRescue = (): Mend => ({
  label: phrase`Float it`,
  result: phrase`only the stabilizer is hooped`,
  cost: phrase`a basting box, and a cloth that can shift`,
  change: set({ method: 'floated' }),
});
export const hoopRescue = (): Mend => ({
  label: phrase`Hoop it`,
  result: phrase`the cloth is held flat all round`,
  change: set({ method: 'hooped' }),
});
export const wholeRescue = (): Mend => ({
  label: phrase`Stitch it whole`,
  result: phrase`in one hooping, where the field takes it`,
  change: set({ split: false, part: 0 }),
});
