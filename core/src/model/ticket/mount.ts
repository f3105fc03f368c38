import { z } from 'zod';
import { PointSchema } from '../../base/geometry/schema';
import { alongMm } from '../../base/units/schema';

export const MARK_IDS = ['centre', 'left', 'right', 'top', 'foot'] as const;
export type MarkId = (typeof MARK_IDS)[number];

/** Where a mark of the piece is found on the hoop's grid: from the middle of the field, right and towards you, mm. */
const coordinate = alongMm(600);
export const MarkFoundSchema = z.object({
  mark: z.enum(MARK_IDS),
  x: coordinate,
  y: coordinate,
  /** Where it had been chalked, piece frame, so that a design moved since does not move the chalk. */
  chalkedAt: PointSchema.optional(),
});
export type MarkFound = z.infer<typeof MarkFoundSchema>;

export const OBSTACLE_KINDS = ['pin', 'clip', 'magnet', 'zip', 'button'] as const;
export type ObstacleKind = (typeof OBSTACLE_KINDS)[number];

/** Something on the hoop that the foot must not meet: its middle in the hoop frame, mm, its turn clockwise. */
export const ObstacleSchema = z.object({
  kind: z.enum(OBSTACLE_KINDS),
  x: coordinate,
  y: coordinate,
  turnDeg: z.number().min(-360).max(360),
});
export type Obstacle = z.infer<typeof ObstacleSchema>;

export const MountInputSchema = z.object({
  machineId: z.string().max(64).nullable(),
  mirror: z.boolean(),
  /** Ids of the checks done before the first stitch. */
  checked: z.array(z.string().max(80)).max(100),
  /** Marks read off the hoop's grid, each once; none while nobody asked how it sits. */
  readings: z.array(MarkFoundSchema).max(5).default([]),
  obstacles: z.array(ObstacleSchema).max(40).default([]),
  /** How far the first piece of the run lay off its marks, right and down on the piece, mm: the rest is keyed against it. */
  sample: z
    .object({ right: coordinate.nullable(), down: coordinate.nullable() })
    .default({ right: null, down: null }),
});
export type MountInput = z.infer<typeof MountInputSchema>;

/** Nothing chosen, read or checked. */
export const EMPTY_MOUNT: MountInput = {
  machineId: null,
  mirror: false,
  checked: [],
  readings: [],
  obstacles: [],
  sample: { right: null, down: null },
};
