import { z } from 'zod';

export const MountInputSchema = z.object({
  machineId: z.string().nullable(),
  mirror: z.boolean(),
  /** Ids of the checks done before the first stitch. */
  checked: z.array(z.string()),
});
export type MountInput = z.infer<typeof MountInputSchema>;
