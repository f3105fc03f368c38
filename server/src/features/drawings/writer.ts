import type { KeptDrawing } from '@zt/core/model/drawing';
import type { Transaction } from '../../db/client';
import { drawings } from '../../db/schema/drawings';

/** Keeps a drawing; one that is kept already stays as it is. */
export async function keepDrawing(tx: Transaction, { id, text }: KeptDrawing, now: string): Promise<void> {
  await tx.insert(drawings).values({ id, text, at: now }).onConflictDoNothing();
}
