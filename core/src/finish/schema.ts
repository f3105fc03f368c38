import { z } from 'zod';

export const FinishInputSchema = z.object({ done: z.array(z.string()) });
export type FinishInput = z.infer<typeof FinishInputSchema>;
