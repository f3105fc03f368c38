import { z } from 'zod';

/** How far one topic of the drills is learned: what the scheduler keeps of it, and what people read of it. */
export const DrillCardSchema = z.object({
  /** The topic. */
  key: z.string().min(1).max(120),
  /** When it is asked again. */
  due: z.iso.datetime(),
  last: z.iso.datetime().nullable(),
  /** When it was asked first. */
  begun: z.iso.datetime(),
  /** How long until one in ten is forgotten, days; and how hard it is, 1 to 10. */
  stability: z.number().min(0).max(40_000),
  difficulty: z.number().min(0).max(10),
  elapsedDays: z.number().min(0).max(40_000),
  scheduledDays: z.number().min(0).max(40_000),
  learningSteps: z.number().int().min(0).max(100),
  reps: z.number().int().min(0).max(1_000_000),
  lapses: z.number().int().min(0).max(1_000_000),
  state: z.number().int().min(0).max(3),
  /** How often it was asked, and answered right. */
  asked: z.number().int().min(0).max(1_000_000),
  right: z.number().int().min(0).max(1_000_000),
});
export type DrillCard = z.infer<typeof DrillCardSchema>;
