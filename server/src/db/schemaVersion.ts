import type { Client } from '@libsql/client';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import { MIGRATIONS } from './client';

/** How many migrations this program knows, and how many a file has had. */
export interface SchemaVersion {
  known: number;
  had: number;
}

/** The schema of a file beside this program's. A file without any is a new one. */
export async function schemaVersion(client: Client, folder = MIGRATIONS): Promise<SchemaVersion> {
  const known = readMigrationFiles({ migrationsFolder: folder });
  const { rows: tables } = await client.execute(
    "SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = '__drizzle_migrations'",
  );
  if (tables.length === 0) return { known: known.length, had: 0 };
  const { rows } = await client.execute('SELECT count(*) AS had FROM __drizzle_migrations');
  return { known: known.length, had: Number(rows[0]?.had ?? 0) };
}

export const isNewer = ({ known, had }: SchemaVersion): boolean => had > known;
