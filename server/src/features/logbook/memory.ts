import { FABRICS } from '@zt/core/catalogue/fabrics';
import type { LogFound, LogQuestion } from '@zt/core/model/api';
import type { HouseRules } from '@zt/core/model/houseRules';
import type { Shelf } from '@zt/core/model/shelf';
import { OUTCOMES } from '@zt/core/model/ticket/log';
import { type Taught, taughtBy } from '@zt/core/records/evidence/chances';
import { addPiece, emptyTable, type PieceTable, tableOf } from '@zt/core/records/evidence/likeness';
import type { PieceRecord } from '@zt/core/records/evidence/pieceRecord';
import { type EntryFacts, recordMaker } from '@zt/core/records/find/entryFacts';
import { type LogIndex, logIndex, type WordFor } from '@zt/core/records/find/logIndex';
import { PIECE_KINDS } from '@zt/core/stages/piece/kinds/index';
import { Mutex } from 'async-mutex';
import { sql } from 'drizzle-orm';
import type { Store } from '../../db/client';
import { logFacts } from '../../db/schema/logFacts';
import { tellFactsAnew } from './facts';

/** So many rows are read at once, so that others are answered meanwhile. */
const ROWS = 5000;

/** All that is known of a logbook, as it was read last. */
interface Read {
  era: number;
  index: LogIndex;
  bySeq: Map<number, PieceRecord[]>;
  pieces: PieceTable;
  recordsOf: ReturnType<typeof recordMaker>;
}

/** The columns of the facts in the order they are read, by their fields. */
const FACTS = {
  seq: 'seq',
  id: 'entry_id',
  loggedAt: 'logged_at',
  name: 'name',
  customer: 'customer',
  kind: 'kind',
  fabricId: 'fabric_id',
  method: 'method',
  outcome: 'outcome',
  who: 'who',
  rank: 'rank',
  stack: 'stack',
  needle: 'needle',
  learned: 'json(learned)',
} as const;
const FIELDS = Object.keys(FACTS);
const COLUMNS = sql.raw(Object.values(FACTS).join(', '));

/**
 * The facts that came after a number, so many of them. They are put together by the database: one text of thousands of rows
 * is read ten times as fast as the rows.
 */
async function readFacts({ db }: Store, after: number): Promise<(EntryFacts & { seq: number })[]> {
  const [row] = await db.all<{ rows: string }>(
    sql`SELECT json_group_array(json_array(${COLUMNS})) AS rows
      FROM (SELECT * FROM log_facts WHERE seq > ${after} ORDER BY seq LIMIT ${ROWS})`,
  );
  const rows = JSON.parse(row?.rows ?? '[]') as unknown[][];
  return rows.map(
    (values) =>
      Object.fromEntries(FIELDS.map((field, i) => [field, values[i]])) as unknown as EntryFacts & {
        seq: number;
      },
  );
}

/** What every entry of a store is found by and learned from, in memory: nothing is read twice. */
export class LogMemory {
  private readonly reading = new Mutex();
  private clothNames = new Map<string, string>();
  private read: Read;
  private taught: { pieces: PieceTable; of: string; is: Taught } | null = null;

  constructor(private readonly store: Store) {
    this.read = this.nothingRead(-1);
  }

  private nothingRead(era: number): Read {
    return {
      era,
      index: logIndex(this.wordFor),
      bySeq: new Map(),
      pieces: emptyTable(),
      recordsOf: recordMaker(),
    };
  }

  /** What each order goes by: what is read in its column. */
  private readonly wordFor: WordFor = (by, facts) => {
    const words: Record<typeof by, () => string> = {
      date: () => facts.loggedAt,
      name: () => facts.name.toLowerCase(),
      customer: () => facts.customer.toLowerCase(),
      kind: () => PIECE_KINDS[facts.kind].name.toLowerCase(),
      cloth: () => (this.clothNames.get(facts.fabricId) ?? '').toLowerCase(),
      method: () => facts.method,
      outcome: () => String(OUTCOMES.indexOf(facts.outcome)),
    };
    return words[by]();
  };

