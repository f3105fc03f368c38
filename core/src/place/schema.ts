import { z } from 'zod';
import { PointSchema } from '../geometry/schema';

export const PLACEMENT_IDS = ['left-chest', 'right-chest', 'centre-chest', 'above-border'] as const;
export type PlacementId = (typeof PLACEMENT_IDS)[number];

export const MARK_METHODS = ['tape', 'fold'] as const;
export type MarkMethod = (typeof MARK_METHODS)[number];

/** Where the maker wants it: a rule, and how far from it. Offset in mm in the piece frame. */
export const PlaceInputSchema = z.object({
  placement: z.enum(PLACEMENT_IDS),
  /** A school for this ticket only; null follows the house rules. */
  school: z.enum(['table', 'armhole', 'collar']).nullable(),
  offset: PointSchema,
  /** Clockwise, in degrees, from upright. */
  turnDeg: z.number().min(-360).max(360),
  method: z.enum(MARK_METHODS),
});
export type PlaceInput = z.infer<typeof PlaceInputSchema>;
