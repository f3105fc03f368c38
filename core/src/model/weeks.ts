import { z } from 'zod';

/** What was made and earned in one week, from its Monday on. */
export const WeekSchema = z.object({
  /** ISO date. */
  monday: z.iso.date(),
  pieces: z.number().int(),
  spoilt: z.number().int(),
  /** Minutes at the machine, as they were planned and as they were, of those pieces for which both are known. */
  plannedMinutes: z.number(),
  wasMinutes: z.number(),
  timed: z.number().int(),
  /** Of orders that were handed over, smallest coins: what was promised for them, and what those cost whose cost is known. */
  orders: z.number().int(),
  promisedMinor: z.number(),
  /** Promised for those orders whose cost is known, and that cost. */
  countedMinor: z.number(),
  costMinor: z.number(),
});
export type Week = z.infer<typeof WeekSchema>;

/** An order that was handed over, with what is left of it; null where nobody worked out what it cost. */
export const EarnedSchema = z.object({
  id: z.string(),
  name: z.string(),
  day: z.iso.date(),
  promisedMinor: z.number(),
  costMinor: z.number().nullable(),
});
export type Earned = z.infer<typeof EarnedSchema>;

/** A number of the house that was changed: how often, and what it is now. */
export const ChangedNumberSchema = z.object({
  id: z.string(),
  times: z.number().int(),
  /** Null for the usual figure. */
  value: z.number().nullable(),
});
export type ChangedNumber = z.infer<typeof ChangedNumberSchema>;

export const MOST_WEEKS = 52;
export const WeeksAnswerSchema = z.object({
  weeks: z.array(WeekSchema),
  earned: z.array(EarnedSchema),
  numbers: z.array(ChangedNumberSchema),
});
export type WeeksAnswer = z.infer<typeof WeeksAnswerSchema>;
