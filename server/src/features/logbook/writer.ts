import type { Logged, LogPiece } from '@zt/core/model/api';
import type { LogEntry } from '@zt/core/model/logEntry';
import type { ShelfUse } from '@zt/core/model/shelfUse';
import type { Ticket } from '@zt/core/model/ticket';
import { planTicket } from '@zt/core/planner/plan';
import { asUsed } from '@zt/core/records/logbook/asUsed';
import { frozenPlan } from '@zt/core/records/logbook/frozenPlan';
import { shelfUseOf } from '@zt/core/records/logbook/shelfUse';
import { and, eq, isNull, max, or, sql } from 'drizzle-orm';
import type { Store, Transaction } from '../../db/client';
import { textOf } from '../../db/kept';
import { logEntries } from '../../db/schema/logEntries';
import { tickets } from '../../db/schema/tickets';
import { moveUses } from '../shelf/writer';
import { readShop } from '../shop';
import { forgetFacts, keepFacts } from './facts';
import { rowOf } from './map';
import { takenOf } from './reader';

/** Says on a ticket which entry it ended in, once an entry of it came or went. */
export async function markLogged(tx: Transaction, ticketId: string): Promise<void> {
  const [entry] = await tx
    .select({ id: max(logEntries.id) })
    .from(logEntries)
    .where(and(eq(logEntries.ticketId, ticketId), isNull(logEntries.deletedAt)));
  await tx
    .update(tickets)
    .set({ loggedAs: entry?.id ?? null })
    .where(eq(tickets.id, ticketId));
}

/** Keeps an entry with what it took off the shelf; one that was taken back comes back. */
export async function addEntry(
  tx: Transaction,
  entry: LogEntry,
  taken: readonly ShelfUse[] = [],
): Promise<void> {
  await tx
    .insert(logEntries)
    .values({ ...rowOf(entry), taken: [...taken] })
    .onConflictDoUpdate({ target: logEntries.id, set: { deletedAt: null, taken: [...taken] } });
  await markLogged(tx, entry.ticket.id);
  await keepFacts(tx, entry);
}

const isKept = async (tx: Transaction, id: string): Promise<boolean> => {
  const [row] = await tx
    .select({ deletedAt: logEntries.deletedAt })
    .from(logEntries)
    .where(eq(logEntries.id, id));
  return row !== undefined && row.deletedAt === null;
};

/** Something the maker used that was not planned. */
const isUsedOtherwise = ({ log: { used } }: Ticket): boolean =>
  Object.values(used).some((what) => what !== null);

/** The entry that a ticket ended in, or that has this id; null while there is none. */
async function loggedOf(tx: Transaction, entry: { id: string; ticketId: string }): Promise<Logged | null> {
  const [row] = await tx
    .select({ id: logEntries.id, loggedAt: logEntries.loggedAt })
    .from(logEntries)
    .where(
      and(
        or(eq(logEntries.ticketId, entry.ticketId), eq(logEntries.id, entry.id)),
        isNull(logEntries.deletedAt),
      ),
    );
  return row ?? null;
}

/**
 * Keeps a finished piece with its plan, and takes off the shelf what it really used. A ticket that is logged already,
 * here or on another device, takes nothing more: its entry is returned as it is.
 */
export async function logPiece(
  tx: Transaction,
  { id, loggedAt, ticket }: LogPiece & Pick<LogEntry, 'loggedAt'>,
): Promise<Logged> {
  const before = await loggedOf(tx, { id, ticketId: ticket.id });
  if (before) return before;
  const { shelf, rules } = await readShop(tx);
  const plan = planTicket(ticket, shelf, rules);
  const used = isUsedOtherwise(ticket) ? planTicket(asUsed(ticket), shelf, rules) : plan;
  const taken = shelfUseOf(used, shelf, rules);
  await addEntry(tx, { id, loggedAt, ticket, plan: frozenPlan(plan), log: ticket.log }, taken);
  await moveUses(tx, taken, { entryId: id, by: 1, now: loggedAt });
  return { id, loggedAt };
}

/** Takes an entry back, for undo, and gives the shelf what it took. Returns whether there was one. */
export async function takeBack(tx: Transaction, id: string, deletedAt: string): Promise<boolean> {
  if (!(await isKept(tx, id))) return false;
  const [row] = await tx
    .update(logEntries)
    .set({ deletedAt })
    .where(eq(logEntries.id, id))
    .returning({ taken: textOf(logEntries.taken), ticketId: logEntries.ticketId });
  if (row) await markLogged(tx, row.ticketId);
  await forgetFacts(tx, id);
  await moveUses(tx, takenOf(row?.taken ?? '[]'), { entryId: id, by: -1, now: deletedAt });
  return true;
}

/** So many plans are packed in one transaction. */
const AT_ONCE = 50;

/** Packs plans that an earlier version kept as plain text, a few at a time; those that are no JSON stay as they are. */
export async function packPlans({ db, write }: Pick<Store, 'db' | 'write'>): Promise<number> {
  let done = 0;
  for (;;) {
    const rows = await db
      .select({ id: logEntries.id, plan: textOf(logEntries.plan) })
      .from(logEntries)
      .where(sql`typeof(${logEntries.plan}) = 'text' AND json_valid(${logEntries.plan})`)
      .limit(AT_ONCE);
    if (rows.length === 0) return done;
    await write(async (tx) => {
      for (const { id, plan } of rows)
        await tx
          .update(logEntries)
          .set({ plan: JSON.parse(plan) })
          .where(eq(logEntries.id, id));
    });
    done += rows.length;
  }
}
