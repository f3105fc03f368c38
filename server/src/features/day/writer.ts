import { DAY_ID, type DaySheet, DaySheetSchema, readWorkId, type SaveDay } from '@zt/core/model/day';
import { and, isNull } from 'drizzle-orm';
import type { Transaction } from '../../db/client';
import { daySheets } from '../../db/schema/daySheets';
import { tickets } from '../../db/schema/tickets';
import { puttingTogether } from '../together';
import { readDaySheet } from './reader';

/** With more pieces than this, those of tickets that are on the bench no more are let go. */
const MANY_STANDS = 500;

/** The sheet without pieces of tickets that are made, or off the bench: what was said of them decides nothing any more. */
async function withoutMade(tx: Transaction, sheet: DaySheet): Promise<DaySheet> {
  if (Object.keys(sheet.stands).length <= MANY_STANDS) return sheet;
  const open = await tx
    .select({ id: tickets.id })
    .from(tickets)
    .where(and(isNull(tickets.deletedAt), isNull(tickets.loggedAs)));
  const ids = new Set(open.map(({ id }) => id));
  const isOpen = (work: string): boolean => ids.has(readWorkId(work).ticketId);
  return {
    ...sheet,
    stands: Object.fromEntries(Object.entries(sheet.stands).filter(([work]) => isOpen(work))),
    pinned: sheet.pinned.filter(isOpen),
    later: sheet.later.filter((id) => ids.has(id)),
  };
}

/** Saves the day’s sheet, put together with what others made of it meanwhile; returns it as it is kept. */
export async function saveDay(
  tx: Transaction,
  { sheet, base, sending }: SaveDay,
  now: string,
): Promise<DaySheet> {
  const theirs = await readDaySheet(tx);
  const saved = { mine: sheet, base, theirs, schema: DaySheetSchema };
  const of = { noun: 'day' as const, id: DAY_ID };
  const together = await puttingTogether<DaySheet>(tx, saved, { sent: { sending, now }, of });
  if (!together) return theirs;
  const kept = await withoutMade(tx, together);
  const row = { id: DAY_ID, sheet: kept, updatedAt: now, deletedAt: null };
  await tx.insert(daySheets).values(row).onConflictDoUpdate({ target: daySheets.id, set: row });
  return kept;
}
