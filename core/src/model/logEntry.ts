import { z } from 'zod';
import { IdSchema } from '../base/ids';
import { type FrozenPlan, FrozenPlanSchema } from './frozenPlan';
import { PIECE_KIND_IDS } from './pieceKindIds';
import { piecesOf } from './pieces';
import { type Ticket, TicketSchema } from './ticket';
import { METHODS } from './ticket/hoop';
import { LogInputSchema, OUTCOMES, offBy, outcomeOf, worstFault } from './ticket/log';

/** One finished piece: the ticket, the plan as it was then, and the maker's report. Kept as it is. */
export const LogEntrySchema = z.object({
  id: IdSchema,
  loggedAt: z.iso.datetime(),
  ticket: TicketSchema,
  /** The plan frozen at that moment, as the planner of that day made it. */
  plan: FrozenPlanSchema,
  log: LogInputSchema,
});
export type LogEntry = z.infer<typeof LogEntrySchema>;

/** What a line of the logbook shows and what it is filtered by. */
export const LogSummarySchema = z.object({
  id: IdSchema,
  ticketId: IdSchema,
  loggedAt: z.iso.datetime(),
  name: z.string(),
  customer: z.string(),
  kind: z.enum(PIECE_KIND_IDS),
  fabricId: z.string(),
  method: z.enum([...METHODS, 'partly']),
  outcome: z.enum(OUTCOMES),
  misplacementMm: z.number().nullable(),
  note: z.string(),
  /** How many pieces it stands for. */
  pieces: z.number().int().min(1).default(1),
  /** How many of them came out without a fault; null where an older entry did not count. */
  clean: z.number().int().min(0).nullable().default(null),
  /** A trial on a scrap. */
  swatch: z.boolean().default(false),
});
export type LogSummary = z.infer<typeof LogSummarySchema>;

/** The line of the logbook that stands for an entry. What was really used goes before what was planned. */
export function summaryOf(entry: {
  id: string;
  loggedAt: string;
  ticket: Ticket;
  plan: FrozenPlan;
  log: Ticket['log'];
}): LogSummary {
  const { ticket, log } = entry;
  const pieces = piecesOf(ticket);
  const bad = log.others.filter((one) => worstFault(one) > 0).length;
  return {
    id: entry.id,
    ticketId: ticket.id,
    loggedAt: entry.loggedAt,
    name: ticket.name,
    customer: ticket.customer,
    kind: ticket.piece.kind,
    fabricId: ticket.piece.fabricId,
    method: log.used.method ?? entry.plan.hoop?.method ?? 'hooped',
    outcome: outcomeOf(log),
    misplacementMm: offBy(log, 0).mm,
    note: log.note,
    pieces,
    clean: Math.max(0, worstFault(log) > 0 ? log.others.length - bad : pieces - bad),
    swatch: log.swatch,
  };
}
