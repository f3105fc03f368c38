import { count, minutes, money, type Phrase, phrase } from '../../base/units/phrase';
import { type HouseNumber, numberFor } from '../../catalogue/houseNumber';
import { MONEY_NUMBERS as M } from '../../catalogue/numbers/money';
import { WORK_NUMBERS as W } from '../../catalogue/numbers/work';
import { type CostLine, type CostOf, costLine, figure } from './costLine';
import type { RunFacts } from './runFacts';

const MINUTES_AN_HOUR = 60;

/** Minutes at a rate for the hour. */
function timeLine(
  line: Pick<CostLine, 'id' | 'name' | 'once'>,
  { rate, taken, what }: { rate: HouseNumber; taken: number; what: Phrase[] },
  { rules }: Pick<CostOf, 'rules'>,
): CostLine {
  const perHour = numberFor(rules, rate);
  const price =
    perHour === 0
      ? phrase`${rate.name} is set to nothing: ${figure(taken)} min are counted as free`
      : phrase`${figure(taken)} min × ${money(perHour, rules.currency)} an hour`;
  return costLine({
    ...line,
    exact: (taken / MINUTES_AN_HOUR) * perHour,
    sum: [...what, price],
    unpriced: [],
  });
}

/** Hands and machine by their minutes, wear, and the set-up that all pieces share. */
export function workLines({ rules }: CostOf, run: RunFacts): CostLine[] {
  const { pieces, hoopings, hands, handsAtMachineMinutes, machineAloneMinutes } = run;
  const each = hands.reduce((sum, { minutes: one, times }) => sum + one * times, 0) + handsAtMachineMinutes;
  const machine = machineAloneMinutes + handsAtMachineMinutes;
  const works = hands.map(
    ({ what, minutes: one, times }) =>
      phrase`${what} ${times > 1 ? phrase`${count(times)} × ` : phrase``}${minutes(one)}`,
  );
  const wear = numberFor(rules, M.hoopWear);
  return [
    costLine({
      id: 'hoop',
      name: 'Hoop wear',
      exact: pieces * hoopings * wear,
      once: false,
      unpriced: [],
      sum: [
        phrase`${count(pieces * hoopings)} ${pieces * hoopings === 1 ? 'hooping' : 'hoopings'} × ${money(wear, rules.currency)}`,
      ],
    }),
    timeLine(
      { id: 'machineWear', name: 'Machine wear', once: false },
      { rate: M.machineWearPerHour, taken: machineAloneMinutes * pieces, what: [] },
      { rules },
    ),
    timeLine(
      { id: 'hands', name: 'Hands', once: false },
      {
        rate: M.handsPerHour,
        taken: each * pieces,
        what: [...works, phrase`at the machine ${figure(handsAtMachineMinutes)} min, each piece`],
      },
      { rules },
    ),
    timeLine(
      { id: 'machine', name: 'Machine', once: false },
      {
        rate: M.machinePerHour,
        taken: machine * pieces,
        what: [phrase`${figure(machine)} min with a piece on it, each`],
      },
      { rules },
    ),
    timeLine(
      { id: 'setUp', name: 'Set-up, once for the run', once: true },
      { rate: M.handsPerHour, taken: numberFor(rules, W.setUpMinutes), what: [] },
      { rules },
    ),
  ];
}
