import { z } from 'zod';
import { MONEY } from '../../base/units/money';
import { LENGTHS, WRITTEN, type Written } from '../../base/units/schema';

/** What a field takes, as the schema that the server checks has it; both ends are allowed. */
export type Bounds =
  | { kind: 'number'; least: number; most: number; whole: boolean; isLength: boolean }
  | { kind: 'text'; least: number; most: number }
  | ({ kind: 'written'; most: number } & Written)
  | { kind: 'money' }
  | { kind: 'day' };

/** One input of a schema: what it takes, and how it is left empty, where it may be. */
export interface Leaf {
  schema: z.ZodType;
  empty: 'null' | 'missing' | null;
}

/** A schema without the wrappers that say it may be absent, and how it then is. */
function unwrapped(schema: z.ZodType): Leaf {
  let leaf: Leaf = { schema, empty: null };
  for (;;) {
    const { schema: now } = leaf;
    if (now instanceof z.ZodNullable) leaf = { schema: now.unwrap() as z.ZodType, empty: 'null' };
    else if (now instanceof z.ZodOptional)
      leaf = { schema: now.unwrap() as z.ZodType, empty: leaf.empty ?? 'missing' };
    else if (now instanceof z.ZodDefault) leaf = { ...leaf, schema: now.unwrap() as z.ZodType };
    else return leaf;
  }
}

/** The input under one key; null where the schema has none. An entry of a record may be missing. */
function under(schema: z.ZodType, key: string): Leaf | null {
  const whole = unwrapped(schema).schema;
  if (whole instanceof z.ZodObject) {
    const found: z.ZodType | undefined = Object.hasOwn(whole.shape, key) ? whole.shape[key] : undefined;
    return found ? unwrapped(found) : null;
  }
  if (whole instanceof z.ZodRecord) {
    const known = (whole.keyType as z.ZodType).safeParse(key).success;
    return known ? { schema: unwrapped(whole.valueType as z.ZodType).schema, empty: 'missing' } : null;
  }
  if (whole instanceof z.ZodArray && /^\d+$/.test(key)) return unwrapped(whole.element as z.ZodType);
  return null;
}

/** The input of a schema at a dotted path (`mount.readings.0.x`); null where it has none. */
export function leafAt(schema: z.ZodType, path: string): Leaf | null {
  return path
    .split('.')
    .reduce<Leaf | null>((leaf, key) => leaf && under(leaf.schema, key), { schema, empty: null });
}

const numberBounds = (schema: z.ZodNumber): Bounds => ({
  kind: 'number',
  least: schema.minValue ?? Number.NEGATIVE_INFINITY,
  most: schema.maxValue ?? Number.POSITIVE_INFINITY,
  whole: schema.isInt,
  isLength: LENGTHS.has(schema),
});

/** What an input takes; null for one that is chosen and not typed. */
export function boundsOf({ schema }: Leaf): Bounds | null {
  if (schema instanceof z.ZodNumber) return MONEY.has(schema) ? { kind: 'money' } : numberBounds(schema);
  if (schema instanceof z.ZodISODate) return { kind: 'day' };
  if (schema instanceof z.ZodString) {
    const written = WRITTEN.get(schema);
    if (written) return { kind: 'written', most: schema.maxLength ?? Number.POSITIVE_INFINITY, ...written };
    return { kind: 'text', least: schema.minLength ?? 0, most: schema.maxLength ?? Number.POSITIVE_INFINITY };
  }
  return null;
}

/** The bounds at a path of a schema; null where nothing is typed. */
export function boundsAt(schema: z.ZodType, path: string): Bounds | null {
  const leaf = leafAt(schema, path);
  return leaf && boundsOf(leaf);
}

/** Every typed input of a schema with its bounds; `*` stands for any key of a record and any row. */
export function allBounds(schema: z.ZodType, at = ''): [path: string, bounds: Bounds][] {
  const leaf = unwrapped(schema);
  const bounds = boundsOf(leaf);
  if (bounds) return [[at, bounds]];
  const join = (key: string) => (at === '' ? key : `${at}.${key}`);
  if (leaf.schema instanceof z.ZodObject)
    return Object.entries(leaf.schema.shape).flatMap(([key, part]) =>
      allBounds(part as z.ZodType, join(key)),
    );
  if (leaf.schema instanceof z.ZodRecord) return allBounds(leaf.schema.valueType as z.ZodType, join('*'));
  if (leaf.schema instanceof z.ZodArray) return allBounds(leaf.schema.element as z.ZodType, join('*'));
  return [];
}
