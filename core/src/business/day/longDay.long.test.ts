import { casesOf } from '../../testing/cases';
import { expectSound, solved } from '../../testing/soundDay';
import { variedDay } from '../../testing/variedDays';
import { gapOf } from './solve';
import { tapesOf } from './tapes';

it('many pieces are planned soundly, no plan is better than the bound that is told, and most are near it', () => {
  const gaps: number[] = [];
  for (let seed = 1; seed <= casesOf(8, 1); seed += 1) {
    const day = variedDay(seed * 97, 8 + 4 * seed);
    const found = solved(day);
    expect(found.boundS).toBeLessThanOrEqual(found.worth.endS + 1e-6);
    expect(found.boundLateS).toBeLessThanOrEqual(found.worth.lateS + 1e-6);
    expectSound(day, tapesOf(day, found.moves), found);
    gaps.push(gapOf(found));
  }
  expect(gaps.filter((gap) => gap > 0.05).length).toBeLessThanOrEqual(1);
  expect(Math.max(...gaps)).toBeLessThan(0.1);
});
