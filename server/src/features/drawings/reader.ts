import type { KeptDrawing } from '@zt/core/model/drawing';
import { asc, eq } from 'drizzle-orm';
import type { Db } from '../../db/client';
import { drawings } from '../../db/schema/drawings';

const KEPT = { id: drawings.id, text: drawings.text };

/** A drawing as its file has it; null where it is not kept. */
export async function findDrawing(db: Pick<Db, 'select'>, id: string): Promise<KeptDrawing | null> {
  const [kept] = await db.select(KEPT).from(drawings).where(eq(drawings.id, id));
  return kept ?? null;
}

/** All drawings, by their ids. */
export const allDrawings = (db: Pick<Db, 'select'>): Promise<KeptDrawing[]> =>
  db.select(KEPT).from(drawings).orderBy(asc(drawings.id));
