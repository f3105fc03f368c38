import fc from 'fast-check';
import { say } from '../../../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../../../model/houseRules';
import type { Made } from '../../../model/ticket/made';
import { EMPTY_PART, type Part } from '../../../model/ticket/part';
import { TWO_SQUARES } from '../../../testing/samples';
import { machineCount } from './asMade';
import { calibrationFor } from './calibrate';

const MM = { system: 'mm' } as const;
const read = { hex: '#1F3A5F', name: 'navy', stitches: 1000 };
const drawn = (stitches: number | null): Part => ({
  ...EMPTY_PART,
  id: 'part-with-a-count',
  widthMm: 40,
  heightMm: 30,
  stitches,
  colours: [read],
  artwork: { ...TWO_SQUARES, source: { drawing: 'a'.repeat(64), asRead: [read] } },
});
const madeOf = (fill: number, satin: number, other: number): Made => ({
  madeFrom: 'x',
  stops: [
    {
      part: 'part-with-a-count',
      stop: 0,
      step: null,
      fill,
      satin,
      other,
      threadMm: 4000,
      trims: 0,
      jumps: 0,
    },
  ],
  mostCover: 3,
  spots: [],
  thinned: {},
  onTop: null,
});
const withNumbers = (numbers: Record<string, number>) => ({ ...DEFAULT_HOUSE_RULES, numbers });

it('the factors that a count teaches count the same design as the machine does', () => {
  const part = fc.integer({ min: 0, max: 20_000 });
  let taught = 0;
  fc.assert(
    fc.property(part, part, part, fc.integer({ min: 500, max: 60_000 }), (fill, satin, other, typed) => {
      const made = madeOf(fill, satin, other);
      const found = calibrationFor(drawn(typed), made, DEFAULT_HOUSE_RULES);
      if (!found) return;
      taught += 1;
      const [stop] = made.stops;
      const again = stop ? machineCount(stop, withNumbers(found.numbers)) : 0;
      // A factor is kept to a tenth of a percent.
      expect(Math.abs(again - typed)).toBeLessThanOrEqual(2 + (fill + satin) * 0.0006);
      expect(calibrationFor(drawn(typed), made, withNumbers(found.numbers))).toBeNull();
    }),
    { numRuns: 500 },
  );
  expect(taught).toBeGreaterThan(100);
});

it('a filled design teaches fills alone, and says so with both counts', () => {
  const found = calibrationFor(drawn(1210), madeOf(1000, 20, 100), DEFAULT_HOUSE_RULES);
  expect(found?.numbers).toEqual({ countFillPercent: 109 });
  expect(say(found?.text ?? [], MM)).toMatch(
    /^The machine counts 1.210, we 1.120: count fills 109 % of ours from now on$/,
  );
});

it('nothing is taught by what nobody typed, by the same count, or by one that cannot be right', () => {
  expect(calibrationFor(drawn(1000), madeOf(1000, 0, 500), DEFAULT_HOUSE_RULES)).toBeNull();
  expect(calibrationFor(drawn(1130), madeOf(1000, 20, 100), DEFAULT_HOUSE_RULES)).toBeNull();
  expect(calibrationFor(drawn(90_000), madeOf(1000, 20, 100), DEFAULT_HOUSE_RULES)).toBeNull();
  expect(calibrationFor(drawn(1210), null, DEFAULT_HOUSE_RULES)).toBeNull();
});
