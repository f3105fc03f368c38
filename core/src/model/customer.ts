import { z } from 'zod';
import { IdSchema } from '../base/ids';
import { UnreadSchema } from './fields/unread';
import { OffersSchema } from './offer';

/** For whom the shop works: no more is kept of a person than what the work needs. */
export const CustomerSchema = z.object({
  id: IdSchema,
  name: z.string().min(1).max(120),
  /** How to reach them, as they said it; empty where nobody needs to. */
  contact: z.string().max(300).default(''),
  /** What to keep in mind for the next piece. */
  note: z.string().max(1000).default(''),
  unread: UnreadSchema.optional(),
  offers: OffersSchema.optional(),
});
export type Customer = z.infer<typeof CustomerSchema>;
