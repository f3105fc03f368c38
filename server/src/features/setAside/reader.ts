import { mendKept, type SetAside, SHELF_ITEMS, TicketSchema, withTodaysFields } from '@zt/core';
import type { Db } from '../../db/client';
import type { Kept } from '../../db/kept';
import { findEntry, readLogRows } from '../logbook/reader';
import { readShelfRows } from '../shelf/reader';
import { readTicketRows } from '../tickets/reader';

type Bad = Extract<Kept<unknown>, { ok: false }>;
const nameOf = ({ raw }: Bad, id: string): string => {
  const name = typeof raw === 'object' && raw !== null && 'name' in raw ? raw.name : null;
  return typeof name === 'string' && name !== '' ? name.slice(0, 120) : id;
};
const unreadable = <T extends { kept: Kept<unknown> }>(rows: readonly T[]) =>
  rows.flatMap((row) => (row.kept.ok ? [] : [{ ...row, kept: row.kept }]));

/** A ticket that cannot be read, as it can be; null where it cannot be mended. */
export function mendedTicket(raw: unknown) {
  try {
    return mendKept<ReturnType<typeof withTodaysFields>>(TicketSchema, withTodaysFields(raw as never));
  } catch {
    return null;
  }
}

/** Everything of the shop that cannot be read. */
export async function readSetAside(db: Pick<Db, 'select'>): Promise<SetAside[]> {
  const [shelf, bench, log] = [await readShelfRows(db), await readTicketRows(db), await readLogRows(db)];
  const lines: SetAside[] = [
    ...unreadable(shelf).map(({ id, noun, kept }) => ({
      place: 'shelf' as const,
      id,
      name: nameOf(kept, id),
      why: kept.why,
      canMend: noun in SHELF_ITEMS && mendKept(SHELF_ITEMS[noun] as never, kept.raw) !== null,
    })),
    ...unreadable(bench).map(({ id, kept }) => ({
      place: 'tickets' as const,
      id,
      name: nameOf(kept, id),
      why: kept.why,
      canMend: mendedTicket(kept.raw) !== null,
    })),
  ];
  for (const { id, kept } of unreadable(log))
    lines.push({
      place: 'logbook',
      id,
      name: nameOf(kept, id),
      why: kept.why,
      canMend: (await findEntry(db, id)) !== null,
    });
  return lines;
}
