import { LogEntrySchema } from '../model/logEntry';
import kept from '../testing/entryOfPlanner4.json';
import { entrySheet, type PrintedPhoto } from './entrySheet';
import { CARD_PAPER_IDS, CARD_PAPERS } from './tiles';

const entry = LogEntrySchema.parse(kept);
const measure = (words: string, sizeMm: number) => words.length * sizeMm * 0.55;
const photo = (id: string, widthPx: number, heightPx: number): PrintedPhoto => ({
  id: id.repeat(64),
  moment: 'front',
  widthPx,
  heightPx,
});
const PHOTOS = [
  photo('a', 1600, 1067),
  photo('b', 1067, 1600),
  photo('c', 1600, 900),
  photo('d', 900, 900),
  photo('e', 10, 10),
];

it.each(CARD_PAPER_IDS)(
  'tells how it came out and how it was made, on %s, all of it within the paper',
  (paper) => {
    const { pages, photos } = entrySheet(entry, {
      paper,
      measure,
      units: { system: 'mm' },
      photos: PHOTOS,
      day: '29 November 2026',
    });
    const { widthMm, heightMm } = CARD_PAPERS[paper];
    const words = pages.flatMap(({ marks }) =>
      marks.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : [])),
    );
    const said = words.join(' ');
    for (const part of [
      '29 November 2026',
      'How it came out',
      'puckering slight',
      'Done by: Runa',
      '100 × 100 screw hoop',
      'How it was marked',
    ])
      expect(said).toContain(part);
    for (const { marks } of pages)
      for (const mark of marks)
        if (mark.kind === 'text') {
          expect(mark.at.x).toBeGreaterThanOrEqual(10);
          expect(mark.at.y).toBeLessThanOrEqual(heightMm - 8);
        }
    // The first four photos, as they are, beside one another.
    expect(photos.map(({ id }) => id[0])).toEqual(['a', 'b', 'c', 'd']);
    photos.forEach(({ box }, i) => {
      const of = PHOTOS[i];
      expect((box.right - box.left) / (box.bottom - box.top)).toBeCloseTo(
        (of?.widthPx ?? 0) / (of?.heightPx ?? 1),
        6,
      );
      expect(box.right).toBeLessThanOrEqual(widthMm - 11.9);
      const next = photos[i + 1];
      if (next) expect(next.box.left).toBeGreaterThan(box.right);
    });
  },
);

it('without photos its words begin where they would stand', () => {
  const of = { paper: 'a4' as const, measure, units: { system: 'mm' as const }, day: '' };
  const [bare] = entrySheet(entry, { ...of, photos: [] }).pages;
  const [pictured] = entrySheet(entry, { ...of, photos: PHOTOS.slice(0, 1) }).pages;
  const topOf = (page: typeof bare) =>
    Math.min(
      ...(page?.marks ?? []).flatMap((mark) =>
        mark.kind === 'text' && mark.text === 'How it came out' ? [mark.at.y] : [],
      ),
    );
  expect(topOf(bare)).toBeLessThan(topOf(pictured) - 40);
});
