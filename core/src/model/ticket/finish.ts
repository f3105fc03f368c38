import { z } from 'zod';

export const FinishInputSchema = z.object({ done: z.array(z.string().max(80)).max(100) });
export type FinishInput = z.infer<typeof FinishInputSchema>;
