import { z } from 'zod';
import { lengthMm } from '../../base/units/schema';
import { FAULT_IDS } from '../faults';
import { STAGES } from '../stages';
import { METHODS } from './hoop';
import { CHOICE_IDS, SheetsSchema } from './layers';

/** What was really used; null means: as planned. */
export const UsedSchema = z.object({
  method: z.enum([...METHODS, 'partly']).nullable(),
  hoopId: z.string().max(64).nullable(),
  sheets: SheetsSchema.nullable(),
  topper: z.enum(CHOICE_IDS.topper).nullable(),
  needle: z.enum(CHOICE_IDS.needle).nullable(),
  bobbin: z.enum(CHOICE_IDS.bobbin).nullable(),
});
export type Used = z.infer<typeof UsedSchema>;

/** The most letters of what to do next time. */
export const MOST_NEXT_TIME = 1000;

/** The maker's report on one piece. Faults not named have not been seen (severity 0). */
export const LogInputSchema = z.object({
  used: UsedSchema,
  faults: z.partialRecord(z.enum(FAULT_IDS), z.number().int().min(0).max(3)),
  misplacementMm: lengthMm(0, 500).nullable(),
  minutes: z.partialRecord(z.enum(STAGES), z.number().min(0).max(10_000)),
  note: z.string().max(4000),
  nextTime: z.string().max(MOST_NEXT_TIME),
  by: z.string().max(80),
});
export type LogInput = z.infer<typeof LogInputSchema>;

/** The gravest fault, 0 to 3. */
export function worstFault(log: Pick<LogInput, 'faults'>): number {
  return Math.max(0, ...Object.values(log.faults));
}

export const OUTCOMES = ['good', 'slight', 'plain', 'spoilt'] as const;
export type Outcome = (typeof OUTCOMES)[number];

/** How a piece came out, in one word. */
export function outcomeOf(log: Pick<LogInput, 'faults'>): Outcome {
  return OUTCOMES[worstFault(log)] ?? 'good';
}

/** Nothing reported: everything as planned, no fault seen. */
export const EMPTY_LOG: LogInput = {
  used: { method: null, hoopId: null, sheets: null, topper: null, needle: null, bobbin: null },
  faults: {},
  misplacementMm: null,
  minutes: {},
  note: '',
  nextTime: '',
  by: '',
};
