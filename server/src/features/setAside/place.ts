import { mendKept } from '@zt/core/model/fields/mendKept';
import type { WithUnread } from '@zt/core/model/fields/unread';
import { type SQL, sql } from 'drizzle-orm';
import type { SQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core';
import type { z } from 'zod';
import type { Db, Transaction } from '../../db/client';
import { type Kept, readKept } from '../../db/kept';

export type Reads = Pick<Db, 'select' | 'all'>;

/** A row of a noun that cannot be read. */
export interface UnreadRow {
  id: string;
  kept: Extract<Kept<unknown>, { ok: false }>;
  canMend: boolean;
}

/** Which row is meant, and when it is done. */
export interface RowMeant {
  id: string;
  now: string;
}

/** What is done with the rows of a noun that cannot be read: found, mended, taken out of sight and put back. */
export interface SetAsidePlace {
  unreadable: (db: Reads) => Promise<UnreadRow[]>;
  /** Makes a row readable, what was past its bounds kept as unread text. Returns whether it could be done. */
  mend: (tx: Transaction, row: RowMeant) => Promise<boolean>;
  /** Takes a row out of sight, or puts it back (`null`). Returns whether there was one. */
  mark: (tx: Transaction, id: string, deletedAt: string | null) => Promise<boolean>;
}

/** Of rows as far as they can be read, those that cannot. */
export const unreadableOf = <T extends { id: string; kept: Kept<unknown> }>(
  rows: readonly T[],
  canMend: (row: T, raw: unknown) => boolean,
): UnreadRow[] =>
  rows.flatMap((row) =>
    row.kept.ok ? [] : [{ id: row.id, kept: row.kept, canMend: canMend(row, row.kept.raw) }],
  );

interface PlainNoun<T extends WithUnread> {
  table: SQLiteTable;
  /** The column that holds it as JSON. */
  json: SQLiteColumn;
  schema: z.ZodType<T>;
  /** Brings what an older version kept up to date. */
  today?: (raw: never) => unknown;
}

/** A noun whose rows are one JSON column beside an id and when they were taken out of sight. */
export function plainPlace<T extends WithUnread>({
  table,
  json,
  schema,
  today = (raw) => raw,
}: PlainNoun<T>): SetAsidePlace {
  const rowsOf = async (db: Reads, which: SQL) => {
    const rows = await db.all<{ id: string; text: string }>(
      sql`SELECT id, ${json} AS text FROM ${table} WHERE ${which} ORDER BY id`,
    );
    return rows.map(({ id, text }) => ({ id, kept: readKept<T>(text, schema, today) }));
  };
  const mended = (raw: unknown): T | null => {
    try {
      return mendKept(schema, today(raw as never));
    } catch {
      return null;
    }
  };
  return {
    unreadable: async (db) =>
      unreadableOf(await rowsOf(db, sql`deleted_at IS NULL`), (_, raw) => mended(raw) !== null),
    mend: async (tx, { id }) => {
      const [row] = await rowsOf(tx, sql`id = ${id}`);
      const value = row && !row.kept.ok ? mended(row.kept.raw) : null;
      if (value)
        await tx.run(
          sql`UPDATE ${table} SET ${sql.identifier(json.name)} = ${JSON.stringify(value)} WHERE id = ${id}`,
        );
      return value !== null;
    },
    mark: async (tx, id, deletedAt) => {
      const [row] = await rowsOf(tx, sql`id = ${id}`);
      if (!row || row.kept.ok) return false;
      await tx.run(sql`UPDATE ${table} SET deleted_at = ${deletedAt} WHERE id = ${id}`);
      return true;
    },
  };
}
