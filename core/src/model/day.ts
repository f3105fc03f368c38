import { z } from 'zod';
import { IdSchema } from '../base/ids';
import { SendingSchema } from './api';
import { UnreadSchema } from './fields/unread';
import { OffersSchema } from './offer';
import { ORDER_STATES } from './order';
import { TicketSchema } from './ticket';

/** Since when, ms since 1970. */
const sinceMs = z.number().int().min(0);
/** How far a piece is on the day it is made. */
export const StandSchema = z.discriminatedUnion('at', [
  z.object({ at: z.literal('prepared'), sinceMs }),
  z.object({ at: z.literal('hooped'), hoop: IdSchema, sinceMs }),
  /** On its machine, at a run: from one time that hands are needed to the next. */
  z.object({ at: z.literal('machine'), hoop: IdSchema, run: z.number().int().min(0).max(500), sinceMs }),
  z.object({ at: z.literal('off'), sinceMs }),
  z.object({ at: z.literal('finished'), sinceMs }),
]);
export type Stand = z.infer<typeof StandSchema>;

/** One hooping of one piece of a ticket: `ticket:piece:hooping`, counted from 0. */
const WorkIdSchema = z.string().max(90);

export const workId = (ticketId: string, piece: number, hooping = 0): string =>
  `${ticketId}:${piece}:${hooping}`;
export function readWorkId(id: string): { ticketId: string; piece: number; hooping: number } {
  const [ticketId = '', piece, hooping] = id.split(':');
  return { ticketId, piece: Number(piece), hooping: Number(hooping) };
}

/** There is one such sheet. */
export const DAY_ID = 'day';
export const MOST_STANDS = 5000;

/** What people say of the work that is to be planned: how far its pieces are, which go first, and which can wait. */
export const DaySheetSchema = z.object({
  id: z.literal(DAY_ID).default(DAY_ID),
  stands: z
    .record(WorkIdSchema, StandSchema)
    .refine((stands) => Object.keys(stands).length <= MOST_STANDS, `At most ${MOST_STANDS} pieces.`)
    .default({}),
  /** Pieces that go onto their machines in this order, before all others. */
  pinned: z.array(WorkIdSchema).max(500).default([]),
  /** Tickets that wait for another day. */
  later: z.array(IdSchema).max(2000).default([]),
  unread: UnreadSchema.optional(),
  offers: OffersSchema.optional(),
});
export type DaySheet = z.infer<typeof DaySheetSchema>;
export const EMPTY_DAY: DaySheet = { id: DAY_ID, stands: {}, pinned: [], later: [] };

/** So many tickets at most are looked at for a plan, those that are due first. */
export const MOST_DAY_TICKETS = 60;

export const SaveDaySchema = z.object({
  sheet: DaySheetSchema,
  base: DaySheetSchema.optional(),
  sending: SendingSchema.optional(),
});
export type SaveDay = z.infer<typeof SaveDaySchema>;

const NamedSchema = z.object({ id: z.string(), name: z.string() });
/** The sheet, with the tickets that are due first; those that wait by their names, and how many more there are. */
export const DayAnswerSchema = z.object({
  sheet: DaySheetSchema,
  tickets: z.array(
    z.object({
      ticket: TicketSchema,
      /** The day it is promised for, or its order is; null for any. */
      due: z.iso.date().nullable(),
      /** The order it belongs to, as far as a plan asks; null for none. */
      order: z
        .object({ name: z.string(), state: z.enum(ORDER_STATES) })
        .nullable()
        .default(null),
    }),
  ),
  later: z.array(NamedSchema),
  /** Of all pieces in the logbook, how many there are and how many were lost. */
  spoilt: z.object({ pieces: z.number().int(), spoilt: z.number().int() }),
  /** Tickets beyond those, and tickets of orders that are not agreed yet. */
  more: z.object({ tickets: z.number().int(), notAgreed: z.number().int() }),
});
export type DayAnswer = z.infer<typeof DayAnswerSchema>;
export type DayTicket = DayAnswer['tickets'][number];

/** The sheet with a piece at another stage; null for one that is not begun. */
export function withStand(sheet: DaySheet, id: string, stand: Stand | null): DaySheet {
  const { [id]: _before, ...others } = sheet.stands;
  return { ...sheet, stands: stand ? { ...others, [id]: stand } : others };
}

/** Whether any piece of some tickets is begun and not finished: somebody works by the plan. */
export const isUnderWay = ({ stands }: DaySheet, tickets: readonly Pick<DayTicket, 'ticket'>[]): boolean => {
  const ids = new Set(tickets.map(({ ticket }) => ticket.id));
  return Object.entries(stands).some(([id, { at }]) => at !== 'finished' && ids.has(readWorkId(id).ticketId));
};
