import { DAY_ID, type DaySheet, DaySheetSchema, type SaveDay } from '@zt/core/model/day';
import type { Transaction } from '../../db/client';
import { daySheets } from '../../db/schema/daySheets';
import { puttingTogether } from '../together';
import { readDaySheet } from './reader';

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
  const row = { id: DAY_ID, sheet: together, updatedAt: now };
  await tx.insert(daySheets).values(row).onConflictDoUpdate({ target: daySheets.id, set: row });
  return together;
}
