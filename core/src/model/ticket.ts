import { z } from 'zod';
import { IdSchema } from '../base/ids';
import { MinorSchema } from '../base/units/money';
import { PhraseSchema } from '../base/units/phrase';
import { type Refusal, refusalsOf } from './fields/refusal';
import { followRows, UnreadSchema, withUnread } from './fields/unread';
import { OffersSchema } from './offer';
import { STAGES, type Stage } from './stages';
import { INPUT_SCHEMAS, type Inputs } from './ticket/inputs';

const HEAD = {
  name: z.string().max(120),
  customer: z.string().max(120),
  /** ISO date, or null when it is not promised for a day. */
  due: z.iso.date().nullable(),
  /** What one bare piece costs the shop, in its smallest coin; 0 where it was brought, null while nobody has said. */
  blankMinor: MinorSchema.nullable().default(null),
  /** The order it belongs to; null where it was not ordered. */
  orderId: IdSchema.nullable().default(null),
  /** Another ticket, whose pieces this design goes on too: one bare piece for both, made after it; null for its own. */
  samePieceAs: IdSchema.nullable().default(null),
};
/** What a ticket is called, for whom, and until when. */
export const TicketHeadSchema = z.object(HEAD);
export type TicketHead = z.infer<typeof TicketHeadSchema>;

/** The most phrases that a settled stage is kept with. */
export const MOST_SETTLED = 400;

/** One piece of work: what the maker entered, and nothing that can be worked out. */
export const TicketSchema = z.object({
  id: IdSchema,
  ...HEAD,
  /** The stages the maker has settled. */
  settled: z.array(z.enum(STAGES)),
  /** What a settled stage answered then, so that a later change of it is told. */
  settledAs: z.partialRecord(z.enum(STAGES), z.array(PhraseSchema).max(MOST_SETTLED)).default({}),
  ...INPUT_SCHEMAS,
  /** What was typed and could not be taken, by the path of its field (`place.edgeGapMm`). */
  unread: UnreadSchema.default({}),
  /** What was entered on another device in a field that was changed here too. */
  offers: OffersSchema.default({}),
});
export type Ticket = z.infer<typeof TicketSchema>;

/** A change to one stage's inputs: the fields named in `set` replace the old ones. */
export type Change = {
  [S in Stage]: {
    stage: S;
    set: Partial<Inputs[S]>;
    /** Texts that could not be taken, by the path of their field; an empty one is no longer kept. */
    unread?: Record<string, string> | undefined;
  };
}[Stage];

const changeOf = (stage: Stage) =>
  z.object({
    stage: z.literal(stage),
    set: (INPUT_SCHEMAS[stage] as z.ZodObject).partial(),
    unread: z.record(z.string(), z.string()).optional(),
  });

/** What a change may be: one to a stage, its fields as the ticket keeps them. */
export const ChangeSchema = z.discriminatedUnion('stage', [
  changeOf(STAGES[0]),
  ...STAGES.slice(1).map(changeOf),
]) as unknown as z.ZodType<Change>;

/** The ticket after a change; the one given is left as it was. */
export function applyChange(ticket: Ticket, change: Change): Ticket {
  const changed = { ...ticket, [change.stage]: { ...ticket[change.stage], ...change.set } };
  const followed = followRows(ticket.unread, ticket, changed);
  const unread = Object.entries(change.unread ?? {}).reduce(
    (u, [at, text]) => withUnread(u, at, text),
    followed,
  );
  return { ...changed, unread };
}

/** A change without the inputs that the schema refuses, and why each is refused. */
export function admitted(change: Change): { change: Change; refused: Refusal[] } {
  const refused = refusalsOf(ChangeSchema.safeParse(change).error).flatMap(({ at, message }) =>
    at.startsWith('set.') ? [{ at: `${change.stage}${at.slice('set'.length)}`, message }] : [],
  );
  if (refused.length === 0) return { change, refused };
  const isRefused = (key: string) => refused.some(({ at }) => at.split('.')[1] === key);
  const set = Object.fromEntries(Object.entries(change.set).filter(([key]) => !isRefused(key)));
  return { change: { ...change, set } as Change, refused };
}
