import type { DeviceRole } from '@zt/core/model/device';
import { eq } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { Transaction } from '../../db/client';
import { devices } from '../../db/schema/devices';
import { hashOf } from './pairing';

export async function pairDevice(
  tx: Transaction,
  { name, role, token }: { name: string; role: DeviceRole; token: string },
  now: string,
): Promise<void> {
  await tx
    .insert(devices)
    .values({ id: v7(), name, role, tokenHash: hashOf(token), pairedAt: now, seenAt: now });
}

/** What a device shows counts no more. Returns whether there was one. */
export async function revokeDevice(tx: Transaction, id: string): Promise<boolean> {
  const gone = await tx.delete(devices).where(eq(devices.id, id)).returning({ id: devices.id });
  return gone.length > 0;
}

export const markSeen = (tx: Transaction, id: string, now: string) =>
  tx.update(devices).set({ seenAt: now }).where(eq(devices.id, id));

/** Every device as it is paired now, to be paired the same after the data was replaced. */
export const pairedNow = (db: Pick<Transaction, 'select'>) => db.select().from(devices);
export async function pairAgain(
  tx: Transaction,
  paired: Awaited<ReturnType<typeof pairedNow>>,
): Promise<void> {
  await tx.delete(devices);
  if (paired.length > 0) await tx.insert(devices).values(paired);
}
