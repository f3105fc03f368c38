import { z } from 'zod';
import { IdSchema } from '../base/ids';

/** What changes an amount: the first count of an item, a purchase, a finished piece or its taking back, a recount. */
export const MOVEMENT_KINDS = ['opening', 'bought', 'used', 'given-back', 'corrected'] as const;
export type MovementKind = (typeof MOVEMENT_KINDS)[number];

/**
 * One change of one amount on the shelf. An amount is the sum of its movements, so that none of them can undo another.
 */
export const MovementSchema = z.object({
  id: z.string(),
  itemId: IdSchema,
  /** Which of the item's amounts, as `amountsOf` names them. */
  figure: z.string().min(1).max(80),
  /** Signed, in the unit of the figure. */
  amount: z.number(),
  kind: z.enum(MOVEMENT_KINDS),
  /** The entry of the logbook that it belongs to. */
  entryId: IdSchema.nullable(),
  /** When it came, ISO. */
  at: z.string(),
  /** The device it was entered on; empty where that is not known. */
  by: z.string().max(60),
});
export type Movement = z.infer<typeof MovementSchema>;
