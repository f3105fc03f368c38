import type { z } from 'zod';
import { type Phrase, phrase } from '../../base/units/phrase';
import { boundsAt } from './bounds';
import { boundsInWords } from './readField';

/** An input that a schema refuses: the path of its field, and what the schema says of it. */
export interface Refusal {
  at: string;
  message: string;
}

/** What a schema refuses of a thing, each with its path; empty when it takes it. */
export const refusalsOf = (error: z.ZodError | undefined): Refusal[] =>
  (error?.issues ?? []).map(({ path, message }) => ({ at: path.join('.'), message }));

/** A refusal in words: what the field takes, where something is typed there; else what the schema says. */
export function refusalInWords(schema: z.ZodType, { at, message }: Refusal, name: string): Phrase {
  const bounds = boundsAt(schema, at);
  if (bounds) return phrase`${name} takes ${boundsInWords(bounds)}.`;
  return name === '' ? phrase`${message}` : phrase`${name}: ${message}`;
}
