import type { Ticket } from '../../model/ticket';
import type { NameRow } from '../../model/ticket/names';
import { namesOf, withRowOnTable } from '../../planner/onTable';
import { nextName, withName } from '../../stages/design/names/rows';

/** A reading serves every piece of a size; what else was ticked was done to one. */
const isMeasured = (word: string): boolean => word.startsWith('measure ');

/** The ticket with another of its names on the table, and nothing of that piece done yet but what was measured. */
export function withNameTaken(ticket: Ticket, row: NameRow): Ticket {
  const { place, hoop, mount, stitch, finish } = ticket;
  return {
    ...withRowOnTable(ticket, row),
    place: { ...place, done: place.done.filter(isMeasured) },
    hoop: { ...hoop, done: [], part: 0 },
    mount: { ...mount, checked: [], readings: [], obstacles: [] },
    stitch: { ...stitch, stopsDone: 0 },
    finish: { ...finish, done: [] },
  };
}

/** The ticket once the piece on the table is made: it is ticked, and the next that is not is taken. */
export function withPieceMade(ticket: Ticket): Ticket {
  const { names } = ticket.design;
  const row = namesOf(ticket).find(({ id }) => id === names?.onTable) ?? namesOf(ticket)[0];
  if (!names || !row) return ticket;
  const ticked = withName({ ...names, onTable: row.id }, row.id, { done: true });
  const made = { ...ticket, design: { ...ticket.design, names: ticked } };
  const next = nextName(ticked);
  return next ? withNameTaken(made, next) : made;
}
