import { type SQL, sql } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';

/** So many lines are on a page of a list. */
export const PAGE = 40;

const BETWEEN = '~';
/** The key of a line, by what its list is sorted by and its id. */
export const keyOf = (sortedBy: string, id: string): string => `${sortedBy}${BETWEEN}${id}`;

/** Whether a line comes after the one with a key, in a list sorted so; undefined where no key is given. */
export function comesAfter(
  [sortedBy, id]: [SQLiteColumn | SQL, SQLiteColumn],
  key: string | undefined,
  order: 'rising' | 'falling',
): SQL | undefined {
  if (key === undefined || key === '') return undefined;
  const at = key.lastIndexOf(BETWEEN);
  const [by, own] = [key.slice(0, Math.max(0, at)), key.slice(at + 1)];
  return order === 'rising'
    ? sql`(${sortedBy}, ${id}) > (${by}, ${own})`
    : sql`(${sortedBy}, ${id}) < (${by}, ${own})`;
}

/** Whether a JSON text has the words in one of its fields; a text that is no JSON has none. */
export function hasWords(
  json: SQLiteColumn,
  fields: readonly string[],
  q: string | undefined,
): SQL | undefined {
  if (q === undefined || q.trim() === '') return undefined;
  const wanted = `%${q.trim().replace(/[\\%_]/g, '\\$&')}%`;
  const found = fields.map((field) => sql`json_extract(${json}, ${`$.${field}`}) LIKE ${wanted} ESCAPE '\\'`);
  return sql`CASE WHEN json_valid(${json}) THEN (${sql.join(found, sql` OR `)}) END`;
}
