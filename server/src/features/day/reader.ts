import {
  type DayAnswer,
  type DaySheet,
  DaySheetSchema,
  type DayTicket,
  EMPTY_DAY,
  MOST_DAY_TICKETS,
} from '@zt/core/model/day';
import { TicketSchema } from '@zt/core/model/ticket';
import { withTodaysFields } from '@zt/core/planner/newTicket';
import { titleOf } from '@zt/core/planner/titleOf';
import { and, count, eq, inArray, isNull, ne, notInArray, or, type SQL, sql } from 'drizzle-orm';
import type { Db } from '../../db/client';
import { readKept, textOf } from '../../db/kept';
import { daySheets } from '../../db/schema/daySheets';
import { orders } from '../../db/schema/orders';
import { NO_DAY, tickets } from '../../db/schema/tickets';

type Reads = Pick<Db, 'select'>;

/** The day’s sheet; an empty one until something was said, and in place of what cannot be read. */
export async function readDaySheet(db: Reads): Promise<DaySheet> {
  const [row] = await db.select({ sheet: textOf(daySheets.sheet) }).from(daySheets);
  if (!row) return EMPTY_DAY;
  const kept = readKept<DaySheet>(row.sheet, DaySheetSchema);
  return kept.ok ? kept.value : EMPTY_DAY;
}

/** The day a ticket is promised for, or its order: whichever comes sooner. */
const dueOf = sql<string>`min(${tickets.due}, coalesce(${orders.due}, ${NO_DAY}))`;

const isOpen = and(isNull(tickets.deletedAt), isNull(tickets.loggedAs));
/** Nothing is made of an order before it is agreed. */
const isAgreed = or(isNull(orders.state), ne(orders.state, 'asked')) as SQL;

const select = (db: Reads) =>
  db
    .select({ ticket: textOf(tickets.ticket), due: dueOf, name: orders.name, state: orders.state })
    .from(tickets)
    .leftJoin(orders, eq(orders.id, tickets.orderId));

type Row = Awaited<ReturnType<typeof select>>[number];

function ticketOf({ ticket, due, name, state }: Row): DayTicket[] {
  const kept = readKept(ticket, TicketSchema, withTodaysFields);
  if (!kept.ok) return [];
  const order = name !== null && state !== null ? { name, state } : null;
  return [{ ticket: kept.value, due: due === NO_DAY ? null : due, order }];
}

/** Every ticket on the bench, those that are due first before others. */
export async function readOpen(db: Reads): Promise<DayTicket[]> {
  const rows = await select(db).where(isOpen).orderBy(dueOf, tickets.id);
  return rows.flatMap(ticketOf);
}

/** The sheet with the tickets that are to be planned: those that are due first, and how many there are beside them. */
export async function readDay(db: Reads): Promise<Omit<DayAnswer, 'spoilt'>> {
  const sheet = await readDaySheet(db);
  const waits = sheet.later.length > 0 ? notInArray(tickets.id, sheet.later) : undefined;
  const wanted = and(isOpen, isAgreed, waits);
  const rows = await select(db).where(wanted).orderBy(dueOf, tickets.id).limit(MOST_DAY_TICKETS);
  const [all] = await db
    .select({ tickets: count() })
    .from(tickets)
    .leftJoin(orders, eq(orders.id, tickets.orderId))
    .where(wanted);
  const [asked] = await db
    .select({ tickets: count() })
    .from(tickets)
    .leftJoin(orders, eq(orders.id, tickets.orderId))
    .where(and(isOpen, eq(orders.state, 'asked')));
  const later =
    sheet.later.length > 0
      ? await select(db)
          .where(and(isOpen, inArray(tickets.id, sheet.later)))
          .orderBy(dueOf, tickets.id)
      : [];
  const read = rows.flatMap(ticketOf);
  return {
    sheet,
    tickets: read,
    later: later.flatMap(ticketOf).map(({ ticket }) => ({ id: ticket.id, name: titleOf(ticket) })),
    more: { tickets: Math.max(0, (all?.tickets ?? 0) - rows.length), notAgreed: asked?.tickets ?? 0 },
  };
}
