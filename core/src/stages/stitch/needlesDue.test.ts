import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import type { Machine } from '../../model/shelf';
import { SAMPLE_SHELF } from '../../testing/samples';
import { needlesDue, withNeedles } from './needlesDue';
import { type StopTime, timelineOf } from './timeline';

const rules = DEFAULT_HOUSE_RULES;
const machineOf = (...hours: number[]): Machine => ({
  ...(SAMPLE_SHELF.machines[0] as Machine),
  needles: hours.length,
  fitted: hours.map((h) => ({ type: null, hours: h })),
});
const time = (sewing: number): StopTime => ({
  change: { minutes: 0, byHand: false },
  sewing,
  trims: { minutes: 0, byHand: false, count: 0 },
  cloth: null,
});
const stops = [
  { needle: 0, time: time(20) },
  { needle: 1, time: time(30) },
  { needle: 0, time: time(20) },
];
const due = (...hours: number[]) => needlesDue(stops, { machine: machineOf(...hours), rules });

it('a needle is due where its hours are full, by the minutes that it stitches', () => {
  expect(due(0, 0)).toEqual([]);
  // 30 minutes are left to it: its first stop and half of its second.
  expect(due(7.5, 0)).toEqual([{ needle: 0, stop: 2, share: expect.closeTo(0.5, 9) }]);
  expect(due(9, 7.75)).toEqual([
    { needle: 0, stop: 0, share: 0 },
    { needle: 1, stop: 1, share: expect.closeTo(0.5, 9) },
  ]);
  expect(needlesDue(stops, { machine: null, rules })).toEqual([]);
});

it('stands in the timeline at its minute', () => {
  const timeline = timelineOf(stops.map(({ time: own }, i) => ({ name: `${i}`, time: own })));
  const with7 = withNeedles(timeline, due(7.5, 0), rules);
  expect(with7.presences.map(({ at, what }) => [at, say(what, { system: 'mm' })])).toEqual([
    [0, 'thread 0, and start'],
    [expect.closeTo(60, 6), 'change needle 1, it has its 8 hours: power off first'],
    [70, 'take it off'],
  ]);
});
