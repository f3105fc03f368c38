import { z } from 'zod';
import { pointWithin } from '../../base/geometry/schema';
import { lengthMm } from '../../base/units/schema';
import {
  ARTWORK_BOUNDS,
  LEAST_STROKE_MM,
  MOST_DESIGN_MM,
  MOST_DESIGN_NAME,
  MOST_STITCHES,
} from './designBounds';
import { HexSchema } from './piece';

const designPoint = pointWithin(MOST_DESIGN_MM);
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
});

/** What a drawing file told: its shapes at true size, and the estimate made from them. */
export const ArtworkSchema = z.object({
  fileName: z.string().max(ARTWORK_BOUNDS.fileName),
  paths: z
    .array(ArtworkPathSchema)
    .max(ARTWORK_BOUNDS.paths)
    .refine(
      (paths) => paths.reduce((sum, { d }) => sum + d.length, 0) <= ARTWORK_BOUNDS.letters,
      `The shapes take over ${ARTWORK_BOUNDS.letters} letters.`,
    ),
  hull: z.array(designPoint).max(ARTWORK_BOUNDS.hull),
  /** Where the file's own centre lies, seen from the visible centre. */
  fileCentre: designPoint,
  /** Local thread cover of the densest shape, mm of thread per mm². */
  mostCover: z.number().min(0).max(ARTWORK_BOUNDS.cover),
  narrowestSatinMm: lengthMm(0, MOST_DESIGN_MM).nullable(),
  remarks: z.array(z.string().max(400)).max(ARTWORK_BOUNDS.remarks),
});
export type Artwork = z.infer<typeof ArtworkSchema>;

/** One colour stop, in the order it is stitched. */
export const ColourStopSchema = z.object({
  hex: HexSchema,
  name: z.string().max(60),
  /** Null: an equal share of the whole. */
  stitches: z.number().int().min(0).max(MOST_STITCHES).nullable(),
});
export type ColourStop = z.infer<typeof ColourStopSchema>;

/** How closely a design is stitched, the most open first. */
export const DENSITY_CLASSES = ['open', 'light', 'medium', 'heavy', 'very heavy'] as const;
export type DensityClass = (typeof DENSITY_CLASSES)[number];

export const LOOKS = ['left', 'right'] as const;
export type Looks = (typeof LOOKS)[number];

/** What the maker enters about the design. Lengths in mm; null is not known yet. */
export const DesignInputSchema = z.object({
  name: z.string().max(MOST_DESIGN_NAME),
  widthMm: lengthMm(0, MOST_DESIGN_MM).nullable(),
  heightMm: lengthMm(0, MOST_DESIGN_MM).nullable(),
  stitches: z.number().int().min(1).max(MOST_STITCHES).nullable(),
  densityClass: z.enum(DENSITY_CLASSES).nullable(),
  colours: z.array(ColourStopSchema).min(1).max(ARTWORK_BOUNDS.stops),
  hasUp: z.boolean(),
  lettering: z.boolean(),
  letterHeightMm: lengthMm(0.5, 400).nullable(),
  scalePercent: z.number().min(10).max(200),
  artwork: ArtworkSchema.nullable(),
  /** How far each element of the drawing is moved from where the file has it, mm at 100 %; empty: as in the file. */
  elementMoves: z.array(designPoint).max(400).default([]),
  /** Which way a figure in it looks; null where it has none, or looks at you. */
  looks: z.enum(LOOKS).nullable().default(null),
});
export type DesignInput = z.infer<typeof DesignInputSchema>;

/** Nothing known of the design yet. */
export const EMPTY_DESIGN: DesignInput = {
  name: '',
  widthMm: null,
  heightMm: null,
  stitches: null,
  densityClass: null,
  colours: [{ hex: '#1F4E79', name: 'navy', stitches: null }],
  hasUp: true,
  lettering: false,
  letterHeightMm: null,
  scalePercent: 100,
  artwork: null,
  elementMoves: [],
  looks: null,
};
