import { SET_ASIDE_PLACES, type SetAside } from '@zt/core/model/api';
import type { Reads, UnreadRow } from './place';
import { PLACES } from './places';

const NAME_LETTERS = 120;

/** What it is called as far as that can be read; else its id. */
function nameOf({ id, kept: { raw } }: UnreadRow): string {
  const name = typeof raw === 'object' && raw !== null && 'name' in raw ? raw.name : null;
  return typeof name === 'string' && name !== '' ? name.slice(0, NAME_LETTERS) : id;
}

/** Everything of the shop that cannot be read, as it stands too. */
export async function readUnread(db: Reads): Promise<(SetAside & { text: string })[]> {
  const lines: (SetAside & { text: string })[] = [];
  for (const place of SET_ASIDE_PLACES)
    for (const row of await PLACES[place].unreadable(db)) {
      const { why, text } = row.kept;
      lines.push({ place, id: row.id, name: nameOf(row), why, canMend: row.canMend, text });
    }
  return lines;
}

/** Everything of the shop that cannot be read. */
export const readSetAside = async (db: Reads): Promise<SetAside[]> =>
  (await readUnread(db)).map(({ text: _, ...line }) => line);
