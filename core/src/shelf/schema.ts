import { z } from 'zod';
import { IdSchema } from '../ids';
import { HexSchema } from '../piece/schema';

export const HOOP_KINDS = ['screw', 'quick-release', 'magnetic', 'clamp frame', 'open frame'] as const;
export type HoopKind = (typeof HOOP_KINDS)[number];
export const SIDES = ['left', 'right', 'back', 'front'] as const;

const name = z.string().min(1).max(120);
const side = z.number().min(20).max(1200);

/** A hoop: stitch field and outer ring in mm. A round field has equal sides. */
export const HoopSchema = z.object({
  id: IdSchema,
  name,
  fieldWidthMm: side,
  fieldHeightMm: side,
  round: z.boolean(),
  ringWidthMm: side,
  ringHeightMm: side,
  kind: z.enum(HOOP_KINDS),
  bracket: z.enum(SIDES),
  machineIds: z.array(IdSchema),
});
export type Hoop = z.infer<typeof HoopSchema>;

/** A machine, as far as mounting and timing ask. */
export const MachineSchema = z.object({
  id: IdSchema,
  name,
  needles: z.number().int().min(1).max(20),
  bed: z.enum(['flat', 'free arm']),
  /** The side on which its body stands, seen from the operator. */
  bodySide: z.enum(['right', 'back']),
  /** Room between needle and body, mm. */
  throatMm: z.number().min(50).max(1500),
  stitchesPerMinute: z.number().min(50).max(2000),
  trims: z.boolean(),
  needleHours: z.number().min(0).max(1000),
  bobbinMetres: z.number().min(5).max(500),
});
export type Machine = z.infer<typeof MachineSchema>;

/** Something from a roll, a sheet or a can: a stabilizer, a topper, an adhesive. */
export const MaterialSchema = z.object({
  id: IdSchema,
  name,
  /** The stabilizer or topper it is, by the trade's name. */
  type: z.string().min(1).max(60),
  widthMm: z.number().min(0).max(3000),
  metresLeft: z.number().min(0).max(2000),
});
export type Material = z.infer<typeof MaterialSchema>;

export const ThreadSchema = z.object({
  id: IdSchema,
  name,
  hex: HexSchema,
  weight: z.union([z.literal(40), z.literal(60)]),
  fibre: z.enum(['polyester', 'rayon', 'cotton', 'metallic']),
  metresLeft: z.number().min(0).max(20_000),
});
export type Thread = z.infer<typeof ThreadSchema>;

/** What the shop owns. */
export const ShelfSchema = z.object({
  hoops: z.array(HoopSchema).max(200),
  machines: z.array(MachineSchema).max(50),
  materials: z.array(MaterialSchema).max(500),
  threads: z.array(ThreadSchema).max(5000),
});
export type Shelf = z.infer<typeof ShelfSchema>;

export const EMPTY_SHELF: Shelf = { hoops: [], machines: [], materials: [], threads: [] };
