import {
  LOG_FACETS,
  type LogFacet,
  type LogFound,
  type LogOrder,
  type LogQuestion,
  type USES,
} from '../../model/api';
import { OUTCOMES } from '../../model/ticket/log';
import { DENSITY_CLASSES } from '../../model/ticket/part';
import { USE_TRAITS } from '../../model/way';
import { isA } from '../../stages/piece/geometry';
import { PIECE_KINDS } from '../../stages/piece/kinds';
import type { EntryFacts } from './entryFacts';

/** What a piece of a kind is for; the first that is so. */
const useOf = (kind: EntryFacts['kind']): (typeof USES)[number] =>
  USE_TRAITS.find((use) => isA(PIECE_KINDS[kind], use)) ?? 'other';

/** What an entry counts under in each facet; empty where nobody said. */
const VALUE_OF: Record<LogFacet, (facts: EntryFacts) => string> = {
  kind: ({ kind }) => kind,
  fabricId: ({ fabricId }) => fabricId,
  use: ({ kind }) => useOf(kind),
  density: ({ rank }) => (rank === null ? '' : (DENSITY_CLASSES[rank] ?? '')),
  method: ({ method }) => method,
  stack: ({ stack }) => stack ?? '',
  needle: ({ needle }) => needle ?? '',
  outcome: ({ outcome }) => outcome,
  customer: ({ customer }) => customer,
  who: ({ who }) => who,
};

/** So many values of a facet are told, the most frequent first; chosen ones are always told. */
const MOST_VALUES = 24;

interface Column {
  /** The value of each row, by its number. */
  of: number[];
  values: string[];
  numbers: Map<string, number>;
}

/** What each order goes by, as text. */
export type WordFor = (by: LogOrder['by'], facts: EntryFacts) => string;

/**
 * All entries of a logbook as columns in memory, to find and count them at once. Rows are numbered in the order they
 * came; `seq` rises with it.
 */
export interface LogIndex {
  readonly size: number;
  /** The highest `seq` that was put in; 0 while there is none. */
  readonly lastSeq: number;
  add: (seq: number, facts: EntryFacts) => void;
  /** Takes out what is not among these any more. */
  keepOnly: (seqs: ReadonlySet<number>) => void;
  /** What is sorted by this is called otherwise now. */
  forgetOrder: (by: LogOrder['by']) => void;
  /** Entries that agree with a question; `hits` are the `seq` that its words are found in, null for any. */
  find: (
    question: LogQuestion,
    hits: readonly number[] | null,
    page: { size: number; key?: string },
  ) => LogFound;
  /** All that agree with a question, in the order they came. */
  agreeing: (question: LogQuestion, hits: readonly number[] | null) => EntryFacts[];
}

const BETWEEN = '~';
/** What a row is to a question, where it is not the number of the one facet that refuses it. */
const [AGREES, OUT] = [-1, -2];

