import { z } from 'zod';
import { IdSchema } from '../../base/ids';
import { APPLIQUE_STEPS } from './applique';
import { ARTWORK_BOUNDS } from './designBounds';

/** One colour stop of one part. */
export const PartStopSchema = z.object({
  part: IdSchema,
  /** Its place among the part's own stops. */
  stop: z
    .number()
    .int()
    .min(0)
    .max(ARTWORK_BOUNDS.stops - 1),
  /** Which of the stops of its appliqué; null for what is thread alone. */
  step: z.enum(APPLIQUE_STEPS).nullable().default(null),
});
export type PartStop = z.infer<typeof PartStopSchema>;

/** One text for a stop of a part: the same for the same. */
export const keyOfStop = ({ part, stop, step }: PartStop): string => `${part} ${stop} ${step ?? ''}`;

export const isSameStop = (a: PartStop, b: PartStop): boolean =>
  a.part === b.part && a.stop === b.stop && a.step === b.step;
