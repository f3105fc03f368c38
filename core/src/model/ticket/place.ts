import { z } from 'zod';
import { PointSchema } from '../../base/geometry/schema';
import { alongMm, FARTHEST_MM, lengthMm } from '../../base/units/schema';
import { DoneSchema } from './done';

export const MARK_METHODS = ['tape', 'fold', 'join', 'template', 'wear'] as const;
export type MarkMethod = (typeof MARK_METHODS)[number];

/** A length the maker sets, mm; null follows the house rules. */
const wish = lengthMm(0, 3000).nullable();

export const ScatterSpotSchema = z.object({
  x: alongMm(FARTHEST_MM),
  y: alongMm(FARTHEST_MM),
  turnDeg: z.number().min(-360).max(360),
});

const RepeatSchema = z.object({ gapMm: wish, marginMm: wish, keep: z.enum(['gap', 'ends']) });
const ScatterInputSchema = z.object({
  count: z.number().int().min(1).max(300),
  gapMm: wish,
  seed: z.number().int().min(0).max(1_000_000),
  turns: z.enum(['upright', 'any']),
  spots: z.array(ScatterSpotSchema).max(300),
});

/** How several copies are laid before the maker says anything about them. */
export const NO_COPIES_ASKED = {
  edgeGapMm: null,
  repeat: { gapMm: null, marginMm: null, keep: 'gap' } satisfies z.infer<typeof RepeatSchema>,
  scatter: { count: 12, gapMm: null, seed: 1, turns: 'any', spots: [] } satisfies z.infer<
    typeof ScatterInputSchema
  >,
} as const;

/** The part of a design that a depth is asked for. */
export const DESIGN_PARTS = ['top', 'centre', 'bottom'] as const;
export type DesignPart = (typeof DESIGN_PARTS)[number];

/** A depth of the maker's own: so far from a landmark of the face to a part of the design, mm. */
export const AskedDepthSchema = z.object({
  from: z.string().min(1).max(40),
  part: z.enum(DESIGN_PARTS),
  /** One that leaves the piece is a finding. */
  mm: lengthMm(0, FARTHEST_MM),
});
export type AskedDepth = z.infer<typeof AskedDepthSchema>;

/** Where the maker wants it: a rule, and how far from it. Offset in mm in the piece frame. */
export const PlaceInputSchema = z.object({
  /** A usual placement of the kind by id; the kind's first one stands in for an unknown id. */
  placement: z.string().min(1).max(80),
  /** A school for this ticket only; null follows the house rules. */
  school: z.enum(['table', 'armhole', 'collar']).nullable(),
  offset: PointSchema,
  /** Clockwise, in degrees, from the rule's own turn. */
  turnDeg: z.number().min(-360).max(360),
  method: z.enum(MARK_METHODS),
  /** A depth from a landmark in place of the rule's own; null follows the rule. */
  depth: AskedDepthSchema.nullable().default(null),
  /** Dragged, it comes to rest on the rule and on whole steps of the tape; false leaves it where it is let go. */
  snaps: z.boolean().default(true),
  /** Gap from the edge, where the placement asks for one. */
  edgeGapMm: wish.default(NO_COPIES_ASKED.edgeGapMm),
  /** Repeats along a hem. */
  repeat: RepeatSchema.default(() => NO_COPIES_ASKED.repeat),
  /** A scatter: what was asked for, and the spots that were found and accepted. */
  scatter: ScatterInputSchema.default(() => ({ ...NO_COPIES_ASKED.scatter, spots: [] })),
  done: DoneSchema,
});
export type PlaceInput = z.infer<typeof PlaceInputSchema>;

/** At a placement, as its rule has it. */
export const emptyPlace = (placement: string): PlaceInput => ({
  placement,
  school: null,
  offset: { x: 0, y: 0 },
  turnDeg: 0,
  method: 'tape',
  depth: null,
  snaps: true,
  ...NO_COPIES_ASKED,
  scatter: { ...NO_COPIES_ASKED.scatter, spots: [] },
  done: [],
});
