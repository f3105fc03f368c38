import { z } from 'zod';
import { PointSchema } from '../base/geometry/schema';
import { IdSchema } from '../base/ids';
import { MinorSchema } from '../base/units/money';
import { FARTHEST_MM, lengthMm } from '../base/units/schema';
import { type Unread, UnreadSchema } from './fields/unread';
import { OffersSchema } from './offer';
import { CHOICE_IDS } from './ticket/layers';
import { FabricSchema, HexSchema, PieceInputSchema } from './ticket/piece';
import { PlaceInputSchema } from './ticket/place';

export const SIDES = ['left', 'right', 'back', 'front'] as const;

/**
 * What every item has: its id, what was typed on its form and could not be taken, what was entered on another device in
 * a field that was changed here too, and whether it was only taken as usual: nobody has looked yet.
 */
const ITEM = {
  id: IdSchema,
  unread: UnreadSchema.optional(),
  offers: OffersSchema.optional(),
  assumed: z.literal(true).optional(),
};
/** What adds up with the work, hours or metres, is kept up to here, and stays here when more is added. */
export const MOST_COUNTED = 1_000_000;

/** What was paid for so much of it, in its own unit: a roll's metres, a spool's, one needle. */
export const PaidSchema = z.object({
  minor: MinorSchema,
  amount: z.number().min(0.01, 'For more than nothing.').max(MOST_COUNTED),
});
export type Paid = z.infer<typeof PaidSchema>;

/** What everything that is bought may have: what was paid for it, and from whom. */
const BOUGHT = {
  paid: PaidSchema.nullable().optional(),
  supplier: z.string().max(120).optional(),
};
const name = z.string().min(1).max(120);
const side = lengthMm(20, 1200);
const counted = z.number().min(0).max(MOST_COUNTED);

/** How many places along its length a repositioning hoop latches in, and how far apart they are, mm. */
const PositionsSchema = z.object({
  count: z.number().int().min(1).max(4),
  stepMm: lengthMm(0, 400),
});

/** A hoop: stitch field and outer ring in mm. A round field has equal sides; a ring is larger than its field. */
export const HoopSchema = z.object({
  ...ITEM,
  name,
  fieldWidthMm: side,
  fieldHeightMm: side,
  round: z.boolean(),
  ringWidthMm: side,
  ringHeightMm: side,
  /** How it holds the cloth: the id of a kind of hoop. */
  kind: z.string().min(1).max(40),
  bracket: z.enum(SIDES),
  machineIds: z.array(IdSchema).max(50),
  /** Thickness of the ring from its outer edge inwards. */
  wallMm: lengthMm(2, 60).default(6),
  /** The thickest stack it closes on; null for what its kind usually does. */
  closesOnMm: lengthMm(0.5, 30).nullable().default(null),
  /** Whether it may lie a quarter turn round on the piece; a half turn always may. */
  mayTurn: z.boolean().default(true),
  /** The field is that of one position; one position for a hoop that is latched in one place only. */
  positions: PositionsSchema.default({ count: 1, stepMm: 0 }),
});

export type Hoop = z.infer<typeof HoopSchema>;

/** Whether a figure of an item was typed and could not be taken: what is worked out with it may be wrong. */
export const hasUnreadFigure = ({ unread = {} }: { unread?: Unread | undefined }): boolean =>
  Object.keys(unread).some((at) => at !== 'name');

/** A needle in a machine: what it is, null where nobody has said, and how long it has stitched. */
const FittedNeedleSchema = z.object({
  type: z.enum(CHOICE_IDS.needle).nullable(),
  hours: counted,
});
export type FittedNeedle = z.infer<typeof FittedNeedleSchema>;

/** A machine, as far as mounting and timing ask. */
export const MachineSchema = z.object({
  ...ITEM,
  name,
  needles: z.number().int().min(1).max(20),
  bed: z.enum(['flat', 'free arm']),
  /** The side on which its body stands, seen from the operator. */
  bodySide: z.enum(['right', 'back']),
  /** Room between needle and body, mm. */
  throatMm: lengthMm(50, 1500),
  stitchesPerMinute: z.number().min(50).max(2000),
  /** Whether it trims jump threads itself. */
  trims: z.boolean(),
  /** Whether its screen can mirror a design. */
  mirrors: z.boolean().default(true),
  /** How far its screen resizes a design; beyond, the file is made in the size. */
  resize: z
    .object({ leastPercent: z.number().min(10).max(100), mostPercent: z.number().min(100).max(400) })
    .default({ leastPercent: 80, mostPercent: 120 }),
  /** Whether it tells which hoop is on it, and will not run with another. */
  knowsHoops: z.boolean().default(true),
  /** The smallest turn its screen offers, degrees. */
  turnStepDeg: z.union([z.literal(1), z.literal(10), z.literal(90)]).default(1),
  /** What is in its needles, from the first; beyond the list they are new. `needlesOf` has one for each. */
  fitted: z.array(FittedNeedleSchema).max(20).default([]),
  bobbinMetres: z.number().min(5).max(500),
  /** What the last piece left on the bobbin in it, m; null: a full one. */
  bobbinLeftM: z.number().min(0).max(2000).nullable().default(null),
});
export type Machine = z.infer<typeof MachineSchema>;

/** Bounds of what lies loose of one material. */
export const LOOSE_BOUNDS = { leastMm: 10, mostMm: 3000, mostOfOne: 1000, mostSizes: 200 } as const;
const looseSide = lengthMm(LOOSE_BOUNDS.leastMm, LOOSE_BOUNDS.mostMm);

