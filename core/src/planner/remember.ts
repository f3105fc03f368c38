import isEqual from 'fast-deep-equal';
import { valueAt } from '../model/fields/path';

/** A value that was read, found again by the keys that lead to it. */
interface Read {
  keys: readonly string[];
  value: unknown;
}

interface Remembered<T> {
  read: Read[];
  result: T;
}

/**
 * How deep it is noticed what is read: a part of what is given and a part of that; of the ticket also a field; not
 * within what a result keeps as it was given.
 */
const noticedKeys = ([first]: readonly string[]): number =>
  first === 'ticket' ? 3 : first === 'placement' ? 1 : 2;

/** The same parts; which of them are read is written down. Who looks at its keys has read all of it. */
function watched<T extends object>(parts: T, read: Read[], keys: readonly string[] = []): T {
  const given = new Map<string | symbol, unknown>();
  const whole = () => void read.push({ keys, value: parts });
  const reading = (key: string, value: unknown): unknown => {
    const own = [...keys, key];
    if (own.length < noticedKeys(own) && isPlain(value)) return watched(value, read, own);
    read.push({ keys: own, value });
    return value;
  };
  // Over an object of its own: what is given may be frozen, and a proxy gives no other part of a frozen object.
  return new Proxy({} as T, {
    get: (_, key) => {
      if (!given.has(key)) {
        const value: unknown = Reflect.get(parts, key);
        given.set(key, typeof key === 'string' ? reading(key, value) : value);
      }
      return given.get(key);
    },
    ownKeys: () => {
      whole();
      return Reflect.ownKeys(parts);
    },
    has: (_, key) => {
      whole();
      return Reflect.has(parts, key);
    },
    getOwnPropertyDescriptor: (_, key) => ({
      configurable: true,
      enumerable: true,
      value: Reflect.get(parts, key),
    }),
  });
}

/**
 * The same work, done again only where something that it read last time is another object now. What it is given is
 * never changed in place.
 */
export function remembering<Key extends string, Up extends object, T>(
  work: (key: Key, upstream: Up) => T,
): (key: Key, upstream: Up) => T {
  const last = new Map<Key, Remembered<T>>();
  return (key, upstream) => {
    const before = last.get(key);
    if (before?.read.every(({ keys, value }) => valueAt(upstream, keys) === value)) return before.result;
    const read: Read[] = [];
    const result = shared(before?.result, work(key, watched(upstream, read)));
    last.set(key, { read, result });
    return result;
  };
}

/** Deeper than a plan's stages, their parts and what those are listed from, nobody looks for what has changed. */
const DEPTH = 3;

const isPlain = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype;

/**
 * `after`, in which every part that equals the same part of `before` is that part itself; `before` itself when all
 * are. Parts are looked for a few levels deep. Nothing is changed in place.
 */
export function shared<T>(before: T | undefined, after: T, depth = DEPTH): T {
  if (before === undefined || before === after) return after;
  if (Array.isArray(before) && Array.isArray(after)) {
    if (depth === 0) return isEqual(before, after) ? before : after;
    const parts = after.map((part, i) => shared(before[i], part, depth - 1));
    return before.length === parts.length && parts.every((part, i) => part === before[i])
      ? before
      : (parts as T);
  }
  if (!isPlain(before) || !isPlain(after) || depth === 0) return isEqual(before, after) ? before : after;
  const keys = Object.keys(after);
  const parts: Record<string, unknown> = {};
  let same = keys.length === Object.keys(before).length;
  for (const key of keys) {
    parts[key] = shared(before[key], after[key], depth - 1);
    same &&= parts[key] === before[key] && key in before;
  }
  return same ? before : (parts as T);
}
