import { z } from 'zod';
import { IdSchema } from '../base/ids';
import { LooseSheetsSchema, SUPPLY_TYPES } from './shelf';

/** The item, and what it was called then. */
const item = { id: IdSchema, name: z.string().max(120).optional() };
const bobbinM = z.number().nullable();
const sizes = z.array(LooseSheetsSchema.omit({ count: true })).default([]);

/**
 * What a finished piece took off the shelf: metres of a roll and loose sheets, and the offcuts it put there; metres
 * of a thread; hours of each of a machine's needles, and the bobbin it left there; some of a supply, in its unit.
 */
export const ShelfUseSchema = z.discriminatedUnion('noun', [
  z.object({ noun: z.literal('materials'), ...item, metres: z.number(), sheets: sizes, offcuts: sizes }),
  z.object({ noun: z.literal('threads'), ...item, metres: z.number() }),
  z.object({
    noun: z.literal('machines'),
    ...item,
    hours: z.array(z.number()),
    bobbin: z.object({ was: bobbinM, is: bobbinM }).optional(),
  }),
  z.object({
    noun: z.literal('supplies'),
    ...item,
    type: z.enum(SUPPLY_TYPES).optional(),
    amount: z.number(),
  }),
]);
export type ShelfUse = z.infer<typeof ShelfUseSchema>;
