import type { Ticket } from './ticket';
import { pieceCount } from './ticket/piece';

/** How many pieces a ticket makes: one for each name where it has names, else as many as were asked for. */
export const piecesOf = ({ piece, design }: Pick<Ticket, 'piece' | 'design'>): number =>
  design.names?.rows.length || pieceCount(piece);

/** How many bare pieces a ticket takes of its own: none where its design goes on those of another. */
export const barePiecesOf = (ticket: Pick<Ticket, 'piece' | 'design' | 'samePieceAs'>): number =>
  ticket.samePieceAs === null ? piecesOf(ticket) : 0;
