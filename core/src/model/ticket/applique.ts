import { z } from 'zod';
import { lengthMm } from '../../base/units/schema';
import { ARTWORK_BOUNDS } from './designBounds';
import { HexSchema } from './piece';

/** The colour stops that an appliqué is stitched in, in their order: each ends with the machine standing still. */
export const APPLIQUE_STEPS = ['placement', 'tackDown', 'edge'] as const;
export type AppliqueStep = (typeof APPLIQUE_STEPS)[number];

/** Cut before it is laid; cut in the hoop; its raw edge left to be seen; its edge turned under. */
export const APPLIQUE_WAYS = ['preCut', 'trimmed', 'rawEdge', 'turned'] as const;
export type AppliqueWay = (typeof APPLIQUE_WAYS)[number];

/** What covers or holds the edge of the cloth. */
export const APPLIQUE_EDGES = ['satin', 'blanket'] as const;
export type AppliqueEdge = (typeof APPLIQUE_EDGES)[number];

/** How wide an edge is stitched, and how wide a strip of cloth may lie, mm. */
export const EDGE_MM = { least: 1, most: 8 } as const;
const STRIP_MM = { least: 20, most: 2000 } as const;

/** The cloth that is laid on. */
export const ClothSchema = z.object({
  name: z.string().max(60),
  hex: HexSchema,
  /** The width of the piece or roll that it is cut from, across its grain. */
  stripMm: lengthMm(STRIP_MM.least, STRIP_MM.most),
  /** Whether every shape is cut with the design's upright along the grain. */
  alongGrain: z.boolean(),
  /** Whether it is backed with fusible web: it is cut with the web upwards, in a mirror. */
  fused: z.boolean(),
});
export type Cloth = z.infer<typeof ClothSchema>;

/** Shapes of one colour of a part that are of cloth. */
export const AppliqueSchema = z.object({
  stop: z
    .number()
    .int()
    .min(0)
    .max(ARTWORK_BOUNDS.stops - 1),
  /** Which shapes of the drawing, by their places in it; null for all of the colour. */
  shapes: z
    .array(
      z
        .number()
        .int()
        .min(0)
        .max(ARTWORK_BOUNDS.paths - 1),
    )
    .max(ARTWORK_BOUNDS.paths)
    .nullable(),
  cloth: ClothSchema,
  way: z.enum(APPLIQUE_WAYS),
  edge: z.enum(APPLIQUE_EDGES),
  edgeMm: lengthMm(EDGE_MM.least, EDGE_MM.most),
});
export type Applique = z.infer<typeof AppliqueSchema>;

/** Cut before, with a satin edge of usual width, off a strip as it lies in a shop. */
export const USUAL_APPLIQUE: Omit<Applique, 'stop'> = {
  shapes: null,
  cloth: { name: 'cotton', hex: '#C9A66B', stripMm: 300, alongGrain: true, fused: true },
  way: 'preCut',
  edge: 'satin',
  edgeMm: 3.5,
};
