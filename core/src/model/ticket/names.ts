import { z } from 'zod';
import { IdSchema } from '../../base/ids';
import { lengthMm } from '../../base/units/schema';
import { ArtworkSchema } from './artwork';
import {
  MOST_DESIGN_MM,
  MOST_LETTERS,
  MOST_NAME_OUTLINES,
  MOST_NAMES,
  MOST_STITCHES,
  NAME_CAP_PERCENT,
} from './designBounds';

/** What would make a name as narrow as is allowed, each by itself and tried; null for what would not. */
export const NarrowerSchema = z.object({
  /** Between letters, mm. */
  spacingMm: lengthMm(-20, 50).nullable(),
  /** Height of its capitals as a share of what it was set at. */
  capPercent: z.number().min(1).max(100).nullable(),
  /** The name in two lines. */
  text: z
    .string()
    .max(MOST_LETTERS + 1)
    .nullable(),
});
export type Narrower = z.infer<typeof NarrowerSchema>;

/** A name as it was set: its size in mm and its stitches at 100 %, its outlines, and what would make it narrower. */
export const NameSetSchema = z.object({
  widthMm: lengthMm(0, MOST_DESIGN_MM),
  heightMm: lengthMm(0, MOST_DESIGN_MM),
  stitches: z.number().int().min(1).max(MOST_STITCHES),
  artwork: ArtworkSchema,
  /** The width that it was held against, mm at 100 %; null for none. */
  withinMm: lengthMm(0, 100 * MOST_DESIGN_MM).nullable(),
  /** Null where it is no wider than that. */
  narrower: NarrowerSchema.nullable(),
});
export type NameSet = z.infer<typeof NameSetSchema>;

/** One name of an order, set as all of them are but for what it says of its own. */
export const NameRowSchema = z.object({
  id: IdSchema,
  text: z.string().max(MOST_LETTERS + 1),
  /** Height of its capitals as a share of what all have. */
  capPercent: z.number().min(NAME_CAP_PERCENT.least).max(NAME_CAP_PERCENT.most),
  /** Between its letters, mm; null as in all names. */
  spacingMm: lengthMm(-20, 50).nullable(),
  /** The size of the order that it goes on; empty for the piece that was measured. */
  size: z.string().max(60),
  /** Whether its piece is made. */
  done: z.boolean(),
});
export type NameRow = z.infer<typeof NameRowSchema>;

/** The names of an order: one design, with the letters of one part another on every piece. */
export const NamesSchema = z.object({
  /** The part whose letters are another on every piece. */
  part: IdSchema,
  /** No name is to be wider than this as it is stitched, mm; null for any width. */
  allowedMm: lengthMm(1, MOST_DESIGN_MM).nullable(),
  /** The name that is worked on; one that is not there stands for the first. */
  onTable: IdSchema,
  rows: z
    .array(NameRowSchema)
    .max(MOST_NAMES, `A ticket has at most ${MOST_NAMES} names.`)
    .refine((rows) => new Set(rows.map(({ id }) => id)).size === rows.length, 'Two names have the same id.'),
});
export type Names = z.infer<typeof NamesSchema>;

const outlinesOf = (sets: Readonly<Record<string, NameSet>>): number =>
  Object.values(sets).reduce(
    (sum, { artwork }) => sum + artwork.paths.reduce((n, { d }) => n + d.length, 0),
    0,
  );

/** The names of an order as they were set, by the ids of their rows: made from what is entered, and never entered. */
export const NameSetsSchema = z
  .record(IdSchema, NameSetSchema)
  .refine((sets) => Object.keys(sets).length <= MOST_NAMES, `At most ${MOST_NAMES} names are set.`)
  .refine(
    (sets) => outlinesOf(sets) <= MOST_NAME_OUTLINES,
    'The outlines of these names take too much room.',
  );
export type NameSets = z.infer<typeof NameSetsSchema>;

/** Whether there is room for these set names. */
export const haveRoom = (sets: NameSets): boolean => outlinesOf(sets) <= MOST_NAME_OUTLINES;
