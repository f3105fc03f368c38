import type { Amounts } from '@zt/core/ledger/amounts';
import type { Movement } from '@zt/core/model/movement';
import { desc, eq, sum } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { Db, Transaction } from '../../db/client';
import { movements } from '../../db/schema/movements';

/** Rows of one statement: each has eight values, and SQLite takes some thousands of them. */
const MOST_ROWS = 500;

export type Moving = Pick<Movement, 'itemId' | 'kind' | 'entryId' | 'at' | 'by'>;

/** Writes down what moved each amount of an item. */
export async function keepMoves(tx: Transaction, moves: Amounts, moving: Moving): Promise<void> {
  const rows = Object.entries(moves).map(([figure, amount]) => ({ id: v7(), figure, amount, ...moving }));
  for (let at = 0; at < rows.length; at += MOST_ROWS)
    await tx.insert(movements).values(rows.slice(at, at + MOST_ROWS));
}

/** The amounts of an item: the sums of its movements. */
export async function amountsKept(db: Pick<Db, 'select'>, itemId: string): Promise<Amounts> {
  const rows = await db
    .select({ figure: movements.figure, amount: sum(movements.amount).mapWith(Number) })
    .from(movements)
    .where(eq(movements.itemId, itemId))
    .groupBy(movements.figure);
  return Object.fromEntries(rows.map(({ figure, amount }) => [figure, amount]));
}

/** So many movements are shown of an item. */
const MOST_SHOWN = 50;

/** What came and went of an item, the latest first. */
export const movementsOf = (db: Pick<Db, 'select'>, itemId: string): Promise<Movement[]> =>
  db
    .select()
    .from(movements)
    .where(eq(movements.itemId, itemId))
    .orderBy(desc(movements.at), desc(movements.id))
    .limit(MOST_SHOWN);
