import { z } from 'zod';
import { atMost } from '../../base/units/schema';
import { leafAt } from './bounds';
import { valueAt, withValueAt } from './path';

/** The longest text that a field holds, read or not. */
export const FIELD_LETTERS = 20_000;
const MOST_UNREAD = 500;

/** What was typed and could not be taken, as it was typed, by the path of its field. */
export const UnreadSchema = z
  .record(z.string().min(1).max(200), z.string().min(1).max(FIELD_LETTERS))
  .refine(atMost(MOST_UNREAD), `At most ${MOST_UNREAD} texts are kept unread.`);
export type Unread = Readonly<Record<string, string>>;

/** Unread texts with one of them put in, or taken out (an empty text). */
export function withUnread(unread: Unread, at: string, text: string): Unread {
  const { [at]: _, ...others } = unread;
  const kept = text.slice(0, FIELD_LETTERS);
  return kept === '' || Object.keys(others).length >= MOST_UNREAD ? others : { ...others, [at]: kept };
}

/**
 * A thing with the input at a path left empty: null or missing, as its schema allows. What must have a value keeps
 * the one it has; a path that leads nowhere changes nothing.
 */
export function withoutValue<T>(schema: z.ZodType, thing: T, at: string): T {
  const empty = leafAt(schema, at)?.empty ?? null;
  const keys = at.split('.');
  if (empty === null || valueAt(thing, keys) === undefined) return thing;
  return withValueAt(thing, keys, empty === 'null' ? null : undefined) as T;
}

/** Where the row of an old list is in the new one; null when it is gone. A row that was changed keeps its place. */
function rowAfter(before: readonly unknown[], after: readonly unknown[], i: number): number | null {
  const found = after.indexOf(before[i]);
  if (found >= 0) return found;
  return before.length === after.length ? i : null;
}

/** The path once lists have changed; null when the row it was in is gone. */
function pathAfter(at: string, before: unknown, after: unknown): string | null {
  const old = at.split('.');
  const now = [...old];
  for (let i = 1; i < old.length; i++) {
    const [was, is] = [valueAt(before, old.slice(0, i)), valueAt(after, now.slice(0, i))];
    if (!Array.isArray(was) || !Array.isArray(is) || was === is) continue;
    const row = rowAfter(was, is, Number(old[i]));
    if (row === null) return null;
    now[i] = String(row);
  }
  return now.join('.');
}

/**
 * Unread texts once a thing has changed: they go with their rows when a list is shortened or put in another order,
 * and one whose field was given a value in another way is let go.
 */
export function followRows(unread: Unread, before: unknown, after: unknown): Unread {
  if (Object.keys(unread).length === 0 || before === after) return unread;
  return Object.fromEntries(
    Object.entries(unread).flatMap(([at, text]) => {
      const now = pathAfter(at, before, after);
      const stands = now !== null && valueAt(before, at.split('.')) === valueAt(after, now.split('.'));
      return stands ? [[now, text]] : [];
    }),
  );
}

/** Something that is saved as a whole, with the texts of its fields that could not be taken. */
export interface WithUnread {
  unread?: Unread | undefined;
}

/** A thing whose field is left empty, with the text that could not be taken there; no text: it was emptied. */
export function keptUnread<T extends WithUnread>(
  schema: z.ZodType,
  thing: T,
  { at, text }: { at: string; text: string },
): T {
  const emptied = withoutValue(schema, thing, at);
  return { ...emptied, unread: withUnread(emptied.unread ?? {}, at, text) };
}

/** A thing as it was changed: the texts go with their rows, and the one at `taken` is no longer kept. */
export function changedThing<T extends WithUnread>(before: T, after: T, taken: string | null): T {
  const unread = followRows(after.unread ?? {}, before, after);
  return { ...after, unread: taken === null ? unread : withUnread(unread, taken, '') };
}
