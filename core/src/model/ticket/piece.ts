import { z } from 'zod';
import { alongMm, atMost, FARTHEST_MM, lengthMm } from '../../base/units/schema';
import { PIECE_KIND_IDS } from '../pieceKindIds';

export const STRUCTURES = [
  'stable woven',
  'open weave',
  'knit',
  'pile',
  'waffle',
  'canvas',
  'sheer',
  'faux suede',
  'no cloth',
] as const;

export const HexSchema = z
  .string()
  .max(7)
  .regex(/^#[0-9a-fA-F]{6}$/, 'A colour is written #rrggbb.');

/** What a cloth is like, as far as embroidery asks. Thickness and pile in mm, weight in g/m², stretch in %. */
export const FabricSchema = z.object({
  id: z.string().max(64),
  name: z.string().max(120),
  structure: z.enum(STRUCTURES),
  surface: z.enum(['smooth', 'textured']),
  stretchPercent: z.number().min(0).max(200),
  thicknessMm: z.number().min(0.01).max(20),
  weightGsm: z.number().min(1).max(2000),
  pileMm: z.number().min(0).max(30),
  iron: z.enum(['yes', 'low', 'no']),
  mayGetWet: z.boolean(),
  ringMarks: z.boolean(),
  seeThrough: z.boolean(),
});
export type Fabric = z.infer<typeof FabricSchema>;

/** Half widths read at one height: from the middle mark to either edge, in mm. */
export const EvennessSchema = z.object({
  /** Distance below the collar seam, or above the hem. */
  atMm: lengthMm(0, 3000),
  leftMm: lengthMm(1, 3000),
  rightMm: lengthMm(1, 3000),
});
export type Evenness = z.infer<typeof EvennessSchema>;

/** How far a wale or a thread wanders off over a height, as it faces you; to your right positive. mm. */
export const GrainSchema = z.object({
  overMm: lengthMm(1, 3000),
  driftMm: alongMm(500),
});
export type Grain = z.infer<typeof GrainSchema>;

/** Lengths read off a piece, mm, by reading id. A kind asks for a few; no kind for more than this. */
const ReadingsSchema = z
  .record(z.string().min(1).max(60), lengthMm(0, FARTHEST_MM))
  .refine(atMost(100), 'At most 100 readings.');

/** The most pieces of one kind in an order. */
export const MOST_PIECES = 1000;

/** Another size of the same order: its own readings in mm; what is missing follows this piece in proportion. */
export const SizeSchema = z.object({
  name: z.string().min(1).max(60),
  /** How many pieces of this size are made. */
  count: z.number().int().min(0).max(MOST_PIECES).default(1),
  readings: ReadingsSchema,
});
export type Size = z.infer<typeof SizeSchema>;

/** Edges of a face, as it faces you. */
export const STRIP_EDGES = ['top', 'bottom', 'left', 'right'] as const;
export type StripEdge = (typeof STRIP_EDGES)[number];

/** What the maker enters about the piece. */
export const PieceInputSchema = z.object({
  kind: z.enum(PIECE_KIND_IDS),
  fabricId: z.string().max(64),
  fabricChanges: FabricSchema.omit({ id: true, name: true }).partial(),
  colour: HexSchema,
  /** Lengths in mm by reading id; a missing key is a reading not taken. */
  readings: ReadingsSchema,
  /** Readings by id that were taken as usual for a size, and not read on this piece. */
  assumed: z.array(z.string().min(1).max(60)).max(100).default([]),
  /** Left and right edges as they face you, at up to three heights. */
  evenness: z.array(EvennessSchema).max(3),
  /** Going down the piece; null where it was not read. */
  grain: GrainSchema.nullable().default(null),
  /** How many pieces of the size measured here are made. */
  quantity: z.number().int().min(1).max(MOST_PIECES).default(1),
  /** The other sizes of the order. */
  sizes: z.array(SizeSchema).max(40).default([]),
  /** Lengths in mm for the sewing sums, by the sum's field; a missing one is the usual. */
  sewing: z
    .record(z.string().min(1).max(60), lengthMm(0, 5000))
    .refine(atMost(100), 'At most 100 lengths.')
    .default({}),
  /** The edge that a contrast strip lies on; null where there is none. */
  stripEdge: z.enum(STRIP_EDGES).nullable().default(null),
  /** Seams opened to let a hoop in, by name, so that they get closed. */
  opened: z.array(z.string().max(60)).max(20).default([]),
});
export type PieceInput = z.infer<typeof PieceInputSchema>;

/** How many pieces an order makes: of the size measured, and of every other. */
export const pieceCount = ({ quantity, sizes }: Pick<PieceInput, 'quantity' | 'sizes'>): number =>
  sizes.reduce((sum, { count }) => sum + count, quantity);

/** A piece of a kind of which nothing was read yet, of its usual cloth and colour. */
export const emptyPiece = (
  kind: PieceInput['kind'],
  usual: Pick<PieceInput, 'fabricId' | 'colour'>,
): PieceInput => ({
  kind,
  ...usual,
  fabricChanges: {},
  readings: {},
  assumed: [],
  evenness: [],
  grain: null,
  quantity: 1,
  sizes: [],
  sewing: {},
  stripEdge: null,
  opened: [],
});
