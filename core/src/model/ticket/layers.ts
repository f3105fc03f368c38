import { z } from 'zod';

export const STABILIZER_IDS = [
  'cut-away',
  'mesh',
  'mesh-fusible',
  'tear-away',
  'tear-away-light-fusible',
  'dissolving-fusible',
  'dissolving-sticky',
  'tear-away-sticky',
  'wash-away-sticky',
  'wash-away-cloth',
  'wash-away-film-heavy',
  'interfacing',
] as const;
export type StabilizerId = (typeof STABILIZER_IDS)[number];

/** Where a sheet is: clamped in the ring, slipped under the ring, or no larger than a patch on the piece. */
export const WHERES = ['in the ring', 'under the ring', 'on the piece'] as const;
export type Where = (typeof WHERES)[number];

/** What makes a sheet and the cloth one, the surest first. */
export const BONDS = ['fused', 'sticky', 'sprayed', 'none'] as const;
export type Bond = (typeof BONDS)[number];

/** What fastens a sheet beside its bond, the surest first. */
export const FASTENINGS = ['basting box', 'pins', 'tape', 'none'] as const;
export type Fastening = (typeof FASTENINGS)[number];

export const SheetSchema = z.object({
  stabilizer: z.enum(STABILIZER_IDS),
  where: z.enum(WHERES),
  bond: z.enum(BONDS),
  fastening: z.enum(FASTENINGS),
});
export type Sheet = z.infer<typeof SheetSchema>;

/** How one word once said where a sheet was, what bonded it and what fastened it. */
const KEPT_HOLDS = ['fused', 'hooped', 'spray', 'sticky', 'basting box', 'pins', 'tape'] as const;
export type KeptHold = (typeof KEPT_HOLDS)[number];

/** A sheet as an older version kept it. */
export const KeptSheetSchema = z.object({ stabilizer: z.enum(STABILIZER_IDS), hold: z.enum(KEPT_HOLDS) });
export type KeptSheet = z.infer<typeof KeptSheetSchema>;

/** Sheets in one stack at most: more would be a board. */
export const MOST_SHEETS = 4;
export const SheetsSchema = z.array(SheetSchema).max(MOST_SHEETS);

/** What each part of a stack that takes one choice can be. Support takes a list of sheets. */
export const CHOICE_IDS = {
  topper: ['none', 'soluble-film', 'heat-away-film', 'permanent-film'],
  needle: ['75-embroidery', '75-ballpoint', '75-sharp', '65', '90', '90-large-eye', 'wing'],
  thread: ['polyester-40', 'rayon-40', 'matte-40', 'metallic-40', 'polyester-60'],
  bobbin: ['bobbin-60', 'bobbin-90'],
  cover: ['none', 'soft-cover', 'lining'],
  trim: ['none', 'rounded', 'close', 'tear-all'],
} as const;
export type ChoicePart = keyof typeof CHOICE_IDS;
export const CHOICE_PARTS = Object.keys(CHOICE_IDS) as [ChoicePart, ...ChoicePart[]];
/** The id of a choice of one part. */
export type ChoiceId<P extends ChoicePart = ChoicePart> = (typeof CHOICE_IDS)[P][number];
export type NeedleId = ChoiceId<'needle'>;
export type ThreadId = ChoiceId<'thread'>;
export type BobbinId = ChoiceId<'bobbin'>;
export type TopperId = ChoiceId<'topper'>;
export type CoverId = ChoiceId<'cover'>;

const why = z.string().max(300);
const chosenOf = <P extends ChoicePart>(part: P) =>
  z.object({ choice: z.enum(CHOICE_IDS[part] as readonly ChoiceId<P>[]), why }).optional();

/** One choice to each part, where the maker made one; an id that its part does not know is refused. */
export const ChoicesSchema = z.object({
  topper: chosenOf('topper'),
  needle: chosenOf('needle'),
  thread: chosenOf('thread'),
  bobbin: chosenOf('bobbin'),
  cover: chosenOf('cover'),
  trim: chosenOf('trim'),
});
export type Choices = z.infer<typeof ChoicesSchema>;

/** The maker's own choices, each with the reason that goes into the log. */
export const LayersInputSchema = z.object({
  /** From the cloth downwards. */
  support: z.object({ sheets: SheetsSchema, why }).nullable(),
  choices: ChoicesSchema,
});
export type LayersInput = z.infer<typeof LayersInputSchema>;

/** Whether a text is the id of a choice of a part. */
export const isChoiceOf = <P extends ChoicePart>(part: P, id: string): id is ChoiceId<P> =>
  (CHOICE_IDS[part] as readonly string[]).includes(id);

/** Choices with one of them made, or taken back (null); an id that the part does not know is left out. */
export function withChoice(choices: Choices, part: ChoicePart, id: string | null, reason: string): Choices {
  const { [part]: _, ...others } = choices;
  return id !== null && isChoiceOf(part, id) ? { ...others, [part]: { choice: id, why: reason } } : others;
}

/** Every layer as the rules have it. */
export const EMPTY_LAYERS: LayersInput = { support: null, choices: {} };
