import { bestOfAll } from '../../testing/everyDay';
import { expectSound, solved } from '../../testing/soundDay';
import { variedDay } from '../../testing/variedDays';
import { gapOf } from './solve';
import { tapesOf } from './tapes';
import type { Day } from './work';

it('many pieces are planned soundly, no plan is better than the bound that is told, and most are near it', () => {
  const gaps: number[] = [];
  for (let seed = 1; seed <= 8; seed += 1) {
    const day = variedDay(seed * 97, 8 + 4 * seed);
    const found = solved(day);
    expect(found.boundS).toBeLessThanOrEqual(found.worth.endS + 1e-6);
    expect(found.boundLateS).toBeLessThanOrEqual(found.worth.lateS + 1e-6);
    expectSound(day, tapesOf(day, found.moves), found);
    gaps.push(gapOf(found));
  }
  expect(gaps.filter((gap) => gap <= 0.05).length).toBeGreaterThanOrEqual(7);
  expect(Math.max(...gaps)).toBeLessThan(0.1);
});

/** Every order of eight pieces can be gone through where one hoop serves one machine. */
const withOneHoop = (day: Day): Day => ({
  ...day,
  machines: day.machines.slice(0, 1),
  hoops: { a: 1 },
  works: day.works.map((work) => ({ ...work, machine: 0, hoops: ['a'] })),
});

it.each([
  ['four pieces, whatever the shop has', (seed: number) => variedDay(seed * 131, 4), 12],
  ['five to seven in one hoop', (seed: number) => withOneHoop(variedDay(seed * 173, 5 + (seed % 3))), 18],
  ['eight in one hoop', (seed: number) => withOneHoop(variedDay(seed * 191, 8)), 3],
] as const)('as good as every order of what hands do: %s', (_, dayOf, days) => {
  for (let seed = 1; seed <= days; seed += 1) {
    const day = dayOf(seed);
    const [found, best] = [solved(day), bestOfAll(day)];
    expect([found.isExact, ...[found.worth.lateS, found.worth.endS].map(Math.round)]).toEqual([
      true,
      Math.round(best.lateS),
      Math.round(best.endS),
    ]);
  }
});
