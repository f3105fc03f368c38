import { MOST_MINOR } from '@zt/core/base/units/money';
import { type Bounds, boundsAt } from '@zt/core/model/fields/bounds';

/** Numbers from 0 up to 1 that are the same for the same seed (mulberry32). */
export function randomFrom(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

type Random = () => number;
type Keyed = Record<string, unknown>;
const isKeyed = (value: unknown): value is Keyed => typeof value === 'object' && value !== null;
const pick = <T>(random: Random, items: readonly T[]): T => items[Math.floor(random() * items.length)] as T;

const JUNK: readonly unknown[] = [
  null,
  true,
  '',
  'no-such-id',
  '__proto__',
  'x'.repeat(5000),
  -1,
  0,
  1e-9,
  1e9,
  1e308,
  {},
  [],
  [[]],
  '2026-02-31',
  'NaN',
];

/** Every path of a body, those of its lists and records too. */
function pathsOf(body: unknown, at: readonly string[] = []): string[][] {
  if (!isKeyed(body)) return [];
  const keys = Object.keys(body).slice(0, 30);
  return keys.flatMap((key) => [[...at, key], ...pathsOf(body[key], [...at, key])]);
}

function within(random: Random, bounds: Bounds): unknown {
  if (bounds.kind === 'day') return '2026-12-24';
  if (bounds.kind === 'text') return 'w'.repeat(pick(random, [bounds.least, Math.min(bounds.most, 4000)]));
  if (bounds.kind === 'written') return '';
  if (bounds.kind === 'money') return pick(random, [0, 1, 1250, MOST_MINOR]);
  const { least, most, whole } = bounds;
  const value = pick(random, [least, most, least + (most - least) * random(), least + (most - least) / 1000]);
  return whole ? Math.round(value) : value;
}

/** A list with its first row many times over, at most `most`. */
const many = (list: readonly unknown[], most: number): unknown[] =>
  Array.from({ length: most }, (_, i) => list[i % list.length]);

interface Change {
  bounds: Bounds | null;
  junk: boolean;
}

function changed(random: Random, value: unknown, { bounds, junk }: Change): unknown {
  if (Array.isArray(value) && value.length > 0 && random() < 0.5)
    return many(value, pick(random, junk ? [60, 300, 5000] : [2, 3]));
  const isColour = typeof value === 'string' && value.startsWith('#');
  if (!junk) return bounds && !isColour ? within(random, bounds) : value;
  return structuredClone(pick(random, JUNK));
}

/**
 * A body with some of its values changed: of three bodies, two only within the bounds that the schema tells, to their
 * ends mostly; one to what was never meant there. The one given is left as it was.
 */
export function mutated(random: Random, body: unknown, schema: Parameters<typeof boundsAt>[0]): unknown {
  const copy = structuredClone(body);
  const junk = random() < 1 / 3;
  const changes = 1 + Math.floor(random() * (junk ? 3 : 9));
  for (let i = 0; i < changes; i++) {
    const path = pick(random, pathsOf(copy));
    const last = path.at(-1) ?? '';
    const holder = path
      .slice(0, -1)
      .reduce<unknown>((value, key) => (isKeyed(value) ? value[key] : null), copy);
    if (isKeyed(holder))
      holder[last] = changed(random, holder[last], { bounds: boundsAt(schema, path.join('.')), junk });
  }
  return copy;
}
