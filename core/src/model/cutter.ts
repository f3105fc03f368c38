import { z } from 'zod';
import { PointSchema } from '../base/geometry/schema';

/** What the cutter's mat takes, mm. */
export const MAT = { widthMm: 600, heightMm: 900 } as const;

/** A cut file as it was given: SVG. */
export const CutterFileSchema = z.object({ file: z.string().min(1).max(5_000_000) });

const CutterPieceSchema = z.object({
  name: z.string(),
  /** Closed lines in the order that they are cut, mm from the mat's upper left corner: holes before the outline. */
  rings: z.array(z.array(PointSchema)),
  /** How much is cut of it, mm, and how long that takes from the piece before, s. */
  cutMm: z.number(),
  seconds: z.number(),
});

/** What lies on the cutter's mat. */
export const CutterJobSchema = z.object({
  name: z.string(),
  widthMm: z.number(),
  heightMm: z.number(),
  pieces: z.array(CutterPieceSchema),
});
export type CutterJob = z.infer<typeof CutterJobSchema>;

export const CutterStateSchema = z.object({
  /** How many pieces are cut. */
  cut: z.number().int(),
  seconds: z.number(),
});
export type CutterState = z.infer<typeof CutterStateSchema>;

/** Cuts so many pieces more; all that are left without a count. */
export const CutterPressSchema = z.object({
  press: z.literal('cut'),
  pieces: z.number().int().min(1).max(2000).nullable().default(null),
});

/** A sheet on the cutter, and how far it is cut. */
export const OnCutterSchema = z.object({
  run: z.uuid(),
  job: CutterJobSchema,
  state: CutterStateSchema,
  /** What the cutter says, for a person. */
  message: z.string(),
});
export type OnCutter = z.infer<typeof OnCutterSchema>;
