import { z } from 'zod';

/** Drawings above this many characters are not read, and none of them is kept. */
export const MOST_CHARACTERS = 5 * 1024 * 1024;

/** A drawing is called by what it is: the SHA-256 of its text in UTF-8, so that it is kept once. */
export const DrawingIdSchema = z
  .string()
  .max(64)
  .regex(/^[0-9a-f]{64}$/, 'A drawing’s id is the SHA-256 of its text.');
export type DrawingId = z.infer<typeof DrawingIdSchema>;

/** A drawing as its file has it. */
export const KeptDrawingSchema = z.object({
  id: DrawingIdSchema,
  text: z.string().min(1).max(MOST_CHARACTERS),
});
export type KeptDrawing = z.infer<typeof KeptDrawingSchema>;
