import { z } from 'zod';
import { atMost } from '../base/units/schema';

/** More fields than a ticket has are never in dispute. */
const MOST_OFFERS = 2000;

/** A value that was entered on one device while another entered another one there; a person says which stays. */
export const OfferSchema = z.object({
  /** The path of the field. */
  at: z.string().min(1).max(300),
  /** What was entered; undefined where it was taken out. */
  value: z.unknown().optional(),
  /** The device it was entered on. */
  by: z.string().max(60),
  /** When it came, ISO. */
  when: z.string().max(40),
});
export type Offer = z.infer<typeof OfferSchema>;

/** Offers by an id that the same value at the same field always gets. */
export const OffersSchema = z
  .record(z.string().min(1).max(40), OfferSchema)
  .refine(atMost(MOST_OFFERS), `At most ${MOST_OFFERS} values are offered.`);
export type Offers = Readonly<Record<string, Offer>>;
