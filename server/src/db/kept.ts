import { say } from '@zt/core/base/units/phrase';
import { refusalInWords, refusalsOf } from '@zt/core/model/fields/refusal';
import { wordsOfPath } from '@zt/core/planner/fieldNames';
import { type SQL, sql } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';
import type { z } from 'zod';

/** A JSON column as the text it is kept as: one row that cannot be read must not take the others with it. */
export const textOf = (column: SQLiteColumn): SQL<string> => sql<string>`${column}`;

/** What a row holds, or why it cannot be read. */
export type Kept<T> = { ok: true; value: T } | { ok: false; raw: unknown; text: string; why: string };

const WHY_LETTERS = 200;
const MM = { system: 'mm' } as const;

/** Reads what a row holds; never throws. `today` brings what an older version kept up to date. */
export function readKept<T>(
  text: string,
  schema: z.ZodType<T>,
  today: (raw: never) => unknown = (raw) => raw,
): Kept<T> {
  let raw: unknown = null;
  try {
    raw = JSON.parse(text);
    const { data, error } = schema.safeParse(today(raw as never));
    if (!error) return { ok: true, value: data };
    const [first] = refusalsOf(error);
    const why = first ? say(refusalInWords(schema, first, wordsOfPath(first.at)), MM) : 'It is of no use.';
    return { ok: false, raw, text, why: why.slice(0, WHY_LETTERS) };
  } catch {
    return { ok: false, raw, text, why: 'What is kept of it is damaged.' };
  }
}
