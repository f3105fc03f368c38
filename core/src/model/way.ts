import { z } from 'zod';
import { IdSchema } from '../base/ids';
import { METHODS } from './ticket/hoop';
import { ChoicesSchema, SheetsSchema } from './ticket/layers';
import { DENSITY_CLASSES } from './ticket/part';

/** Cloth as a way of the shop's own tells it apart. */
export const CLOTH_TRAITS = [
  'knit',
  'thick knit',
  'see-through knit',
  'stable woven',
  'light drape',
  'open weave',
  'pile',
  'waffle',
  'canvas',
  'faux suede',
  'sheer',
  'no cloth',
] as const;
export type ClothTrait = (typeof CLOTH_TRAITS)[number];

/** What a piece is for, as a way of the shop's own tells it apart. */
export const USE_TRAITS = ['worn', 'baby', 'table linen', 'sat on', 'carried', 'toy', 'ornament'] as const;
export type UseTrait = (typeof USE_TRAITS)[number];

/** Where a way applies; an empty list or null is: anywhere. */
export const WayAppliesSchema = z.object({
  cloths: z.array(z.enum(CLOTH_TRAITS)).max(CLOTH_TRAITS.length),
  uses: z.array(z.enum(USE_TRAITS)).max(USE_TRAITS.length),
  densities: z.array(z.enum(DENSITY_CLASSES)).max(DENSITY_CLASSES.length),
  method: z.enum(METHODS).nullable(),
  /** Only for letters of one colour. */
  plainLettering: z.boolean(),
});
export type WayApplies = z.infer<typeof WayAppliesSchema>;

/** The most letters of a way's name, and of why. */
export const WAY_LETTERS = { name: 80, why: 300 } as const;

/** A way of the shop's own: a whole stack, where it applies, and why. It counts as a school of the shop. */
export const WaySchema = z.object({
  id: IdSchema,
  name: z.string().min(1).max(WAY_LETTERS.name),
  why: z.string().max(WAY_LETTERS.why),
  /** The day the shop took it on. */
  since: z.iso.date(),
  /** Switched off, it is kept and not followed. */
  on: z.boolean(),
  applies: WayAppliesSchema,
  /** From the cloth downwards. */
  sheets: SheetsSchema,
  /** What else the way decides: topper, cover, trim and so on. */
  choices: ChoicesSchema,
});
export type Way = z.infer<typeof WaySchema>;
