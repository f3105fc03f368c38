import { type LogEntry, summaryOf } from '@zt/core/model/logEntry';

/** The row that keeps an entry, with the columns it is filtered by. */
export function rowOf(entry: LogEntry) {
  const summary = summaryOf(entry);
  const { ticketId, loggedAt, kind, fabricId, method, outcome } = summary;
  return {
    id: entry.id,
    ticketId,
    loggedAt,
    kind,
    fabricId,
    method,
    outcome,
    summary,
    ticket: entry.ticket,
    plan: entry.plan,
    log: entry.log,
    deletedAt: null,
  };
}
