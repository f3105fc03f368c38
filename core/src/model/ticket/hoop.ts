import { z } from 'zod';
import { pointWithin } from '../../base/geometry/schema';
import { DoneSchema } from './done';

export const QUARTER_TURNS = [0, 90, 180, 270] as const;
export type QuarterTurn = (typeof QUARTER_TURNS)[number];
export const QuarterTurnSchema = z.union([z.literal(0), z.literal(90), z.literal(180), z.literal(270)]);

export const METHODS = ['hooped', 'floated'] as const;
export type Method = (typeof METHODS)[number];

/** The most parts a design is stitched in: beyond, it wants another hoop. */
export const MOST_SPLIT_PARTS = 64;

/** Null everywhere means: as proposed. */
export const HoopInputSchema = z.object({
  hoopId: z.string().max(64).nullable(),
  /** The hoop's turn on the piece, clockwise, beyond the design's own. */
  turnDeg: QuarterTurnSchema.nullable(),
  /** The hoop's centre seen from the design's centre, mm in the hoop frame. */
  shift: pointWithin(2000).nullable(),
  method: z.enum(METHODS).nullable(),
  methodWhy: z.string().max(300),
  /** Stitched in parts, one hooping after the other, where the field does not take it whole. */
  split: z.boolean().default(false),
  /** The part that is in the hoop now, from 0. */
  part: z
    .number()
    .int()
    .min(0)
    .max(MOST_SPLIT_PARTS - 1)
    .default(0),
  done: DoneSchema,
});
export type HoopInput = z.infer<typeof HoopInputSchema>;

/** Another hoop, or null for the proposed one: laid as proposed, and the design whole again. */
export const otherHoop = (hoopId: string | null): Partial<HoopInput> => ({
  hoopId,
  turnDeg: null,
  shift: null,
  split: false,
  part: 0,
});

/** Hoop and method as proposed. */
export const EMPTY_HOOP: HoopInput = {
  hoopId: null,
  turnDeg: null,
  shift: null,
  method: null,
  methodWhy: '',
  split: false,
  part: 0,
  done: [],
};
