import { z } from 'zod';
import { IdSchema } from '../base/ids';
import { FindingSchema } from './finding';
import { HouseRulesSchema } from './houseRules';
import { LogEntrySchema, LogSummarySchema } from './logEntry';
import { MovementSchema } from './movement';
import { PIECE_KIND_IDS } from './pieceKindIds';
import { PracticeJobSchema, PracticePoseSchema, PracticeStateSchema } from './practice';
import { ReasonSchema } from './reason';
import { SHELF_ITEMS, SHELF_NOUNS, SHELF_ROOM, type ShelfNoun, ShelfSchema } from './shelf';
import { ShelfUseSchema } from './shelfUse';
import { STAGES, type Stage } from './stages';
import { TicketSchema } from './ticket';
import { OUTCOMES } from './ticket/log';
import { DENSITY_CLASSES } from './ticket/part';
import { USE_TRAITS } from './way';

/** What the shop's computer is asked and answers: one schema each, for the routes and for those who call them. */

const rev = z.number().int();

/** A ticket as it is kept: with the count of its saves, and the log entry it ended in. */
export const KeptTicketSchema = z.object({
  ticket: TicketSchema,
  rev,
  updatedAt: z.string(),
  loggedAs: z.string().nullable(),
  /** Whether it is on the bench; one taken off can still be opened. */
  onBench: z.boolean(),
});
export type KeptTicket = z.infer<typeof KeptTicketSchema>;

/** Which device sends, under what name people know it, and the sending's own id: taken once, however often it comes. */
export const SendingSchema = z.object({ id: IdSchema, device: IdSchema, name: z.string().max(60) });

/**
 * A ticket, and the revision it was read at; 0 for a new one. With the ticket as it was then, it is put together with
 * what others made of it meanwhile; without, such a save is refused.
 */
export const SaveTicketSchema = z.object({
  ticket: TicketSchema,
  rev: rev.min(0),
  base: TicketSchema.optional(),
  sending: SendingSchema.optional(),
});
export type SaveTicket = z.infer<typeof SaveTicketSchema>;

/**
 * `onBench` is false when the ticket was taken off the bench meanwhile: the save is kept, and it stays off. `ticket` is
 * there where what is kept is not what was sent.
 */
export const SavedTicketSchema = z.object({ rev, onBench: z.boolean(), ticket: TicketSchema.optional() });
export type SavedTicket = z.infer<typeof SavedTicketSchema>;

/** No batch is longer than the fullest list of a shelf. */
const MOST_CHANGES = SHELF_ROOM.threads;
const ShelfRowSchema = z.object({ noun: z.enum(SHELF_NOUNS), id: z.string() });

/** An item as it is to be, and as it was when it was changed; without that it takes the place of what is kept. */
const putOf = <N extends ShelfNoun>(noun: N) =>
  z.object({
    noun: z.literal(noun),
    item: SHELF_ITEMS[noun],
    base: SHELF_ITEMS[noun].optional(),
  });
const [FIRST, ...OTHERS] = SHELF_NOUNS;

/**
 * Changes of the shelf: all of them are made, or none. Each is put together with what others made of the item
 * meanwhile; its amounts go up or down by what they were changed by.
 */
export const ShelfChangesSchema = z.object({
  put: z
    .array(z.discriminatedUnion('noun', [putOf(FIRST), ...OTHERS.map(putOf)]))
    .max(MOST_CHANGES)
    .default([]),
  remove: z.array(ShelfRowSchema).max(MOST_CHANGES).default([]),
  /** What raises an amount: a purchase, or a recount. */
  as: z.enum(['bought', 'corrected']).default('corrected'),
  sending: SendingSchema.optional(),
});
/** The changes as they are sent. */
export type ShelfChanges = z.input<typeof ShelfChangesSchema>;

/** An item that was changed, as it is kept now. */
export const ShelfChangedSchema = z.object({
  put: z.array(z.object({ noun: z.enum(SHELF_NOUNS), item: z.unknown() })),
});

/** What came and went of one item, the latest first. */
export const MovementsSchema = z.array(MovementSchema);

