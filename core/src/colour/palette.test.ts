import fc from 'fast-check';
import type { Thread } from '../shelf/schema';
import { SAMPLE_SHELF } from '../testing/samples';
import { readThreads, threadsToCsv, threadsToPalette } from './palette';

const thread = fc.record({
  id: fc.uuid(),
  name: fc
    .string({ minLength: 1, maxLength: 40 })
    .map((s) => s.trim())
    .filter((s) => s.length > 0 && !/[\r\n]/.test(s)),
  hex: fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0').toUpperCase()}`),
  weight: fc.constantFrom(40 as const, 60 as const),
  fibre: fc.constantFrom('polyester' as const, 'rayon' as const, 'cotton' as const, 'metallic' as const),
  metresLeft: fc.integer({ min: 0, max: 20_000 }),
});
const bare = ({ id: _, ...rest }: Thread) => rest;

describe('threads as files', () => {
  it('come back from CSV as they were, whatever their names', () => {
    fc.assert(
      fc.property(fc.array(thread, { minLength: 1, maxLength: 12 }), (threads) => {
        const read = readThreads(threadsToCsv(threads));
        expect(read).toEqual({ ok: true, threads: threads.map(bare) });
      }),
      { numRuns: 200 },
    );
  });

  it('come back from palette text with their colours and names', () => {
    const read = readThreads(threadsToPalette(SAMPLE_SHELF.threads));
    expect(read.ok && read.threads.map((t) => [t.name, t.hex])).toEqual([
      ['navy', '#1F3A5F'],
      ['yellow', '#E0B33A'],
    ]);
  });

  it('pass over headings, comments and empty lines of palette text', () => {
    const read = readThreads(
      'A heading\nColumns: 4\n# a remark\n\n 31  58  95\tnavy\n224 179 58 warm yellow\n0 0 0',
    );
    expect(read.ok && read.threads.map((t) => `${t.name} ${t.hex}`)).toEqual([
      'navy #1F3A5F',
      'warm yellow #E0B33A',
      '#000000 #000000',
    ]);
  });

  it.each([
    ['', 'empty', null],
    ['Dear shop, here are my colours', 'no-colours', null],
    ['name,hex\nnavy,#1F3A5F\nred,#12', 'unreadable', 3],
    ['name,hex,weight\nnavy,#1F3A5F,55', 'unreadable', 2],
    ['31 58 95 navy\n300 0 0 too red', 'unreadable', 2],
    ['31 58', 'unreadable', 1],
  ])('%j is refused, naming the line', (text, code, line) => {
    const read = readThreads(text);
    expect(read).toMatchObject({ ok: false, code, line });
    expect(!read.ok && read.message).toMatch(/The shelf is as it was\.$/);
  });

  it('never throw, whatever the text', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 300 }), (text) => typeof readThreads(text).ok === 'boolean'),
    );
  });
});
