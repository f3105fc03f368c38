import isEqual from 'fast-deep-equal';
import type { z } from 'zod';
import { type Phrase, phrase } from '../../base/units/phrase';
import { wordsOfPath } from '../../planner/fieldNames';
import { inWords } from '../inWords';

const isKeyed = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Paths at which two things are not alike, each where a value stands that has no parts on either side. */
function pathsApart(a: unknown, b: unknown, at: string[] = []): string[][] {
  if (isEqual(a, b)) return [];
  if (!isKeyed(a) || !isKeyed(b)) return [at];
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].flatMap((key) =>
    pathsApart(a[key], b[key], [...at, key]),
  );
}

/** What follows from other fields, or is nothing that somebody entered. */
const NOT_TOLD = ['id', 'settledAs', 'offers'];
const partAt = (thing: unknown, keys: readonly string[]): unknown =>
  keys.reduce<unknown>((value, key) => (isKeyed(value) ? value[key] : undefined), thing);

/** Where an earlier state is not as it is now, a line to each field: `name: “Oars”, now “Crew tee”`. */
export function differences(schema: z.ZodType, then: unknown, now: unknown): Phrase[] {
  return pathsApart(then, now)
    .filter(([first = '']) => !NOT_TOLD.includes(first))
    .map((keys) => {
      const at = keys.join('.');
      const said = (thing: unknown) => inWords(schema, at, partAt(thing, keys));
      return phrase`${wordsOfPath(at)}: ${said(then)}, now ${said(now)}`;
    });
}
