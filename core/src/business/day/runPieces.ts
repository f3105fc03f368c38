import type { Ticket } from '../../model/ticket';
import { namesOf, ticketOfSize, withRowOnTable } from '../../planner/onTable';
import { calledName } from '../../stages/design/names/onTable';

/** One piece of a run: what tells it from the others, and the ticket as it is worked on at this piece. */
export interface RunPiece {
  label: string;
  /** The size it is of, as the order calls it; empty for the one that was measured. */
  size: string;
  ticket: Ticket;
}

/**
 * Every piece of a ticket in the order of its run: of names one to each name; else the size that was measured, and then
 * every other. Pieces that are alike share one and the same ticket object, so that they are planned once.
 */
export function runPieces(ticket: Ticket): RunPiece[] {
  const names = namesOf(ticket);
  if (names.length > 0)
    return names.map((row) => ({
      label: [calledName(row), row.size].filter(Boolean).join(', '),
      size: row.size,
      ticket: withRowOnTable(ticket, row),
    }));
  const { quantity, sizes } = ticket.piece;
  const runs = [
    { label: '', count: quantity, of: ticket },
    ...sizes.map((size) => ({ label: size.name, count: size.count, of: ticketOfSize(ticket, size) })),
  ];
  return runs.flatMap(({ label, count, of }) =>
    Array.from({ length: count }, () => ({ label, size: label, ticket: of })),
  );
}
