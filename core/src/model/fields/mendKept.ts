import type { z } from 'zod';
import { boundsOf, leafAt } from './bounds';
import { valueAt, withValueAt } from './path';
import { keptUnread, type WithUnread, withUnread } from './unread';

const MOST_ROUNDS = 100;

/** The value nearest to one that is past the bounds of its field; null where there is none. */
function nearest(value: unknown, bounds: ReturnType<typeof boundsOf>): unknown {
  if (bounds?.kind === 'number' && typeof value === 'number')
    return Math.min(bounds.most, Math.max(bounds.least, bounds.whole ? Math.round(value) : value));
  if (bounds?.kind === 'text' && typeof value === 'string' && value.length > bounds.most)
    return value.slice(0, bounds.most);
  return null;
}

/** A thing with one of its fields within bounds, what it held kept as unread; null where that cannot be done. */
function mendedAt<T extends WithUnread>(schema: z.ZodType, thing: T, at: string): T | null {
  const leaf = leafAt(schema, at);
  const bounds = leaf && boundsOf(leaf);
  const value = valueAt(thing, at.split('.'));
  if (!leaf || !bounds || value === undefined || value === null) return null;
  const text = String(value);
  if (leaf.empty !== null) return keptUnread(schema, thing, { at, text });
  const near = nearest(value, bounds);
  if (near === null) return null;
  const within = withValueAt(thing, at.split('.'), near) as T;
  return { ...within, unread: withUnread(within.unread ?? {}, at, text) };
}

/**
 * What was kept, as its schema takes it: a field past its bounds is left empty or brought to the nearest value, and
 * what it held is kept as unread text. Null where that does not mend it.
 */
export function mendKept<T extends WithUnread>(schema: z.ZodType<T>, kept: unknown): T | null {
  let thing = kept;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const { data, error } = schema.safeParse(thing);
    if (!error) return data;
    if (typeof thing !== 'object' || thing === null) return null;
    const at = error.issues[0]?.path.join('.') ?? '';
    thing = mendedAt(schema, thing as T, at);
  }
  return null;
}
