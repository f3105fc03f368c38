import { barePiecesOf } from '@zt/core/model/pieces';
import { type CardPaperId, orderSheet, type PrintedOrder } from '@zt/core/paper/index';
import { PIECE_KINDS } from '@zt/core/stages/piece/kinds/index';
import type { Db } from '../../db/client';
import { ApiError, notFound } from '../../errors';
import { pagesToPdf } from '../paper/drawingToPdf';
import { readRules } from '../rules/reader';
import { findTicket } from '../tickets/reader';
import { readOrder } from './reader';

/** A day as it is written on paper. */
const written = (day: string): string =>
  new Date(`${day}T12:00:00Z`).toLocaleDateString('en-GB', {
    day: 'numeric',
    month: 'long',
    year: 'numeric',
    timeZone: 'UTC',
  });

/** What of every ticket of an order is printed: what it is, how many, and in which sizes. */
async function itemsOf(db: Pick<Db, 'select'>, ids: readonly string[]): Promise<PrintedOrder['items']> {
  const kept = await Promise.all(ids.map((id) => findTicket(db, id)));
  return kept.flatMap((one) => {
    if (!one) return [];
    const { piece, name, design } = one.ticket;
    const sizes = piece.sizes.map(({ name: size, count }) => `${count} × ${size}`).join(', ');
    const onOther = one.ticket.samePieceAs === null ? '' : 'on the same piece';
    const what = [name || PIECE_KINDS[piece.kind].name, design.name, onOther].filter(Boolean).join(', ');
    return [
      {
        name: what,
        pieces: barePiecesOf(one.ticket),
        sizes: sizes && `${piece.quantity} as measured, ${sizes}`,
      },
    ];
  });
}

/**
 * An order as a quote or a receipt. Throws a refusal in words where no price is promised, where it has no tickets, or
 * where a receipt is asked for what is not paid.
 */
export async function orderToPdf(
  db: Pick<Db, 'select'>,
  id: string,
  { kind, paper, today }: { kind: PrintedOrder['kind']; paper: CardPaperId; today: string },
): Promise<Uint8Array> {
  const found = await readOrder(db, id);
  if (!found) throw notFound('order');
  const { order, customer } = found;
  const tickets = found.tickets.filter(({ onBench, loggedAs }) => onBench || loggedAs !== null);
  if (order.promisedMinor === null)
    throw new ApiError(409, 'no-price', 'Nothing is promised for this order yet: put in its price first.');
  if (tickets.length === 0)
    throw new ApiError(409, 'no-tickets', 'This order has no tickets yet: there is nothing to print.');
  if (kind === 'receipt' && order.state !== 'paid')
    throw new ApiError(409, 'not-paid', 'This order is not paid yet: a receipt is for what was paid.');
  const { heading, currency } = await readRules(db);
  const day = kind === 'receipt' ? (order.since.paid ?? today) : today;
  const printed: PrintedOrder = {
    kind,
    heading,
    currency,
    name: order.name,
    customer: customer?.name ?? '',
    day: written(day),
    due: order.due && written(order.due),
    items: await itemsOf(
      db,
      tickets.map((ticket) => ticket.id),
    ),
    brought: order.brought,
    promisedMinor: order.promisedMinor,
  };
  return pagesToPdf((measure) => orderSheet(printed, { paper, measure }), order.name);
}
