import { type SavedSearch, SavedSearchSchema } from '@zt/core';
import { asc } from 'drizzle-orm';
import type { Db } from '../../db/client';
import { searches } from '../../db/schema/searches';

/** Kept searches by name; one that cannot be read is left out. */
export async function readSearches(db: Pick<Db, 'select'>): Promise<SavedSearch[]> {
  const rows = await db.select().from(searches).orderBy(asc(searches.name), asc(searches.id));
  return rows.flatMap((row) => {
    const { data } = SavedSearchSchema.safeParse(row);
    return data ? [data] : [];
  });
}