export function logIndex(wordFor: WordFor): LogIndex {
  const rows: EntryFacts[] = [];
  const seqs: number[] = [];
  const rowOfSeq = new Map<number, number>();
  /** Rows that were taken out since: they keep their number. */
  const gone = new Set<number>();
  const columns = Object.fromEntries(
    LOG_FACETS.map((facet) => [facet, { of: [], values: [], numbers: new Map() } as Column]),
  ) as unknown as Record<LogFacet, Column>;
  /** Rows in every order that was asked for, rising, and what each row is sorted by; made again once rows came. */
  const orders = new Map<LogOrder['by'], { rows: number[]; words: string[] }>();

  const add: LogIndex['add'] = (seq, facts) => {
    rowOfSeq.set(seq, rows.length);
    rows.push(facts);
    seqs.push(seq);
    for (const facet of LOG_FACETS) {
      const column = columns[facet];
      const value = VALUE_OF[facet](facts);
      let number = column.numbers.get(value);
      if (number === undefined) {
        number = column.values.length;
        column.numbers.set(value, number);
        column.values.push(value);
      }
      column.of.push(number);
    }
  };

  function orderOf(by: LogOrder['by']): { rows: number[]; words: string[] } {
    const kept = orders.get(by) ?? { rows: [], words: [] };
    if (kept.rows.length < rows.length) {
      for (let row = kept.rows.length; row < rows.length; row++) {
        kept.words.push(wordFor(by, rows[row] as EntryFacts));
        kept.rows.push(row);
      }
      const { words } = kept;
      // What was in order stays so: sorting the few that came is quick.
      kept.rows.sort((a, b) => compare(words[a] as string, words[b] as string) || compare(idOf(a), idOf(b)));
      orders.set(by, kept);
    }
    return kept;
  }
  const idOf = (row: number): string => (rows[row] as EntryFacts).id;

  /** Of each row: whether it agrees, or by which facet alone it is refused. */
  function stateOf({ from, to, ...question }: LogQuestion, hits: readonly number[] | null): Int8Array {
    const n = rows.length;
    const state = new Int8Array(n).fill(hits ? OUT : AGREES);
    for (const seq of hits ?? []) {
      const row = rowOfSeq.get(seq);
      if (row !== undefined) state[row] = AGREES;
    }
    for (const row of gone) state[row] = OUT;
    if (from || to)
      for (let row = 0; row < n; row++) {
        const { loggedAt } = rows[row] as EntryFacts;
        if ((from && loggedAt < from) || (to && loggedAt.slice(0, 10) > to)) state[row] = OUT;
      }
    LOG_FACETS.forEach((facet, f) => {
      const chosen = question[facet] ?? [];
      if (chosen.length === 0) return;
      const { of, values, numbers } = columns[facet];
      const allowed = new Uint8Array(values.length);
      for (const value of chosen) allowed[numbers.get(value) ?? values.length] = 1;
      for (let row = 0; row < n; row++) {
        if (state[row] === OUT || allowed[of[row] as number]) continue;
        state[row] = state[row] === AGREES ? f : OUT;
      }
    });
    return state;
  }

  function agreeing(question: LogQuestion, hits: readonly number[] | null): EntryFacts[] {
    const state = stateOf(question, hits);
    return rows.filter((_, row) => state[row] === AGREES);
  }

  function find(
    question: LogQuestion,
    hits: readonly number[] | null,
    { size, key }: { size: number; key?: string },
  ): LogFound {
    const state = stateOf(question, hits);
    const n = rows.length;
    // A value is counted as if it were chosen beside the others of its own facet.
    const counts = LOG_FACETS.map((facet, f) => {
      const { of, values } = columns[facet];
      const count = new Int32Array(values.length);
      for (let row = 0; row < n; row++)
        if (state[row] === AGREES || state[row] === f) (count[of[row] as number] as number) += 1;
      return count;
    });
    const outcomes = new Int32Array(columns.outcome.values.length);
    let total = 0;
    for (let row = 0; row < n; row++) {
      if (state[row] !== AGREES) continue;
      (outcomes[columns.outcome.of[row] as number] as number) += 1;
      total += 1;
    }
    return {
      ...pageOf(state, { by: question.by, way: question.way, size, ...(key ? { key } : {}) }),
      total,
      facets: Object.fromEntries(
        LOG_FACETS.map((facet, f) => [
          facet,
          valuesOf(columns[facet].values, counts[f] as Int32Array, question[facet] ?? []),
        ]),
      ) as LogFound['facets'],
      outcomes: Object.fromEntries(
        OUTCOMES.map((outcome) => [outcome, outcomes[columns.outcome.numbers.get(outcome) ?? -1] ?? 0]),
      ) as LogFound['outcomes'],
    };
  }

  /** The rows of one page of those that agree, and the key of the next. */
  function pageOf(
    state: Int8Array,
    { by, way, size, key }: LogOrder & { size: number; key?: string },
  ): Pick<LogFound, 'ids' | 'next'> {
    const order = orderOf(by);
    const step = way === 'rising' ? 1 : -1;
    let i = way === 'rising' ? 0 : order.rows.length - 1;
    if (key !== undefined) i = startAfter(order, key, way);
    const ids: string[] = [];
    let last = -1;
    for (; i >= 0 && i < order.rows.length; i += step) {
      const row = order.rows[i] as number;
      if (state[row] !== AGREES) continue;
      if (ids.length === size) return { ids, next: `${order.words[last]}${BETWEEN}${idOf(last)}` };
      ids.push(idOf(row));
      last = row;
    }
    return { ids, next: null };
  }

  /** The place in an order after the one with a key; the row itself may be gone. */
  function startAfter(
    { rows: sorted, words }: { rows: number[]; words: string[] },
    key: string,
    way: LogOrder['way'],
  ): number {
    const cut = key.lastIndexOf(BETWEEN);
    const [word, id] = [key.slice(0, Math.max(0, cut)), key.slice(cut + 1)];
    const beside = (row: number): number => compare(words[row] as string, word) || compare(idOf(row), id);
    let [low, high] = [0, sorted.length];
    const before = way === 'rising' ? (row: number) => beside(row) <= 0 : (row: number) => beside(row) < 0;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (before(sorted[middle] as number)) low = middle + 1;
      else high = middle;
    }
    return way === 'rising' ? low : low - 1;
  }

  return {
    add,
    find,
    agreeing,
    keepOnly: (kept) => {
      seqs.forEach((seq, row) => {
        if (!kept.has(seq)) gone.add(row);
      });
    },
    forgetOrder: (by) => {
      orders.delete(by);
    },
    get size() {
      return rows.length - gone.size;
    },
    get lastSeq() {
      return seqs.at(-1) ?? 0;
    },
  };
}

const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

function valuesOf(values: readonly string[], counts: Int32Array, chosen: readonly string[]) {
  const all = values
    .map((value, i) => ({ value, n: counts[i] as number }))
    .filter(({ value, n }) => value !== '' && (n > 0 || chosen.includes(value)))
    .sort((a, b) => b.n - a.n || compare(a.value, b.value));
  return all.filter(({ value }, i) => i < MOST_VALUES || chosen.includes(value));
}
