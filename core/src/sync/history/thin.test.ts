import fc from 'fast-check';
import { thinned } from './thin';

const NOW = Date.UTC(2026, 10, 28, 12);
const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
interface State {
  atMs: number;
}
const before = (ms: number): State => ({ atMs: NOW - ms });
const states = fc.array(fc.integer({ min: 0, max: 400 * 24 * HOUR }).map(before), { maxLength: 300 });

function left(all: readonly State[], now = NOW): State[] {
  const gone = new Set(thinned(all, now));
  return all.filter((state) => !gone.has(state));
}

it('a day at work leaves the last three hours closely, and the hours before one each', () => {
  const all = Array.from({ length: 72 }, (_, i) => before(i * 10 * MINUTE));
  const minutesAgo = left(all).map(({ atMs }) => (NOW - atMs) / MINUTE);
  expect(minutesAgo.slice(0, 18)).toEqual(Array.from({ length: 18 }, (_, i) => 10 * i));
  expect(minutesAgo.slice(18)).toEqual([180, 240, 300, 360, 420, 480, 540, 600, 660, 710]);
});

it('keeps the first of all, takes no more when done again, and leaves few however many there were', () => {
  fc.assert(
    fc.property(states, (all) => {
      const kept = left(all);
      expect(left(kept)).toEqual(kept);
      if (all.length > 0)
        expect(kept.map(({ atMs }) => atMs)).toContain(Math.min(...all.map(({ atMs }) => atMs)));
      expect(kept.length).toBeLessThan(19 + 48 + 31 + 60);
    }),
  );
});

it('of what is older never more stays', () => {
  fc.assert(
    fc.property(states, fc.integer({ min: 0, max: 100 }), (all, days) => {
      const kept = left(all);
      expect(left(kept, NOW + days * 24 * HOUR).length).toBeLessThanOrEqual(kept.length);
    }),
  );
});
