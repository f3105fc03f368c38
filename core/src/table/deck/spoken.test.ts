import { count, deg, minutes, mm, phrase } from '../../base/units/phrase';
import { spoken } from './spoken';
import { deckStep } from './step';

it('reads figures as words, in the reader’s units, and the caution last', () => {
  const step = deckStep(
    { phase: 'mark', id: 'mark 0' },
    {
      text: phrase`Mark ${mm(222.25)} down`,
      figure: mm(222.25),
      hint: phrase`turned ${deg(90)}`,
      caution: phrase`Scissors away from you.`,
    },
  );
  expect(spoken(step, { system: 'in', denominator: 16 })).toBe(
    'Mark 8 3/4 inches down. 8 3/4 inches. turned 90 degrees. Scissors away from you.',
  );
  expect(spoken(step, { system: 'mm' })).toMatch(/^Mark 222(\.\d)? millimetres down\./);
});

it('leaves letters alone that are no unit', () => {
  const step = deckStep(
    { phase: 'cut', id: 'cut 0' },
    {
      text: phrase`Cut ${count(2)}: ${mm(150)} × ${mm(200)}, in the ring.`,
      figure: minutes(3),
    },
  );
  expect(spoken(step, { system: 'mm' })).toBe(
    'Cut 2: 150 millimetres by 200 millimetres, in the ring. 3 minutes.',
  );
});
