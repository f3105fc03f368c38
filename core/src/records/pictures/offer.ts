import { z } from 'zod';

/** Numbers of the house that the logbook would have otherwise: what they are now, what they would be, from how many. */
export const PictureOfferSchema = z.object({
  numbers: z.record(z.string(), z.number()),
  name: z.string(),
  now: z.number(),
  fitted: z.number(),
  unit: z.string(),
  from: z.number().int(),
});
export type PictureOffer = z.infer<typeof PictureOfferSchema>;
