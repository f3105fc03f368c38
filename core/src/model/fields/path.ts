type Keyed = Record<string, unknown>;
const isKeyed = (value: unknown): value is Keyed => typeof value === 'object' && value !== null;

/** What stands at a path of keys in a thing; undefined where the path leads nowhere. */
export const valueAt = (thing: unknown, keys: readonly string[]): unknown =>
  keys.reduce<unknown>((value, key) => (isKeyed(value) ? value[key] : undefined), thing);

/** One key of a record or row of a list with another value; undefined takes a key of a record out. */
function withKey(whole: Keyed, key: string, value: unknown): unknown {
  if (Array.isArray(whole)) return whole.map((old, i) => (String(i) === key ? value : old));
  if (value !== undefined) return { ...whole, [key]: value };
  return Object.fromEntries(Object.entries(whole).filter(([k]) => k !== key));
}

/**
 * A thing with another value at a path of keys, undefined for none; the one given is left as it was. Where the path
 * leads to nothing that holds keys, nothing is changed.
 */
export function withValueAt(thing: unknown, keys: readonly string[], value: unknown): unknown {
  const [key, ...rest] = keys;
  if (key === undefined) return value;
  if (!isKeyed(thing)) return thing;
  return withKey(thing, key, withValueAt(thing[key], rest, value));
}
