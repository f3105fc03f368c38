import { type Amounts, amountsOf, type ItemOf, withAmountsMoved } from '@zt/core/ledger/amounts';
import { changeBy, undoing, withBobbin } from '@zt/core/ledger/pieceMoves';
import { type ItemChange, putTogether } from '@zt/core/ledger/putTogether';
import type { ShelfChanges } from '@zt/core/model/api';
import { SHELF_ITEMS, SHELF_ROOM, type Shelf, type ShelfNoun } from '@zt/core/model/shelf';
import type { ShelfUse } from '@zt/core/model/shelfUse';
import { and, count, eq, isNull } from 'drizzle-orm';
import type { Transaction } from '../../db/client';
import { readKept, textOf } from '../../db/kept';
import { shelfItems } from '../../db/schema/shelfItems';
import { ApiError } from '../../errors';
import { keepEarlier } from '../history/writer';
import { type Sent, takeOnce, whoSent } from '../sending';
import { amountsKept, keepMoves } from './ledger';

type Item = Shelf[ShelfNoun][number];
type Put = ItemChange & { noun: ShelfNoun };
interface Changed {
  noun: ShelfNoun;
  item: Item;
}

interface KeptItem {
  noun: ShelfNoun;
  /** Null where it cannot be read. */
  value: Item | null;
  deletedAt: string | null;
}

async function keptItem(tx: Transaction, id: string): Promise<KeptItem | null> {
  const [row] = await tx
    .select({ noun: shelfItems.noun, item: textOf(shelfItems.item), deletedAt: shelfItems.deletedAt })
    .from(shelfItems)
    .where(eq(shelfItems.id, id));
  if (!row) return null;
  const read = row.noun in SHELF_ITEMS ? readKept<Item>(row.item, SHELF_ITEMS[row.noun]) : null;
  return { ...row, value: read?.ok ? read.value : null };
}

/** What of its ledger an item stands on; the ledger itself where the item cannot be read. */
const amountsHad = async (tx: Transaction, kept: KeptItem | null, id: string): Promise<Amounts> =>
  kept?.value ? amountsOf(kept.noun, kept.value as never) : kept ? amountsKept(tx, id) : {};

async function write(
  tx: Transaction,
  { noun, item, deletedAt }: { noun: ShelfNoun; item: Item; deletedAt: string | null },
): Promise<Item> {
  const parsed = SHELF_ITEMS[noun].parse(item);
  const row = { id: item.id, noun, item: parsed, deletedAt };
  await tx.insert(shelfItems).values(row).onConflictDoUpdate({ target: shelfItems.id, set: row });
  return parsed;
}

/**
 * Puts an item on the shelf or changes it; one taken off before comes back. It is put together with what others made
 * of it meanwhile, and its amounts move by what they were changed by. An id stays with its noun. Returns the item as
 * it is kept.
 */
export async function putItem(
  tx: Transaction,
  { noun, item, base }: Put,
  sent: Sent & { as: 'bought' | 'corrected' },
): Promise<Item> {
  const kept = await keptItem(tx, item.id);
  if (kept && kept.noun !== noun)
    throw new ApiError(409, 'wrong-noun', `This id is one of the ${kept.noun}. Nothing was saved.`);
  if (kept) await keepEarlier(tx, { noun: 'shelf', id: item.id }, sent, kept.value === null);
  const who = whoSent(sent);
  const before = { value: kept?.value ?? null, had: await amountsHad(tx, kept, item.id) } as never;
  const { item: next, moves } = putTogether(noun, before, { item, base } as never, who);
  const kind = kept ? sent.as : 'opening';
  await keepMoves(tx, moves, {
    itemId: item.id,
    kind,
    entryId: null,
    at: sent.now,
    by: sent.sending?.name ?? '',
  });
  return write(tx, { noun, item: next, deletedAt: null });
}

/** The items of a change that came before, as they are kept now. */
async function asKept(tx: Transaction, put: readonly Put[]): Promise<Changed[]> {
  const items: Changed[] = [];
  for (const { noun, item } of put) items.push({ noun, item: (await keptItem(tx, item.id))?.value ?? item });
  return items;
}

/**
 * Makes every change in the transaction given, once however often it is sent; returns the items that were put, as they
 * are kept.
 */
export async function changeShelf(
  tx: Transaction,
  { put = [], remove = [], as = 'corrected', sending }: ShelfChanges,
  now: string,
): Promise<Changed[]> {
  const sent = { sending, now };
  if (!(await takeOnce(tx, sent))) return asKept(tx, put as Put[]);
  const items: Changed[] = [];
  for (const one of put as Put[])
    items.push({ noun: one.noun, item: await putItem(tx, one, { ...sent, as }) });
  for (const row of remove) await markItem(tx, row, now);
  for (const noun of new Set(items.map((one) => one.noun))) await checkRoom(tx, noun);
  return items;
}

/**
 * Takes what a finished piece used off the shelf (`by` 1), or gives it back (`by` −1). An item that was taken off the
 * shelf meanwhile stays off it.
 */
export async function moveUses(
  tx: Transaction,
  uses: readonly ShelfUse[],
  { entryId, by, now }: { entryId: string; by: 1 | -1; now: string },
): Promise<void> {
  for (const use of uses) {
    const kept = await keptItem(tx, use.id);
    if (!kept?.value || kept.noun !== use.noun) continue;
    const { noun, deletedAt } = kept;
    const change = by === 1 ? changeBy(use) : undoing(changeBy(use));
    const had = amountsOf(noun, kept.value as never);
    const { item, moves } = withAmountsMoved(noun, withBobbin<ItemOf>(kept.value, use, by) as never, {
      had,
      change,
    });
    await write(tx, { noun, item, deletedAt });
    const kind = by === 1 ? ('used' as const) : ('given-back' as const);
    await keepMoves(tx, moves, { itemId: use.id, kind, entryId, at: now, by: '' });
  }
}

/** Refuses the transaction when the shelf then holds more of a noun than there is room for. */
async function checkRoom(tx: Transaction, noun: ShelfNoun): Promise<void> {
  const [row] = await tx
    .select({ there: count() })
    .from(shelfItems)
    .where(and(eq(shelfItems.noun, noun), isNull(shelfItems.deletedAt)));
  if ((row?.there ?? 0) > SHELF_ROOM[noun])
    throw new ApiError(400, 'too-many', `The shelf holds ${SHELF_ROOM[noun]} ${noun}. Nothing was changed.`);
}

/** Takes one of a noun off the shelf; one that is not there stays away. */
async function markItem(
  tx: Transaction,
  { noun, id }: { noun: ShelfNoun; id: string },
  deletedAt: string,
): Promise<void> {
  await tx
    .update(shelfItems)
    .set({ deletedAt })
    .where(and(eq(shelfItems.id, id), eq(shelfItems.noun, noun)));
}
