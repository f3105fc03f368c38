import type { PairedDevice } from '@zt/core/model/device';
import { asc, eq } from 'drizzle-orm';
import type { Db } from '../../db/client';
import { devices } from '../../db/schema/devices';
import { hashOf } from './pairing';

type Reads = Pick<Db, 'select'>;
const columns = {
  id: devices.id,
  name: devices.name,
  role: devices.role,
  pairedAt: devices.pairedAt,
  seenAt: devices.seenAt,
};

export const listDevices = (db: Reads): Promise<PairedDevice[]> =>
  db.select(columns).from(devices).orderBy(asc(devices.pairedAt));

/** The device that shows a token; null where none has it, or it was revoked. */
export async function deviceShowing(db: Reads, token: string): Promise<PairedDevice | null> {
  const [row] = await db
    .select(columns)
    .from(devices)
    .where(eq(devices.tokenHash, hashOf(token)));
  return row ?? null;
}
