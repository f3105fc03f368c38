import fc from 'fast-check';
import { MOST_TICKS } from '../../model/ticket/log';
import { minutesOf, minutesTicked, tickAt, withTick } from './ticked';

const at = (minute: number, stage: 'place' | 'hoop' | 'stitch') =>
  tickAt(1_772_359_200_000 + minute * 60_000, stage);

it('counts what lies between two ticks for the stage of the later, and no pause', () => {
  const ticks = [at(0, 'place'), at(4, 'place'), at(9, 'hoop'), at(55, 'stitch'), at(59, 'stitch')];
  // 46 minutes between hoop and stitch: the hands were elsewhere.
  expect(minutesTicked(ticks)).toEqual({ place: 4, hoop: 5, stitch: 4 });
  expect(minutesTicked([...ticks].reverse())).toEqual(minutesTicked(ticks));
  expect(minutesTicked([])).toEqual({});
  expect(minutesTicked(['never place', '1772359200 nowhere', ''])).toEqual({});
});

it('what was typed goes before the ticks', () => {
  const ticks = [at(0, 'place'), at(4, 'place'), at(9, 'hoop')];
  expect(minutesOf({ ticks, minutes: { hoop: 12, finish: 3 } })).toEqual({ place: 4, hoop: 12, finish: 3 });
});

it('is a set that keeps the latest, whatever order two hands ticked in', () => {
  fc.assert(
    fc.property(fc.array(fc.nat({ max: 5000 }), { maxLength: 600 }), (minutes) => {
      const ticks = minutes.map((minute) => at(minute, 'hoop'));
      const kept = ticks.reduce<string[]>(withTick, []);
      expect(kept).toEqual([...new Set(ticks)].sort().slice(-MOST_TICKS));
    }),
  );
});
