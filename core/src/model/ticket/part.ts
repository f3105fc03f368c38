import { z } from 'zod';
import { ORIGIN } from '../../base/geometry/point';
import { IdSchema } from '../../base/ids';
import { lengthMm } from '../../base/units/schema';
import { AppliqueSchema } from './applique';
import { ArtworkSchema, ColourStopSchema, designPoint } from './artwork';
import { ARTWORK_BOUNDS, MOST_DESIGN_MM, MOST_STITCHES, PART_SCALE } from './designBounds';
import { LetteringSchema } from './lettering';
import { PartStopSchema } from './partStop';

/** How closely a design is stitched, the most open first. */
export const DENSITY_CLASSES = ['open', 'light', 'medium', 'heavy', 'very heavy'] as const;
export type DensityClass = (typeof DENSITY_CLASSES)[number];

/** How shapes are stitched, whatever their width. */
export const WAYS = ['run', 'satin', 'fill'] as const;
export type StitchWay = (typeof WAYS)[number];

/** How one colour of a part is stitched. */
export const PartWaySchema = PartStopSchema.pick({ stop: true }).extend({
  /** Null by the width of its shapes. */
  way: z.enum(WAYS).nullable(),
  /** The rows of its fills, clockwise from across in the part's own frame; null along the longest way of each. */
  angleDeg: z.number().min(-180).max(180).nullable(),
});
export type PartWay = z.infer<typeof PartWaySchema>;

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
  /** How its colours are stitched, where not as their width says; those not named are. */
  ways: z.array(PartWaySchema).max(ARTWORK_BOUNDS.stops).default([]),
  /** Which of its shapes are of cloth; at most one cloth to a colour. */
  appliques: z.array(AppliqueSchema).max(ARTWORK_BOUNDS.stops).default([]),
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
  ways: [],
  appliques: [],
  letters: null,
};
