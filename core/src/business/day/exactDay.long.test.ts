import { casesOf, LONG } from '../../testing/cases';
import { bestOfAll } from '../../testing/everyDay';
import { bestByProgram, inSlots } from '../../testing/exactDay';
import { exactSolver } from '../../testing/exactOrder';
import { solved } from '../../testing/soundDay';
import { variedDay } from '../../testing/variedDays';
import type { Day, Worth } from './work';

const onOneMachine = (day: Day, hoops: number): Day => ({
  ...day,
  machines: day.machines.slice(0, 1),
  hoops: { a: hoops },
  works: day.works.map((work) => ({ ...work, machine: 0, hoops: ['a'] })),
});

const rounded = ({ lateS, endS }: Worth) => ({ lateS: Math.round(lateS), endS: Math.round(endS) });

// Every order of eight pieces can be gone through where one hoop serves one machine, of five in two hoops.
it.each([
  ['four pieces, whatever the shop has', (seed: number) => variedDay(seed * 131, 4), casesOf(40, 3)],
  ['five in two hoops', (seed: number) => onOneMachine(variedDay(seed * 149, 5), 2), casesOf(10, 2)],
  [
    'five to seven in one hoop',
    (seed: number) => onOneMachine(variedDay(seed * 173, 5 + (seed % 3)), 1),
    casesOf(52, 4),
  ],
  ...(LONG
    ? [['eight in one hoop', (seed: number) => onOneMachine(variedDay(seed * 191, 8), 1), 8] as const]
    : []),
] as const)('as good as every order of what hands do: %s', (_, dayOf, days) => {
  for (let seed = 1; seed <= days; seed += 1) {
    const day = dayOf(seed);
    const found = solved(day);
    expect(found.isExact).toBe(true);
    expect(rounded(found.worth)).toEqual(rounded(bestOfAll(day)));
  }
});

it.each([
  [1, casesOf(10, 1)],
  [2, casesOf(10, 1)],
  ...(LONG
    ? ([
        [3, 10],
        [4, 3],
      ] as const)
    : []),
] as const)('as good as an integer program written from what a day is: days of %i', async (pieces, days) => {
  const highs = await exactSolver();
  for (let seed = 1; seed <= days; seed += 1) {
    const varied = variedDay(seed * 53, pieces);
    const machines = varied.machines.map((one) => ({ ...one, needles: one.needles === 1 ? 1 : 12 }));
    const day = inSlots({ ...varied, machines }, 600);
    expect(rounded(solved(day).worth)).toEqual(bestByProgram(highs, day));
  }
});
