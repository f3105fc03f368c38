import type { DeviceRole } from '@zt/core/model/device';
import { sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** Devices that were paired. What a device shows of itself is kept as its hash only. */
export const devices = sqliteTable('devices', {
  id: text().primaryKey(),
  name: text().notNull(),
  role: text().$type<DeviceRole>().notNull(),
  tokenHash: text().notNull().unique(),
  pairedAt: text().notNull(),
  seenAt: text(),
});
