import type { HistoryNoun } from '@zt/core/model/history';
import type { Shared } from '@zt/core/uses/sharing/merge';
import { mergeFitting } from '@zt/core/uses/sharing/merge';
import type { z } from 'zod';
import type { Transaction } from '../db/client';
import { keepEarlier } from './history/writer';
import { type Sent, takeOnce, whoSent } from './sending';

/** Something that is saved as a whole: as it is to be, what it was made from, and how it is kept; null where it is new. */
export interface Saved<T> {
  mine: T;
  base: T | undefined;
  theirs: T | null;
  schema: z.ZodType<T>;
}

/**
 * What is to be kept of something that was sent: put together with what others made of it meanwhile, with how it was kept
 * among its earlier states. Null where this very sending was taken before: then nothing is to be done.
 */
export async function puttingTogether<T extends Shared & object>(
  tx: Transaction,
  { mine, base, theirs, schema }: Saved<T>,
  { sent, of }: { sent: Sent; of: { noun: HistoryNoun; id: string } },
): Promise<T | null> {
  if (!(await takeOnce(tx, sent))) return null;
  if (theirs) await keepEarlier(tx, of, sent);
  const fits = (thing: T): boolean => schema.safeParse(thing).success;
  return base && theirs ? mergeFitting({ base, mine, theirs }, whoSent(sent), fits) : mine;
}
