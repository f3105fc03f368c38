import { z } from 'zod';
import { IdSchema } from '../../base/ids';
import { lengthMm } from '../../base/units/schema';
import { designPoint } from './artwork';
import { ARTWORK_BOUNDS, MOST_STITCHES, MOST_STOPS } from './designBounds';
import { PartStopSchema } from './partStop';

/** What lies under others is cut away: under fills alone, or under everything. */
export const CUT_UNDER = ['fills', 'all'] as const;

/** How a design is stitched where it is not as the shop does. */
export const StitchingSchema = z.object({
  /** How far apart the rows of its fills lie, and its satin in proportion; null as the shop's. */
  rowMm: lengthMm(0.2, 3).nullable(),
  /** Whether its fills have rows across beneath. */
  underlay: z.boolean(),
  cutUnder: z.enum(CUT_UNDER),
});
export type Stitching = z.infer<typeof StitchingSchema>;

export const USUAL_STITCHING: Stitching = { rowMm: null, underlay: true, cutUnder: 'fills' };

const count = z.number().int().min(0).max(MOST_STITCHES);

/** What the stitches of one colour stop of one part come to. */
export const MadeStopSchema = PartStopSchema.extend({
  fill: count,
  satin: count,
  /** Runs, underlay, ways and locks. */
  other: count,
  /** Thread laid on top, mm. */
  threadMm: z.number().min(0).max(1e9),
  trims: count,
  jumps: count,
});
export type MadeStop = z.infer<typeof MadeStopSchema>;

/** Where thread lies thickest: mm of thread on mm², and how many shapes lie on each other there. */
export const HotSpotSchema = z.object({
  at: designPoint,
  cover: z.number().min(0).max(ARTWORK_BOUNDS.cover),
  layers: z.number().int().min(1).max(ARTWORK_BOUNDS.paths),
});

/** What would make it thinner, and how thick the thickest place then is. */
export const THINNERS = ['cut', 'rows', 'underlay', 'cutAndRows'] as const;
export type Thinner = (typeof THINNERS)[number];

/** What the stitches of a design come to: made from its shapes, and made again where they are others. */
export const MadeSchema = z.object({
  /** What it was made from, in one text. */
  madeFrom: z.string().max(200),
  stops: z.array(MadeStopSchema).max(MOST_STOPS),
  /** The thickest place, mm of thread on mm². */
  mostCover: z.number().min(0).max(ARTWORK_BOUNDS.cover),
  spots: z.array(HotSpotSchema).max(12),
  /** Of the thickest place: what each way of thinning brings it to; none tried where nothing is thick. */
  thinned: z.partialRecord(z.enum(THINNERS), z.number().min(0).max(ARTWORK_BOUNDS.cover)),
  /** The part that, laid over the others there, would make it thinnest, and to what; null where none lies beneath. */
  onTop: z
    .object({ part: IdSchema, cover: z.number().min(0).max(ARTWORK_BOUNDS.cover) })
    .nullable()
    .default(null),
});
export type Made = z.infer<typeof MadeSchema>;
