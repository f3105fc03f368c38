import { z } from 'zod';
import { PointSchema } from '../geometry/schema';
import { HexSchema } from '../piece/schema';
import { DENSITY_CLASSES } from './numbers';

/** One drawn shape in mm about the design's visible centre. */
export const ArtworkPathSchema = z.object({
  /** SVG path data of straight pieces only. */
  d: z.string(),
  stop: z.number().int().min(0),
  /** Line width in mm; null for a filled shape. */
  strokeMm: z.number().positive().nullable(),
});

/** What a drawing file told: its shapes at true size, and the estimate made from them. */
export const ArtworkSchema = z.object({
  fileName: z.string().max(200),
  paths: z.array(ArtworkPathSchema).max(4000),
  hull: z.array(PointSchema).max(2000),
  /** Where the file's own centre lies, seen from the visible centre. */
  fileCentre: PointSchema,
  /** Local thread cover of the densest shape, mm of thread per mm². */
  mostCover: z.number().min(0),
  narrowestSatinMm: z.number().positive().nullable(),
  remarks: z.array(z.string()),
});
export type Artwork = z.infer<typeof ArtworkSchema>;

/** One colour stop, in the order it is stitched. */
export const ColourStopSchema = z.object({
  hex: HexSchema,
  name: z.string().max(60),
  /** Null: an equal share of the whole. */
  stitches: z.number().int().min(0).max(2_000_000).nullable(),
});
export type ColourStop = z.infer<typeof ColourStopSchema>;

export const LOOKS = ['left', 'right'] as const;
export type Looks = (typeof LOOKS)[number];

/** What the maker enters about the design. Lengths in mm; null is not known yet. */
export const DesignInputSchema = z.object({
  name: z.string().max(120),
  widthMm: z.number().nullable(),
  heightMm: z.number().nullable(),
  unread: z.record(z.string(), z.string()),
  stitches: z.number().int().min(1).max(2_000_000).nullable(),
  densityClass: z.enum(DENSITY_CLASSES).nullable(),
  colours: z.array(ColourStopSchema).min(1).max(60),
  hasUp: z.boolean(),
  lettering: z.boolean(),
  letterHeightMm: z.number().positive().max(400).nullable(),
  scalePercent: z.number().min(10).max(200),
  artwork: ArtworkSchema.nullable(),
  /** How far each element of the drawing is moved from where the file has it, mm at 100 %; empty: as in the file. */
  elementMoves: z.array(PointSchema).max(400).default([]),
  /** Which way a figure in it looks; null where it has none, or looks at you. */
  looks: z.enum(LOOKS).nullable().default(null),
});
export type DesignInput = z.infer<typeof DesignInputSchema>;
