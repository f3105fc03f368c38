import { z } from 'zod';
import { MOST_STOPS } from './designBounds';

export const StitchInputSchema = z.object({
  /** Bobbin thread left, in metres; null is a full one. */
  bobbinLeftM: z.number().min(0).max(2000).nullable(),
  /** How many colour stops are done. */
  stopsDone: z.number().int().min(0).max(MOST_STOPS),
});
export type StitchInput = z.infer<typeof StitchInputSchema>;

/** Nothing stitched, with a full bobbin. */
export const EMPTY_STITCH: StitchInput = { bobbinLeftM: null, stopsDone: 0 };
