import { say } from '../../base/units/phrase';
import { minuteIn, type StopTime, timelineOf } from './timeline';

const MM = { system: 'mm' } as const;
const time = (change: number, sewing: number, trims: number, byHand: boolean): StopTime => ({
  change: { minutes: change, byHand: change > 0 && byHand },
  sewing,
  trims: { minutes: trims, byHand, count: trims > 0 ? 3 : 0 },
  cloth: null,
});

it('parts what the machine does by itself from what hands do, one after the other', () => {
  const { stretches, machineMinutes, handsMinutes, presences } = timelineOf([
    { name: 'navy', time: time(0, 5, 1, true) },
    { name: 'yellow', time: time(1.25, 4, 0, true) },
  ]);
  expect(stretches.map(({ stop, from, to, by }) => [stop, from, to, by])).toEqual([
    [0, 0, 5, 'machine'],
    [0, 5, 6, 'hands'],
    [1, 6, 7.25, 'hands'],
    [1, 7.25, 11.25, 'machine'],
  ]);
  expect([machineMinutes, handsMinutes]).toEqual([9, 2.25]);
  expect([
    minuteIn({ stretches }, 0, 0.5),
    minuteIn({ stretches }, 1, 0.25),
    minuteIn({ stretches }, 7, 1),
  ]).toEqual([2.5, 8.25, 0]);
  expect(presences.map(({ at, what }) => [at, say(what, MM)])).toEqual([
    [0, 'thread navy, and start'],
    [5, 'cut 3 jump threads of navy'],
    [6, 'change to yellow'],
    [11.25, 'take it off'],
  ]);
});

it('of a machine that changes and trims itself, somebody is there at both ends alone', () => {
  const { presences, handsMinutes } = timelineOf([
    { name: 'navy', time: time(0, 5, 1, false) },
    { name: 'yellow', time: time(0.2, 4, 0.5, false) },
  ]);
  expect(handsMinutes).toBe(0);
  expect(presences.map(({ at }) => at)).toEqual([0, 10.7]);
});

it('of nothing there is nothing', () => {
  expect(timelineOf([])).toEqual({ stretches: [], presences: [], machineMinutes: 0, handsMinutes: 0 });
});
