import type { Ticket } from '../model/ticket';
import type { NameRow } from '../model/ticket/names';
import type { PieceInput, Size } from '../model/ticket/piece';
import { designOfRow, namePartOf, rowOnTable } from '../stages/design/names/onTable';
import { PIECE_KINDS } from '../stages/piece/kinds';
import { readingsOfSize } from '../stages/piece/sizes';

/** The piece of another size of the order, or the one that was measured; found uneven was only that one. */
export function pieceOfSize(piece: PieceInput, size: Size | undefined): PieceInput {
  if (!size) return piece;
  const widthId = PIECE_KINDS[piece.kind].readings[0]?.id ?? '';
  return { ...piece, readings: readingsOfSize(size, piece.readings, widthId), evenness: [] };
}

/**
 * The piece that is worked on: the one that was measured, or of the size that the name on the table goes on; and of
 * every size as many as there are names for it.
 */
export function pieceOnTable({ piece, design }: Pick<Ticket, 'piece' | 'design'>): PieceInput {
  const row = rowOnTable(design);
  if (!row) return piece;
  const rows = design.names?.rows ?? [];
  const sizes = piece.sizes.map((size) => ({
    ...size,
    count: rows.filter((other) => other.size === size.name).length,
  }));
  const others = sizes.reduce((sum, { count }) => sum + count, 0);
  return {
    ...pieceOfSize(
      piece,
      piece.sizes.find(({ name }) => name === row.size),
    ),
    quantity: rows.length - others,
    sizes,
  };
}

/** The ticket with one of its names on the table. */
export const withRowOnTable = (ticket: Ticket, row: NameRow): Ticket =>
  ticket.design.names
    ? { ...ticket, design: { ...ticket.design, names: { ...ticket.design.names, onTable: row.id } } }
    : ticket;

/** The ticket of one size of the order, the measured one where none is given, with a name that goes on it and no others. */
export function ticketOfSize(ticket: Ticket, size?: Size): Ticket {
  const { piece, design } = ticket;
  const row = namesOf(ticket).find((one) => one.size === (size?.name ?? '')) ?? rowOnTable(design);
  return {
    ...ticket,
    piece: pieceOfSize(piece, size),
    design: row ? { ...designOfRow(design, row), names: null } : design,
  };
}

/** The names of the order that can be worked on; none where there are no letters to set them in. */
export const namesOf = ({ design }: Pick<Ticket, 'design'>): readonly NameRow[] =>
  namePartOf(design) ? (design.names?.rows ?? []) : [];

/** The name in the hand, as which of how many; null where there are none. */
export function nameInHand(
  ticket: Pick<Ticket, 'design'>,
): { row: NameRow; number: number; of: number } | null {
  const row = rowOnTable(ticket.design);
  const rows = namesOf(ticket);
  return row && { row, number: rows.indexOf(row) + 1, of: rows.length };
}