  /** Brings it up to date: what came since is added, what went is taken out. Who asks meanwhile waits for the same reading. */
  private upToDate(): Promise<Read> {
    return this.reading.runExclusive(async () => {
      if (this.store.era !== this.read.era) {
        // Data of a backup may have been told by an earlier version; nobody waits for that.
        if (this.read.era >= 0) void tellFactsAnew(this.store).catch(() => undefined);
        this.read = this.nothingRead(this.store.era);
      }
      const { index, bySeq, pieces, recordsOf } = this.read;
      for (;;) {
        const rows = await readFacts(this.store, index.lastSeq);
        for (const { seq, ...facts } of rows) {
          index.add(seq, facts);
          const records = recordsOf(facts);
          bySeq.set(seq, records);
          for (const record of records) addPiece(pieces, record);
        }
        if (rows.length < ROWS) break;
      }
      const [counted] = await this.store.db.select({ n: sql<number>`count(*)` }).from(logFacts);
      if (counted?.n !== index.size) await this.takeOut(this.read);
      return this.read;
    });
  }

  private async takeOut(read: Read): Promise<void> {
    const { index, bySeq } = read;
    const [row] = await this.store.db
      .select({ seqs: sql<string>`coalesce(group_concat(${logFacts.seq}), '')` })
      .from(logFacts);
    const kept = new Set((row?.seqs ?? '').split(',').map(Number));
    index.keepOnly(kept);
    for (const seq of bySeq.keys()) if (!kept.has(seq)) bySeq.delete(seq);
    read.pieces = tableOf([...bySeq.values()].flat());
  }

  /** The ids of entries that agree with a question; words are looked up in their index. */
  async find(
    question: LogQuestion,
    page: { size: number; key?: string },
    own: Shelf['fabrics'],
  ): Promise<LogFound> {
    const { index } = await this.upToDate();
    const names = new Map([...FABRICS, ...own].map(({ id, name }) => [id, name]));
    if (question.by === 'cloth' && [...names].some(([id, name]) => this.clothNames.get(id) !== name)) {
      this.clothNames = names;
      index.forgetOrder('cloth');
    }
    return index.find(question, await this.hits(question.q), page);
  }

  /** The facts of all entries that agree with a question. */
  async agreeing(question: LogQuestion): Promise<EntryFacts[]> {
    const { index } = await this.upToDate();
    return index.agreeing(question, await this.hits(question.q));
  }

  private async hits(q: string | undefined): Promise<number[] | null> {
    const match = matchFor(q);
    if (match === null) return null;
    const [row] = await this.store.db.all<{ seqs: string }>(
      sql`SELECT coalesce(group_concat(rowid), '') AS seqs FROM log_words WHERE log_words MATCH ${match}`,
    );
    return row && row.seqs !== '' ? row.seqs.split(',').map(Number) : [];
  }

  /** All pieces that can be learned from, and what they teach; that is worked out anew once there are others. */
  async learned(rules: HouseRules): Promise<{ pieces: PieceTable; taught: Taught }> {
    const { index, pieces } = await this.upToDate();
    const of = `${index.lastSeq} ${index.size} ${JSON.stringify(rules.numbers)}`;
    if (this.taught?.pieces !== pieces || this.taught.of !== of)
      this.taught = { pieces, of, is: taughtBy(pieces.records, rules) };
    return { pieces, taught: this.taught.is };
  }
}

/** What is asked of the index of words: every word, or what begins so; null where no word is asked for. */
function matchFor(q: string | undefined): string | null {
  const words = (q ?? '').match(/[\p{L}\p{N}]+/gu) ?? [];
  if (words.length === 0) return (q ?? '').trim() === '' ? null : '""';
  return words.map((word) => `"${word}"*`).join(' AND ');
}
