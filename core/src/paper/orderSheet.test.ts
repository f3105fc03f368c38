import type { PaperDrawing } from './drawing';
import { orderSheet, type PrintedOrder } from './orderSheet';

const QUOTE: PrintedOrder = {
  kind: 'quote',
  heading: 'Harbour Stitches\n4 Quay Street, Pennyscar',
  name: 'Regatta week',
  customer: 'Pennyscar Rowing Club',
  day: '4 May 2026',
  due: '1 June 2026',
  items: [
    { name: 'Crew tee, crossed oars', pieces: 20, sizes: '4 as measured, 6 × S, 10 × L' },
    { name: 'Club towel', pieces: 1, sizes: '' },
  ],
  brought: 'one towel',
  promisedMinor: 35050,
  currency: 'EUR',
};
const measure = (words: string, sizeMm: number) => words.length * sizeMm * 0.5;
const wordsOn = (pages: readonly PaperDrawing[]): string =>
  pages
    .flatMap(({ marks }) => marks.flatMap((mark) => (mark.kind === 'text' ? [`${mark.text}|`] : [])))
    .join(' ');
const wordsOf = (order: PrintedOrder) => wordsOn(orderSheet(order, { paper: 'a4', measure }));

it('a quote has the shop’s heading, what it is, how many, what it comes to, and when', () => {
  const words = wordsOf(QUOTE);
  for (const said of [
    'Harbour Stitches',
    '4 Quay Street, Pennyscar',
    'Quote: Regatta week',
    'Pennyscar Rowing Club · 4 May 2026',
    '4 as measured, 6 × S, 10 × L',
    '21 pieces, all of it',
    '€350.50',
    'Ready on 1 June 2026.',
    'Brought by you: one towel.',
  ])
    expect(words).toContain(said);
  expect(words).not.toMatch(/tax|VAT/i);
});

it('a receipt says what was paid, and no day to come', () => {
  const words = wordsOf({ ...QUOTE, kind: 'receipt' });
  expect(words).toContain('Receipt: Regatta week');
  expect(words).toContain('What was paid');
  expect(words).not.toContain('Ready on');
});

it('an order of very many tickets goes on over pages, and none of it is lost', () => {
  const items = Array.from({ length: 200 }, (_, i) => ({ name: `Piece ${i + 1}`, pieces: 1, sizes: '' }));
  const pages = orderSheet({ ...QUOTE, items }, { paper: 'a5', measure });
  expect(pages.length).toBeGreaterThan(3);
  const words = wordsOn(pages);
  for (const { name } of items) expect(words).toContain(`${name}|`);
});