/** House rules as they are to be, and as they were when they were changed. */
export const SaveRulesSchema = z.object({
  rules: HouseRulesSchema,
  base: HouseRulesSchema.optional(),
  sending: SendingSchema.optional(),
});
export type SaveRules = z.infer<typeof SaveRulesSchema>;

/** One page of a list, and the key after which the next one begins; null on the last. */
const pageOf = { next: z.string().nullable() };
/** What a page is asked by: words that it is searched for, and the key of the page before. */
const pageAsked = { q: z.string().max(200).optional(), after: z.string().max(400).optional() };

export const BenchQuestionSchema = z.object(pageAsked);

/** A page of the bench, soonest due first; `total` counts all that agree with the question. */
export const BenchPageSchema = z.object({
  tickets: z.array(KeptTicketSchema),
  total: z.number().int(),
  ...pageOf,
});
export type BenchPage = z.infer<typeof BenchPageSchema>;

/** By what entries are told apart and counted, in the order it is shown. */
export const LOG_FACETS = [
  'outcome',
  'kind',
  'fabricId',
  'use',
  'density',
  'method',
  'stack',
  'needle',
  'customer',
  'who',
] as const;
export type LogFacet = (typeof LOG_FACETS)[number];

/** The values that are chosen of a facet; in an address the field is named once for each. */
const chosen = <T extends z.ZodType<string>>(value: T) =>
  z
    .union([value, z.array(value).max(100)])
    .transform((values): string[] => (Array.isArray(values) ? values : [values]))
    .optional();
const anyText = z.string().max(200);
/** What a piece is for, as it is counted: `other` where it is none of these. */
export const USES = [...USE_TRAITS, 'other'] as const;
const FACET_FIELDS = {
  outcome: chosen(z.enum(OUTCOMES)),
  kind: chosen(z.enum(PIECE_KIND_IDS)),
  fabricId: chosen(anyText),
  use: chosen(z.enum(USES)),
  density: chosen(z.enum(DENSITY_CLASSES)),
  method: chosen(LogSummarySchema.shape.method),
  stack: chosen(anyText),
  needle: chosen(anyText),
  customer: chosen(anyText),
  who: chosen(anyText),
} satisfies Record<LogFacet, z.ZodType>;
/** What the logbook is filtered by: words, values of every facet, and the days between which it was logged. */
export const LogFilterSchema = z.object({
  ...FACET_FIELDS,
  q: pageAsked.q,
  from: z.iso.date().optional(),
  to: z.iso.date().optional(),
});

/** By what the logbook is sorted; each way round. */
export const LOG_ORDERS = ['date', 'name', 'customer', 'kind', 'cloth', 'method', 'outcome'] as const;
export const LogOrderSchema = z.object({
  by: z.enum(LOG_ORDERS).default('date'),
  way: z.enum(['rising', 'falling']).default('falling'),
});
export type LogOrder = z.infer<typeof LogOrderSchema>;
export const LogQuestionSchema = LogFilterSchema.extend({
  ...LogOrderSchema.shape,
  after: pageAsked.after,
});
export type LogQuestion = Omit<z.infer<typeof LogQuestionSchema>, 'after'>;

/** The values of each facet with how many entries they would leave, the most frequent first. */
const FacetsSchema = z.object(
  Object.fromEntries(
    LOG_FACETS.map((facet) => [facet, z.array(z.object({ value: z.string(), n: z.number().int() }))]),
  ) as Record<LogFacet, z.ZodArray<z.ZodObject<{ value: z.ZodString; n: z.ZodNumber }>>>,
);

/** What is found: a page of ids and the key of the next, and of all that agree how many there are, by every facet. */
export interface LogFound {
  ids: string[];
  next: string | null;
  total: number;
  facets: z.infer<typeof FacetsSchema>;
  outcomes: Record<(typeof OUTCOMES)[number], number>;
}

/** A page of the logbook, the latest first unless it was asked otherwise; `counts` are of all that agree with the filter. */
export const LogPageSchema = z.object({
  entries: z.array(LogSummarySchema),
  counts: z.record(z.enum(OUTCOMES), z.number().int()),
  facets: FacetsSchema,
  ...pageOf,
});
export type LogPage = z.infer<typeof LogPageSchema>;
export type LogFilter = z.infer<typeof LogFilterSchema>;

