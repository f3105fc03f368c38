import { z } from 'zod';

export const FinishInputSchema = z.object({ done: z.array(z.string().max(80)).max(100) });
export type FinishInput = z.infer<typeof FinishInputSchema>;

/** Nothing done. */
export const EMPTY_FINISH: FinishInput = { done: [] };
