import { type SavedSearch, SavedSearchSchema } from '@zt/core/model/api';
import { asc } from 'drizzle-orm';
import type { Db } from '../../db/client';
import { readKept, textOf } from '../../db/kept';
import { searches } from '../../db/schema/searches';

/** Kept searches by name; one that cannot be read is left out. */
export async function readSearches(db: Pick<Db, 'select'>): Promise<SavedSearch[]> {
  const rows = await db
    .select({ id: searches.id, name: searches.name, filter: textOf(searches.filter) })
    .from(searches)
    .orderBy(asc(searches.name), asc(searches.id));
  return rows.flatMap(({ filter, ...row }) => {
    const kept = readKept(filter, SavedSearchSchema.shape.filter);
    return kept.ok ? [{ ...row, filter: kept.value }] : [];
  });
}
