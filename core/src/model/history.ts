import { z } from 'zod';
import { IdSchema } from '../base/ids';

/** Of what earlier states are kept. */
export const HISTORY_NOUNS = ['ticket', 'shelf', 'rules', 'order', 'customer', 'day'] as const;
export type HistoryNoun = (typeof HISTORY_NOUNS)[number];

/** An earlier state: how something was before it was changed. */
export const EarlierSchema = z.object({
  id: IdSchema,
  /** When it was changed then, ISO. */
  at: z.string(),
  /** The device that changed it; empty where that is not known. */
  by: z.string(),
});
export type Earlier = z.infer<typeof EarlierSchema>;

/** An earlier state with all that was in it, as it is read today. */
export const EarlierStateSchema = EarlierSchema.extend({ value: z.unknown() });
export type EarlierState = z.infer<typeof EarlierStateSchema>;
