import fc from 'fast-check';
import { LOG_FACETS, type LogFacet, type LogQuestion } from '../../model/api';
import { PIECE_KIND_IDS } from '../../model/pieceKindIds';
import { DENSITY_CLASSES } from '../../model/ticket/part';
import { USE_TRAITS } from '../../model/way';
import { isA } from '../../stages/piece/geometry';
import { PIECE_KINDS } from '../../stages/piece/kinds';
import type { EntryFacts } from './entryFacts';
import { logIndex, type WordFor } from './logIndex';

const wordFor: WordFor = (by, facts) =>
  by === 'name' ? facts.name : by === 'customer' ? facts.customer : facts.loggedAt;

const facts = fc.record({
  day: fc.integer({ min: 1, max: 28 }),
  name: fc.constantFrom('bib', 'apron', 'Tee ~ blue', 'cloth'),
  customer: fc.constantFrom('', 'Runa', 'Ada, the elder', 'Lantern House'),
  kind: fc.constantFrom(...PIECE_KIND_IDS.slice(0, 6)),
  fabricId: fc.constantFrom('linen', 'jersey-tee', 'rib'),
  method: fc.constantFrom('hooped', 'floated', 'partly'),
  outcome: fc.constantFrom('good', 'slight', 'plain', 'spoilt'),
  who: fc.constantFrom('', 'Nils', 'Ottilie'),
  rank: fc.constantFrom(null, 0, 2, 4),
  stack: fc.constantFrom(null, 'cut-away', 'mesh', 'nothing'),
  needle: fc.constantFrom(null, 'ballpoint-75-11', 'sharp-90-14'),
});
const entryOf = ({ day, ...rest }: Record<string, unknown> & { day: number }, i: number): EntryFacts =>
  ({
    ...rest,
    id: `entry-${String((i * 7919) % 1000).padStart(4, '0')}`,
    loggedAt: `2026-03-${String(day).padStart(2, '0')}T10:00:00.000Z`,
    learned: null,
  }) as EntryFacts;

/** What an entry counts under, said another way than the index does. */
const countsUnder = (facet: LogFacet, e: EntryFacts): string => {
  if (facet === 'use') return USE_TRAITS.find((use) => isA(PIECE_KINDS[e.kind], use)) ?? 'other';
  if (facet === 'density') return e.rank === null ? '' : (DENSITY_CLASSES[e.rank] ?? '');
  return String(e[facet] ?? '');
};

const question = fc.record({
  by: fc.constantFrom('date' as const, 'name' as const, 'customer' as const),
  way: fc.constantFrom('rising' as const, 'falling' as const),
  outcome: fc.option(fc.constantFrom(['good'], ['spoilt', 'plain'], ['good', 'slight', 'plain', 'spoilt']), {
    nil: undefined,
  }),
  method: fc.option(fc.constantFrom(['hooped'], ['floated', 'partly'], ['no such method']), {
    nil: undefined,
  }),
  customer: fc.option(fc.constantFrom(['Ada, the elder'], ['Runa', 'Lantern House']), { nil: undefined }),
  density: fc.option(fc.constantFrom(['open'], ['medium', 'open']), { nil: undefined }),
  from: fc.option(fc.constantFrom('2026-03-10'), { nil: undefined }),
  to: fc.option(fc.constantFrom('2026-03-20'), { nil: undefined }),
});

it('finds, counts and pages as going through all of them one by one does', () => {
  fc.assert(
    fc.property(
      fc.array(facts, { maxLength: 60 }),
      question,
      fc.option(fc.array(fc.integer({ min: 1, max: 60 }), { maxLength: 40 }), { nil: null }),
      fc.array(fc.nat({ max: 59 }), { maxLength: 6 }),
      fc.integer({ min: 1, max: 9 }),
      (made, asked, hits, taken, size) => {
        const entries = made.map(entryOf);
        const index = logIndex(wordFor);
        for (const [i, entry] of entries.entries()) index.add(i + 1, entry);
        const kept = new Set(entries.map((_, i) => i + 1).filter((seq) => !taken.includes(seq - 1)));
        index.keepOnly(kept);
        expect(index.size).toBe(kept.size);
        expect(index.lastSeq).toBe(entries.length);

        const words = hits && [...new Set(hits)];
        const inWords = entries.filter(
          (e, i) =>
            kept.has(i + 1) &&
            (words === null || words.includes(i + 1)) &&
            (!asked.from || e.loggedAt.slice(0, 10) >= asked.from) &&
            (!asked.to || e.loggedAt.slice(0, 10) <= asked.to),
        );
        const chosen = (facet: LogFacet): readonly string[] =>
          (asked as Partial<Record<LogFacet, string[]>>)[facet] ?? [];
        const agrees = (e: EntryFacts, but?: LogFacet) =>
          LOG_FACETS.every(
            (f) => f === but || chosen(f).length === 0 || chosen(f).includes(countsUnder(f, e)),
          );
        const found = inWords.filter((e) => agrees(e));
        const key = (e: EntryFacts) => `${wordFor(asked.by, e)}\u0000${e.id}`;
        const sorted = [...found].sort((a, b) => (key(a) < key(b) ? -1 : key(a) > key(b) ? 1 : 0));
        if (asked.way === 'falling') sorted.reverse();

        const ids: string[] = [];
        let next: string | null | undefined;
        for (let page = 0; next !== null; page++) {
          if (page > 70) throw new Error('no end of pages');
          const answer = index.find(asked as LogQuestion, words, { size, ...(next ? { key: next } : {}) });
          ids.push(...answer.ids);
          next = answer.next;
          expect(answer.total).toBe(found.length);
          for (const facet of LOG_FACETS) {
            const beside = inWords.filter((e) => agrees(e, facet));
            for (const { value, n } of answer.facets[facet])
              expect(n).toBe(beside.filter((e) => countsUnder(facet, e) === value).length);
            for (const e of beside)
              if (countsUnder(facet, e) !== '')
                expect(answer.facets[facet].some(({ value }) => value === countsUnder(facet, e))).toBe(true);
          }
          for (const [outcome, n] of Object.entries(answer.outcomes))
            expect(n).toBe(found.filter((e) => e.outcome === outcome).length);
        }
        expect(ids).toEqual(sorted.map(({ id }) => id));
      },
    ),
  );
});

it('what comes in between pages neither repeats nor hides a line', () => {
  const index = logIndex(wordFor);
  const entry = (i: number, day: number) =>
    entryOf(
      {
        day,
        name: 'tee',
        customer: '',
        kind: 't-shirt',
        fabricId: 'linen',
        method: 'hooped',
        outcome: 'good',
        who: '',
        rank: 1,
        stack: 'mesh',
        needle: null,
      },
      i,
    );
  for (let i = 0; i < 10; i++) index.add(i + 1, entry(i, 10 + i));
  const first = index.find({ by: 'date', way: 'falling' }, null, { size: 4 });
  index.add(11, entry(10, 28));
  index.add(12, entry(11, 5));
  const second = index.find({ by: 'date', way: 'falling' }, null, { size: 20, key: first.next ?? '' });
  expect(first.ids).toHaveLength(4);
  expect(second.ids).toHaveLength(7);
  expect(second.ids.some((id) => first.ids.includes(id))).toBe(false);
});
