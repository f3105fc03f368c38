import { z } from 'zod';
import { APPLIQUE_STEPS } from './applique';
import { ARTWORK_BOUNDS, lettersOfPaths, MOST_DESIGN_NAME, MOST_PARTS, MOST_STOPS } from './designBounds';
import { MadeSchema, StitchingSchema, USUAL_STITCHING } from './made';
import { NameSetsSchema, NamesSchema } from './names';
import { EMPTY_PART, PartSchema } from './part';
import { PartStopSchema } from './partStop';

export const LOOKS = ['left', 'right'] as const;
export type Looks = (typeof LOOKS)[number];

/** What the maker enters about the design. */
export const DesignInputSchema = z.object({
  name: z.string().max(MOST_DESIGN_NAME),
  hasUp: z.boolean(),
  /** Which way a figure in it looks; null where it has none, or looks at you. */
  looks: z.enum(LOOKS).nullable(),
  /** How far the machine resizes the whole of it, keeping its stitches. */
  scalePercent: z.number().min(10).max(200),
  /** What it is composed of; a later part lies on an earlier one. */
  parts: z
    .array(PartSchema)
    .min(1)
    .max(MOST_PARTS, `A design has at most ${MOST_PARTS} parts.`)
    .refine(
      (parts) => new Set(parts.map(({ id }) => id)).size === parts.length,
      'Two of its parts have the same id.',
    )
    .refine(
      (parts) =>
        parts.reduce(
          (sum, { colours, appliques }) => sum + colours.length + APPLIQUE_STEPS.length * appliques.length,
          0,
        ) <= MOST_STOPS,
      `Its parts change their colour more than ${MOST_STOPS} times.`,
    )
    .refine(
      (parts) =>
        parts.reduce((sum, { artwork }) => sum + (artwork ? lettersOfPaths(artwork.paths) : 0), 0) <=
        ARTWORK_BOUNDS.letters,
      `The shapes of its parts take over ${ARTWORK_BOUNDS.letters} letters.`,
    ),
  /** The order of stitching that a person holds to; null for the one of fewest thread changes. */
  order: z.array(PartStopSchema).max(MOST_STOPS).nullable(),
  /** The names of an order, one on every piece; null where all pieces have the same. */
  names: NamesSchema.nullable().default(null),
  nameSets: NameSetsSchema.default({}),
  stitching: StitchingSchema.default(USUAL_STITCHING),
  /** What its stitches come to; null until they were made. */
  made: MadeSchema.nullable().default(null),
});
export type DesignInput = z.infer<typeof DesignInputSchema>;

/** Nothing known of the design yet. */
export const EMPTY_DESIGN: DesignInput = {
  name: '',
  hasUp: true,
  looks: null,
  scalePercent: 100,
  parts: [EMPTY_PART],
  order: null,
  names: null,
  nameSets: {},
  stitching: USUAL_STITCHING,
  made: null,
};