/** A search that is kept under a name. */
export const SavedSearchSchema = z.object({
  id: IdSchema,
  name: z.string().min(1).max(60),
  filter: LogFilterSchema,
});
export type SavedSearch = z.infer<typeof SavedSearchSchema>;

/** A finished piece: the id of its entry, and its ticket with the report on it. The plan is worked out once, there. */
export const LogPieceSchema = z.object({ id: IdSchema, ticket: TicketSchema });
export type LogPiece = z.infer<typeof LogPieceSchema>;

/** The entry that stands for the piece: another than was sent where the ticket was logged before. */
export const LoggedSchema = LogEntrySchema.pick({ id: true, loggedAt: true });
export type Logged = z.infer<typeof LoggedSchema>;

/** An entry with what logging it took off the shelf. */
export const KeptEntrySchema = LogEntrySchema.extend({ taken: z.array(ShelfUseSchema) });
export type KeptEntry = z.infer<typeof KeptEntrySchema>;

export const BACKUP_KINDS = ['daily', 'weekly', 'before-migration', 'before-restore', 'by-hand'] as const;

/** A backup that is kept: when it was made, on what occasion, and how large it is. */
export const KeptBackupSchema = z.object({
  name: z.string(),
  kind: z.enum(BACKUP_KINDS),
  madeAt: z.string(),
  bytes: z.number().int(),
});
export type KeptBackup = z.infer<typeof KeptBackupSchema>;

/** Where backups are kept on the shop's computer, and which, the latest first; no folder where it keeps none. */
export const BackupsSchema = z.object({
  folder: z.string().nullable(),
  kept: z.array(KeptBackupSchema),
  /** How many of each kind are kept. */
  most: z.record(z.enum(BACKUP_KINDS), z.number().int()),
  /** Photos have a copy each beside the backups; null where they are not counted here. */
  photos: z.object({ photos: z.number().int(), bytes: z.number().int() }).nullable().default(null),
});
export type Backups = z.infer<typeof BackupsSchema>;

/** Nouns whose rows are kept one by one: what of them cannot be read is named, mended, or taken out of sight. */
export const SET_ASIDE_PLACES = [
  'shelf',
  'tickets',
  'logbook',
  'orders',
  'customers',
  'day',
  'rules',
  'searches',
] as const;

/** A row that cannot be read: named, with why, and whether it can be mended. It takes no other with it. */
export const SetAsideSchema = z.object({
  place: z.enum(SET_ASIDE_PLACES),
  id: z.string(),
  name: z.string(),
  why: z.string(),
  canMend: z.boolean(),
});
export type SetAside = z.infer<typeof SetAsideSchema>;

/** A ticket, or the id of one that is kept. */
const ofTicket = <T extends z.ZodRawShape>(more: T) =>
  z.union([z.object({ ticket: TicketSchema, ...more }), z.object({ ticketId: IdSchema, ...more })]);

/** A ticket that something is asked of. */
export const TicketQuestionSchema = ofTicket({});

/** A plan asked for; shelf and house rules are the shop's own unless given. */
export const PlanQuestionSchema = ofTicket({
  shelf: ShelfSchema.optional(),
  houseRules: HouseRulesSchema.optional(),
});

const stage = z.record(z.string(), z.unknown()).nullable();

/** A whole plan: a stage is null while an earlier one cannot be right. */
export const PlanAnswerSchema = z.object({
  ...(Object.fromEntries(STAGES.map((name) => [name, stage])) as Record<Stage, typeof stage>),
  findings: z.array(FindingSchema),
  reasons: z.array(ReasonSchema),
});

/** A ticket to lay on the practice machine: as planned, or as it really lies. */
export const LayPracticeSchema = ofTicket({ lie: PracticePoseSchema.optional() });

/** What lies on the practice machine, and how it stands. The run is named in every press. */
export const OnPracticeSchema = z.object({
  run: z.uuid(),
  job: PracticeJobSchema,
  state: PracticeStateSchema,
});
export type OnPractice = z.infer<typeof OnPracticeSchema>;
