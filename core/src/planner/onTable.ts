import type { Ticket } from '../model/ticket';
import type { NameRow } from '../model/ticket/names';
import type { PieceInput } from '../model/ticket/piece';
import { namePartOf, rowOnTable } from '../stages/design/names/onTable';
import { PIECE_KINDS } from '../stages/piece/kinds';
import { readingsOfSize } from '../stages/piece/sizes';

/** The piece of another size, as far as it was measured; found uneven was only the one that was. */
export function pieceOfSize(piece: PieceInput, name: string): PieceInput {
  const size = piece.sizes.find((one) => one.name === name);
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
  const namesOf = (size: string): number => rows.filter((other) => other.size === size).length;
  const sizes = piece.sizes.map((size) => ({ ...size, count: namesOf(size.name) }));
  const others = sizes.reduce((sum, { count }) => sum + count, 0);
  return { ...pieceOfSize(piece, row.size), quantity: rows.length - others, sizes };
}

/** The ticket with one of its names on the table. */
export const withRowOnTable = (ticket: Ticket, row: NameRow): Ticket =>
  ticket.design.names
    ? { ...ticket, design: { ...ticket.design, names: { ...ticket.design.names, onTable: row.id } } }
    : ticket;

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

/** A name on one line, as it is called. */
export const calledName = ({ text }: Pick<NameRow, 'text'>): string => text.trim().replace(/\s+/g, ' ');
