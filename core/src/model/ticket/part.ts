import { z } from 'zod';
import { ORIGIN } from '../../base/geometry/point';
import { IdSchema } from '../../base/ids';
import { lengthMm } from '../../base/units/schema';
import { ArtworkSchema, ColourStopSchema, designPoint } from './artwork';
import { ARTWORK_BOUNDS, MOST_DESIGN_MM, MOST_STITCHES, PART_SCALE } from './designBounds';
import { LetteringSchema } from './lettering';

/** How closely a design is stitched, the most open first. */
export const DENSITY_CLASSES = ['open', 'light', 'medium', 'heavy', 'very heavy'] as const;
export type DensityClass = (typeof DENSITY_CLASSES)[number];

/**
 * One part of a design: where it lies, and what it is. It is lettering where it has letters, else a drawing where it has
 * artwork, else a plain size as a machine's screen gives it. Lengths in mm; null is not known yet.
 */
export const PartSchema = z.object({
  id: IdSchema,
  /** Where its own centre lies, seen from the design's origin. */
  at: designPoint,
  /** Clockwise, about its own centre. */
  turnDeg: z.number().min(-360).max(360),
  /** Left and right swapped, before it is turned. */
  mirrored: z.boolean(),
  scalePercent: z.number().min(PART_SCALE.least).max(PART_SCALE.most),
  widthMm: lengthMm(0, MOST_DESIGN_MM).nullable(),
  heightMm: lengthMm(0, MOST_DESIGN_MM).nullable(),
  stitches: z.number().int().min(1).max(MOST_STITCHES).nullable(),
  densityClass: z.enum(DENSITY_CLASSES).nullable(),
  /** Its colour stops, in the order they are stitched. */
  colours: z.array(ColourStopSchema).min(1).max(ARTWORK_BOUNDS.stops),
  /** Whether there are letters in it that somebody else drew. */
  lettering: z.boolean(),
  letterHeightMm: lengthMm(0.5, 400).nullable(),
  artwork: ArtworkSchema.nullable(),
  /** How far each element of the drawing is moved from where the file has it, mm at 100 %; empty: as in the file. */
  elementMoves: z.array(designPoint).max(400),
  /** How its letters are set; null where it is not made of letters. */
  letters: LetteringSchema.nullable(),
});
export type Part = z.infer<typeof PartSchema>;

/** The part that every design begins with. */
export const FIRST_PART = 'first-part';

/** Nothing known of the part yet: a plain size that is still to be typed. */
export const EMPTY_PART: Part = {
  id: FIRST_PART,
  at: ORIGIN,
  turnDeg: 0,
  mirrored: false,
  scalePercent: 100,
  widthMm: null,
  heightMm: null,
  stitches: null,
  densityClass: null,
  colours: [{ hex: '#1F4E79', name: 'navy', stitches: null }],
  lettering: false,
  letterHeightMm: null,
  artwork: null,
  elementMoves: [],
  letters: null,
};
