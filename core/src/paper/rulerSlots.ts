import { GRADE_ANCHORS, GRADE_NAMES } from '../catalogue/gradedTable';
import type { HouseRules } from '../model/houseRules';
import type { Shelf } from '../model/shelf';
import type { Ticket } from '../model/ticket';
import { sizeRun } from '../table/sizes/sizeRun';

/** A slot of a placement ruler: where one size's centre lies, seen from the landmark on the centre line. mm. */
export interface Slot {
  name: string;
  at: { x: number; y: number };
}

/** The sizes a ruler is made for when the order names none: the graded table's own widths. */
function gradedSizes(ticket: Ticket): Ticket['piece']['sizes'] {
  if (ticket.piece.readings.chestWidth === undefined) return [];
  return GRADE_ANCHORS.map((chestWidth, i) => ({
    name: GRADE_NAMES[i] ?? '',
    count: 1,
    readings: { chestWidth },
  }));
}

/** A slot for the ticket's piece and for each size of its order; a size that could not be placed has none. */
export function rulerSlots(ticket: Ticket, shelf: Shelf, rules: HouseRules): Slot[] {
  const sizes = ticket.piece.sizes.length > 0 ? ticket.piece.sizes : gradedSizes(ticket);
  const rows = sizeRun({ ...ticket, piece: { ...ticket.piece, sizes } }, shelf, rules);
  return rows.flatMap(({ name, plan: { place } }) =>
    place ? [{ name, at: { x: place.acrossMm, y: place.centre.y - place.depthFrom.y } }] : [],
  );
}
