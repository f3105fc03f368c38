import { mergeFitting, type Shared } from '@zt/core/sync/merge';
import type { z } from 'zod';
import type { Transaction } from '../db/client';
import { readKept } from '../db/kept';
import { ApiError } from '../errors';
import { keepEarlier, rowKept, type Thing } from './history/writer';
import { type Sent, takeOnce, whoSent } from './sending';

/** Something that is saved as a whole: as it is to be, what it was made from, and how it is kept; null where it is new. */
export interface Saved<T> {
  mine: T;
  base: T | undefined;
  theirs: T | null;
  schema: z.ZodType<T>;
  /** Brings what an older version kept up to date. */
  today?: (raw: never) => unknown;
}

/**
 * Of what is kept and cannot be read nothing is written over: it is mended or taken out of sight first. Rules are read as
 * far as they can be; how they were is kept.
 */
async function keepAside<T>(
  tx: Transaction,
  { schema, today }: Pick<Saved<T>, 'schema' | 'today'>,
  { sent, of }: { sent: Sent; of: Thing },
): Promise<void> {
  const row = await rowKept(tx, of);
  if (!row) return;
  const isRead = readKept(row.text, schema, today).ok;
  if (!isRead && row.deletedAt === null && of.noun !== 'rules')
    throw new ApiError(
      409,
      'set-aside',
      'What is kept of this cannot be read. Mend it or take it away on its page first; your change is kept until then.',
    );
  await keepEarlier(tx, of, sent, !isRead);
}

/**
 * What is to be kept of something that was sent: put together with what others made of it meanwhile, with how it was kept
 * among its earlier states. Null where this very sending was taken before: then nothing is to be done.
 */
export async function puttingTogether<T extends Shared & object>(
  tx: Transaction,
  { mine, base, theirs, schema, today }: Saved<T>,
  { sent, of }: { sent: Sent; of: Thing },
): Promise<T | null> {
  if (!(await takeOnce(tx, sent))) return null;
  await keepAside(tx, { schema, today }, { sent, of });
  const fits = (thing: T): boolean => schema.safeParse(thing).success;
  return base && theirs ? mergeFitting({ base, mine, theirs }, whoSent(sent), fits) : mine;
}
