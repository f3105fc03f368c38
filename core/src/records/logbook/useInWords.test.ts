import { say } from '../../base/units/phrase';
import { usesInWords } from './useInWords';

it('says what a piece took, a line to each item, sheets of one size together', () => {
  const sheet = { widthMm: 160, heightMm: 140 };
  const lines = usesInWords([
    {
      noun: 'materials',
      id: 'material-1',
      name: 'Film',
      metres: 0.604,
      sheets: [sheet, sheet],
      offcuts: [{ widthMm: 300, heightMm: 114 }],
    },
    { noun: 'threads', id: 'thread-navy', name: 'navy', metres: 12.345 },
    {
      noun: 'machines',
      id: 'machine-1',
      name: 'Flat bed',
      hours: [0.2, 0.05],
      bobbin: { was: null, is: 51 },
    },
    { noun: 'supplies', id: 'supply-01', type: 'bobbin-60', amount: 1.26 },
  ]);
  expect(lines.map((line) => say(line, { system: 'mm' }))).toEqual([
    'Film: 0.6 m off the roll, 2 sheets of 160 mm × 140 mm, leaves 300 mm × 114 mm',
    'navy: 12 m',
    'Flat bed: 0.25 h on its needles, 51 m left on its bobbin',
    'something no longer on the shelf: 1.26 bobbins',
  ]);
});