/** Sheets of one size, bought so or left over as offcuts. */
export const LooseSheetsSchema = z.object({
  widthMm: looseSide,
  heightMm: looseSide,
  count: z.number().int().min(1).max(LOOSE_BOUNDS.mostOfOne),
});
export type LooseSheets = z.infer<typeof LooseSheetsSchema>;

/** A stabilizer, a topper or a cover sheet: a roll of it, and what lies loose, which is used first. */
export const MaterialSchema = z.object({
  ...ITEM,
  ...BOUGHT,
  name,
  /** The stabilizer or topper it is, by the trade's name. */
  type: z.string().min(1).max(60),
  widthMm: lengthMm(0, 3000),
  metresLeft: counted,
  loose: z.array(LooseSheetsSchema).max(LOOSE_BOUNDS.mostSizes).default([]),
});
export type Material = z.infer<typeof MaterialSchema>;

export const ThreadSchema = z.object({
  ...ITEM,
  ...BOUGHT,
  name,
  hex: HexSchema,
  weight: z.union([z.literal(40), z.literal(60)]),
  fibre: z.enum(['polyester', 'rayon', 'cotton', 'metallic']),
  /** Null: the shop does not count it. */
  metresLeft: counted.nullable(),
});
export type Thread = z.infer<typeof ThreadSchema>;

/** Whether a name is another item's already, however it is written. */
export const isNameTaken = (
  items: readonly { id: string; name: string }[],
  { id, name: called }: { id?: string; name: string },
): boolean =>
  items.some((item) => item.id !== id && item.name.trim().toLowerCase() === called.trim().toLowerCase());

/** Whether there is some of a thread: what is not counted is there. */
export const isThere = ({ metresLeft }: Pick<Thread, 'metresLeft'>): boolean => metresLeft !== 0;

/** Whether two spools are of one thread: its colour, weight and fibre. */
export const isSameThread = (a: Omit<Thread, 'id'>, b: Omit<Thread, 'id'>): boolean =>
  a.hex.toUpperCase() === b.hex.toUpperCase() && a.weight === b.weight && a.fibre === b.fibre;

/** What is counted as it is used up: needles, wound bobbins, adhesives. */
export const SUPPLY_TYPES = [...CHOICE_IDS.needle, ...CHOICE_IDS.bobbin, 'spray', 'tape'] as const;
export type SupplyType = (typeof SUPPLY_TYPES)[number];

/** Some of one supply, in its own unit (`SUPPLIES`); for one machine, or for all. */
export const SupplySchema = z.object({
  ...ITEM,
  ...BOUGHT,
  name,
  type: z.enum(SUPPLY_TYPES),
  left: counted,
  machineId: IdSchema.nullable(),
});
export type Supply = z.infer<typeof SupplySchema>;

/** A bought blank that comes again: its measurements, kept under a name. */
export const BlankSchema = PieceInputSchema.pick({
  kind: true,
  fabricId: true,
  fabricChanges: true,
  colour: true,
  readings: true,
}).extend({ ...ITEM, ...BOUGHT, name });
export type Blank = z.infer<typeof BlankSchema>;

/** A place of the shop's own: a usual one, moved. The move grows with the width it was made at. */
export const OwnPlacementSchema = PlaceInputSchema.pick({ school: true, turnDeg: true }).extend({
  ...ITEM,
  name,
  /** The usual placement it starts from, by id. */
  base: z.string().min(1).max(80),
  offset: PointSchema,
  /** Width of the face when it was made, mm. */
  atWidthMm: lengthMm(1, FARTHEST_MM),
});
export type OwnPlacement = z.infer<typeof OwnPlacementSchema>;

/** A cloth of the shop's own, beside the library's. */
export const OwnFabricSchema = FabricSchema.extend({ ...ITEM, name });

/** So many of each noun a shelf holds. */
export const SHELF_ROOM = {
  hoops: 200,
  machines: 50,
  materials: 500,
  threads: 5000,
  supplies: 500,
  fabrics: 500,
  blanks: 1000,
  placements: 500,
} as const;

/** What the shop owns, and what it keeps for the next time. */
export const ShelfSchema = z.object({
  hoops: z.array(HoopSchema).max(SHELF_ROOM.hoops),
  machines: z.array(MachineSchema).max(SHELF_ROOM.machines),
  materials: z.array(MaterialSchema).max(SHELF_ROOM.materials),
  threads: z.array(ThreadSchema).max(SHELF_ROOM.threads),
  supplies: z.array(SupplySchema).max(SHELF_ROOM.supplies).default([]),
  fabrics: z.array(OwnFabricSchema).max(SHELF_ROOM.fabrics).default([]),
  blanks: z.array(BlankSchema).max(SHELF_ROOM.blanks).default([]),
  placements: z.array(OwnPlacementSchema).max(SHELF_ROOM.placements).default([]),
});

/** The schema of one item of each noun on the shelf. */
export const SHELF_ITEMS = {
  hoops: HoopSchema,
  machines: MachineSchema,
  materials: MaterialSchema,
  threads: ThreadSchema,
  supplies: SupplySchema,
  fabrics: OwnFabricSchema,
  blanks: BlankSchema,
  placements: OwnPlacementSchema,
} as const;
export type Shelf = z.infer<typeof ShelfSchema>;
export type ShelfNoun = keyof Shelf;
export const SHELF_NOUNS = Object.keys(SHELF_ITEMS) as [ShelfNoun, ...ShelfNoun[]];

export const EMPTY_SHELF: Shelf = {
  hoops: [],
  machines: [],
  materials: [],
  threads: [],
  supplies: [],
  fabrics: [],
  blanks: [],
  placements: [],
};
