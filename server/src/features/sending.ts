import type { z } from '@hono/zod-openapi';
import type { SendingSchema } from '@zt/core/model/api';
import type { Offer } from '@zt/core/model/offer';
import { eq, lt, sql } from 'drizzle-orm';
import type { Transaction } from '../db/client';
import { sendings } from '../db/schema/sendings';

export type Sending = z.infer<typeof SendingSchema>;

/** Who sends, and when it came here. */
export interface Sent {
  sending?: Sending | undefined;
  now: string;
}

/** How somebody is called who did not say. */
const SOMEBODY = 'another device';
export const whoSent = ({ sending, now }: Sent): Pick<Offer, 'by' | 'when'> => ({
  by: sending?.name ?? SOMEBODY,
  when: now,
});

/**
 * Takes a sending, in the transaction that does what it says. False where this very sending was taken before: its
 * answer did not get through, or two pages sent it.
 */
export async function takeOnce(tx: Transaction, { sending, now }: Sent): Promise<boolean> {
  if (!sending) return true;
  const { rowsAffected } = await tx.run(
    sql`INSERT INTO ${sendings} (id, at) VALUES (${sending.id}, ${now}) ON CONFLICT DO NOTHING`,
  );
  return rowsAffected > 0;
}

/** As if a sending had not come: it is refused, and may come again with more. */
export async function letGo(tx: Transaction, { sending }: Sent): Promise<void> {
  if (sending) await tx.delete(sendings).where(eq(sendings.id, sending.id));
}

/** No device waits longer than this with what it has to send. */
const REMEMBERED_DAYS = 400;
const DAY_MS = 24 * 60 * 60 * 1000;

/** Forgets sendings that nobody can send again. */
export const forgetOldSendings = (tx: Transaction, now: string) =>
  tx
    .delete(sendings)
    .where(lt(sendings.at, new Date(Date.parse(now) - REMEMBERED_DAYS * DAY_MS).toISOString()));
