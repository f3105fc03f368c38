import { z } from 'zod';
import { IdSchema } from '../../base/ids';
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
});
export type PartStop = z.infer<typeof PartStopSchema>;
