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

/** How a sheet is held, best first. */
export const HOLDS = ['fused', 'hooped', 'spray', 'sticky', 'basting box', 'pins', 'tape'] as const;
export type Hold = (typeof HOLDS)[number];

export const SheetSchema = z.object({ stabilizer: z.enum(STABILIZER_IDS), hold: z.enum(HOLDS) });
export type Sheet = z.infer<typeof SheetSchema>;

/** The parts of a stack that take one choice each. Support takes a list of sheets. */
export const CHOICE_PARTS = ['topper', 'needle', 'thread', 'bobbin', 'cover', 'trim'] as const;
export type ChoicePart = (typeof CHOICE_PARTS)[number];

const why = z.string().max(300);

/** The maker's own choices, each with the reason that goes into the log. */
export const LayersInputSchema = z.object({
  /** From the cloth downwards. */
  support: z.object({ sheets: z.array(SheetSchema).max(4), why }).nullable(),
  choices: z.partialRecord(z.enum(CHOICE_PARTS), z.object({ choice: z.string(), why })),
});
export type LayersInput = z.infer<typeof LayersInputSchema>;
