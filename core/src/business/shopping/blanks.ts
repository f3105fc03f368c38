import { numberFor } from '../../catalogue/houseNumber';
import { MONEY_NUMBERS as M } from '../../catalogue/numbers/money';
import type { DayTicket } from '../../model/day';
import type { HouseRules } from '../../model/houseRules';
import { titleOf } from '../../planner/titleOf';
import { PIECE_KINDS } from '../../stages/piece/kinds';
import { runPieces } from '../day/runPieces';

/** Bare pieces to buy for one size of a ticket: as many as are made, and spares for those that are spoilt. */
export interface BlankLine {
  ticketId: string;
  title: string;
  kind: string;
  /** The size as the order calls it; empty for the one that was measured. */
  size: string;
  pieces: number;
  spares: number;
}

/**
 * How many more of a number of pieces have to be at hand, so that with a certainty enough of them come out well where a
 * share is spoilt: the least number of spares for which so many failures, before all are made, are likely enough (negative
 * binomial). None where none is spoilt; at most as many as there are pieces.
 */
export function sparesFor(pieces: number, share: number, certainty: number): number {
  if (share <= 0 || pieces === 0) return 0;
  // P(k spoilt before `pieces` are good) = C(pieces + k − 1, k) × (1 − share)^pieces × share^k.
  let chance = (1 - share) ** pieces;
  let sum = chance;
  let spares = 0;
  while (sum < certainty && spares < pieces) {
    spares += 1;
    chance *= ((pieces + spares - 1) / spares) * share;
    sum += chance;
  }
  return spares;
}

/** Whether a ticket’s bare pieces are still to be bought: its order is agreed, they are not here, and nobody brought them. */
const areToBuy = ({ ticket, order }: DayTicket): boolean =>
  order?.state === 'agreed' && ticket.samePieceAs === null && ticket.blankMinor !== 0;

/** Bare pieces to buy for orders whose blanks are not here yet, by size; `shareOf` is what of a ticket’s pieces is spoilt. */
export function blanksToBuy(
  tickets: readonly DayTicket[],
  rules: HouseRules,
  shareOf: (ticket: DayTicket['ticket']) => number,
): BlankLine[] {
  const certainty = numberFor(rules, M.spareCertainty) / 100;
  return tickets.filter(areToBuy).flatMap(({ ticket }) => {
    const sizes = new Map<string, number>();
    for (const { size } of runPieces(ticket)) sizes.set(size, (sizes.get(size) ?? 0) + 1);
    return [...sizes].map(([size, pieces]) => ({
      ticketId: ticket.id,
      title: titleOf(ticket),
      kind: PIECE_KINDS[ticket.piece.kind].name,
      size,
      pieces,
      spares: sparesFor(pieces, shareOf(ticket), certainty),
    }));
  });
}
