import { z } from 'zod';
import { pointWithin } from '../../base/geometry/schema';
import { lengthMm } from '../../base/units/schema';
import { DrawingIdSchema } from '../drawing';
import {
  ARTWORK_BOUNDS,
  LEAST_STROKE_MM,
  lettersOfPaths,
  MOST_DESIGN_MM,
  MOST_LETTERS,
  MOST_STITCHES,
} from './designBounds';
import { HexSchema } from './piece';

/** A place on a design, mm. */
export const designPoint = pointWithin(MOST_DESIGN_MM);
const onTheDesign = (d: string): boolean =>
  (d.match(/[\d.]+(?:e[-+]?\d+)?/gi) ?? []).every((figure) => Number(figure) <= MOST_DESIGN_MM);

/** One drawn shape in mm about the design's visible centre. */
export const ArtworkPathSchema = z.object({
  /** SVG path data of straight pieces only. */
  d: z
    .string()
    .max(ARTWORK_BOUNDS.letters)
    .refine(onTheDesign, `A drawn point lies over ${MOST_DESIGN_MM} mm from the centre.`),
  stop: z
    .number()
    .int()
    .min(0)
    .max(ARTWORK_BOUNDS.stops - 1),
  /** Line width in mm; null for a filled shape. */
  strokeMm: lengthMm(LEAST_STROKE_MM, MOST_DESIGN_MM).nullable(),
  /** Where something drawn later hides some of it: all of it, as it would be cut from cloth. */
  whole: z
    .string()
    .max(ARTWORK_BOUNDS.letters)
    .refine(onTheDesign, `A hidden point lies over ${MOST_DESIGN_MM} mm from the centre.`)
    .optional(),
});

/** A letter as it was set: what is judged of it, mm at the size it was set in. */
export const SetLetterSchema = z.object({
  letter: z.string().min(1).max(12),
  heightMm: lengthMm(0, MOST_DESIGN_MM),
  /** The thinnest of its strokes. */
  strokeMm: lengthMm(0, MOST_DESIGN_MM),
  /** Across the narrowest space that it closes in; null for one that closes in none. */
  counterMm: lengthMm(0, MOST_DESIGN_MM).nullable(),
});
export type SetLetter = z.infer<typeof SetLetterSchema>;

/** One colour stop, in the order it is stitched. */
export const ColourStopSchema = z.object({
  hex: HexSchema,
  name: z.string().max(60),
  /** Null: an equal share of the whole. */
  stitches: z.number().int().min(0).max(MOST_STITCHES).nullable(),
});
export type ColourStop = z.infer<typeof ColourStopSchema>;

/** The drawing that shapes were read from, and the colour stops as they were read. */
export const SourceSchema = z.object({
  drawing: DrawingIdSchema,
  asRead: z.array(ColourStopSchema).max(ARTWORK_BOUNDS.stops),
});

/** Shapes at true size, read from a file or set from letters, and the estimate made from them. */
export const ArtworkSchema = z.object({
  fileName: z.string().max(ARTWORK_BOUNDS.fileName),
  paths: z
    .array(ArtworkPathSchema)
    .max(ARTWORK_BOUNDS.paths)
    .refine(
      (paths) => lettersOfPaths(paths) <= ARTWORK_BOUNDS.letters,
      `The shapes take over ${ARTWORK_BOUNDS.letters} letters.`,
    ),
  hull: z.array(designPoint).max(ARTWORK_BOUNDS.hull),
  /** Where the file's own centre lies, seen from the visible centre. */
  fileCentre: designPoint,
  remarks: z.array(z.string().max(400)).max(ARTWORK_BOUNDS.remarks),
  /** Its letters, each once, where it was set from letters. */
  letters: z.array(SetLetterSchema).max(MOST_LETTERS).default([]),
  /** What it was made from, in one text; another text: it is to be made again. Empty where that is not known. */
  madeFrom: z.string().max(2000).default(''),
  /** Null for letters, and where the drawing was not kept. */
  source: SourceSchema.nullable().default(null),
});
export type Artwork = z.infer<typeof ArtworkSchema>;
