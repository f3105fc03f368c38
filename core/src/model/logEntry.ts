import { z } from 'zod';
import { IdSchema } from '../base/ids';
import { type FrozenPlan, FrozenPlanSchema } from './frozenPlan';
import { PIECE_KIND_IDS } from './pieceKindIds';
import { piecesOf } from './pieces';
import { type Ticket, TicketSchema } from './ticket';
import { METHODS } from './ticket/hoop';
import { LogInputSchema, OUTCOMES, outcomeOf } from './ticket/log';

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
    misplacementMm: log.misplacementMm,
    note: log.note,
    pieces: piecesOf(ticket),
  };
}
