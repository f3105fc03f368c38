import { count, phrase } from '../../base/units/phrase';
import { type Finding, finding } from '../../model/finding';
import type { Ticket } from '../../model/ticket';
import { calledName } from '../../stages/design/names/onTable';
import { withName } from '../../stages/design/names/rows';
import { namesOf } from '../onTable';

/** So many sizes are offered for a name. */
const MOST_OFFERED = 4;

/** How many names are not ticked as made, for whoever logs the ticket. */
export function namesLeft(ticket: Pick<Ticket, 'design'>): Finding[] {
  const rows = namesOf(ticket);
  const left = rows.filter(({ done }) => !done).length;
  if (left === 0) return [];
  const text = phrase`${count(left)} of ${count(rows.length)} names are not ticked as made: it is logged as ${count(rows.length)} pieces.`;
  return [finding('log', 'log-names-left', 'note', text)];
}

/** Names that go on a size which the order does not have, each with the sizes there are. */
export function namesOnSizes(ticket: Pick<Ticket, 'design' | 'piece'>): Finding[] {
  const { names } = ticket.design;
  const sizes = ticket.piece.sizes.map(({ name }) => name);
  return namesOf(ticket).flatMap((row, i) => {
    if (!names || row.size === '' || sizes.includes(row.size)) return [];
    const text = phrase`“${calledName(row)}” goes on size ${row.size}, which the order does not have.`;
    const mends = ['', ...sizes].slice(0, MOST_OFFERED).map((size) => ({
      label: size === '' ? phrase`On this piece` : phrase`On ${size}`,
      result: size === '' ? phrase`it goes on the piece that was measured` : phrase`it goes on size ${size}`,
      change: { stage: 'design' as const, set: { names: withName(names, row.id, { size }) } },
    }));
    return [finding('design', 'design-name-size', 'stop', text, { field: `names.rows.${i}.text`, mends })];
  });
}
