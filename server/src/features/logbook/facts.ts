import type { LogEntry } from '@zt/core/model/logEntry';
import { entryFactsOf, FACTS_VERSION, wordsOf } from '@zt/core/records/find/entryFacts';
import { and, asc, eq, gt, lt, sql } from 'drizzle-orm';
import type { Store, Transaction } from '../../db/client';
import { logFacts } from '../../db/schema/logFacts';
import { findEntry } from './reader';

/** Keeps what an entry is found by and learned from, in place of what was kept before. */
export async function keepFacts(tx: Transaction, entry: LogEntry): Promise<void> {
  await forgetFacts(tx, entry.id);
  const { id: entryId, ...facts } = entryFactsOf(entry);
  const [row] = await tx
    .insert(logFacts)
    .values({ ...facts, entryId, version: FACTS_VERSION })
    .returning({ seq: logFacts.seq });
  if (row) await tx.run(sql`INSERT INTO log_words (rowid, words) VALUES (${row.seq}, ${wordsOf(entry)})`);
}

/** An entry that was taken back is found no more, and teaches nothing. */
export async function forgetFacts(tx: Transaction, entryId: string): Promise<void> {
  await tx.run(
    sql`DELETE FROM log_words WHERE rowid = (SELECT seq FROM log_facts WHERE entry_id = ${entryId})`,
  );
  await tx.delete(logFacts).where(eq(logFacts.entryId, entryId));
}

/** So many entries are told anew in one transaction. */
const AT_ONCE = 25;

/** Tells the facts of entries anew that an earlier version told otherwise, a few at a time; those that cannot be read stay as they are. */
export async function tellFactsAnew({ db, write }: Pick<Store, 'db' | 'write'>): Promise<number> {
  let [told, after] = [0, ''];
  for (;;) {
    const rows = await db
      .select({ id: logFacts.entryId })
      .from(logFacts)
      .where(and(lt(logFacts.version, FACTS_VERSION), gt(logFacts.entryId, after)))
      .orderBy(asc(logFacts.entryId))
      .limit(AT_ONCE);
    const last = rows.at(-1);
    if (!last) return told;
    after = last.id;
    await write(async (tx) => {
      for (const { id } of rows) {
        const entry = await findEntry(tx, id);
        if (!entry) continue;
        await keepFacts(tx, entry);
        told += 1;
      }
    });
  }
}
