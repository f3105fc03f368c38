import { gunzipSync, gzipSync } from 'node:zlib';
import { customType } from 'drizzle-orm/sqlite-core';

/** What a compact column holds: packed JSON, or the plain text that it was kept as before. */
export type Packed = ArrayBuffer | Uint8Array | string;

/** The JSON text of a compact column; throws where it is damaged. */
export const unpacked = (packed: Packed): string =>
  typeof packed === 'string' ? packed : gunzipSync(new Uint8Array(packed)).toString('utf8');

export const packed = (value: unknown): Uint8Array => gzipSync(JSON.stringify(value));

/** A column of JSON that is long, much alike, and read by one row at a time: packed (gzip). */
export const compactJson = customType<{ data: Record<string, unknown>; driverData: Packed }>({
  dataType: () => 'text',
  toDriver: packed,
  fromDriver: (kept) => JSON.parse(unpacked(kept)),
});
