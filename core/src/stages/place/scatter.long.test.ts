import fc from 'fast-check';
import { boxAbout, cornersOf } from '../../base/geometry/box';
import {
  clearanceBetween,
  clearanceToLine,
  containsPoint,
  hullOf,
  type Polygon,
  placed,
} from '../../base/geometry/polygon';
import { casesOf } from '../../testing/cases';
import { checkScatter, latticeIn, type ScatterQuestion, scatter, scatterAll } from './scatter';

const PATTERN: Polygon = [
  { x: -180, y: 0 },
  { x: 180, y: 0 },
  { x: 300, y: 420 },
  { x: -300, y: 420 },
];
const motif = (w: number, h: number): Polygon => cornersOf(boxAbout({ x: 0, y: 0 }, w, h));
const ask = (rest: Partial<ScatterQuestion> = {}): ScatterQuestion => ({
  hull: motif(40, 26),
  within: PATTERN,
  insetMm: 15,
  gapMm: 10,
  count: 12,
  seed: 3,
  turns: 'any',
  rounds: 120,
  ...rest,
});

describe('the number that finds room', () => {
  const SKIRT = cornersOf({ left: -350, right: 350, top: 0, bottom: 600 });
  const skirt = (count: number, rounds: number) =>
    ask({ hull: motif(50, 40), within: SKIRT, count, rounds, gapMm: 12 });

  it.each([50, 100])('is all of %i in a skirt panel that is nearly empty', (count) => {
    expect(scatterAll(skirt(count, 20)).spots).toHaveLength(count);
  });

  it('never falls as rounds grow, and is never under a plain grid', () => {
    const asked = fc.record({
      count: fc.integer({ min: 20, max: 45 }),
      seed: fc.integer({ min: 0, max: 999 }),
      gapMm: fc.integer({ min: 4, max: 25 }),
    });
    fc.assert(
      fc.property(asked, (wish) => {
        const found = [0, 30, 90].map(
          (rounds) => scatterAll(ask({ ...wish, hull: motif(46, 34), rounds })).spots.length,
        );
        const grid = Math.min(wish.count, latticeIn(ask({ ...wish, hull: motif(46, 34) })).length);
        return found.every((n, i) => n >= (found[i - 1] ?? 0) && n >= grid && n <= wish.count);
      }),
      { numRuns: casesOf(4, 2) },
    );
  });
});

describe('a scatter', () => {
  const shape = fc.record({ w: fc.integer({ min: 10, max: 90 }), h: fc.integer({ min: 10, max: 90 }) });
  const wish = fc.record({
    count: fc.integer({ min: 1, max: 20 }),
    gapMm: fc.integer({ min: 0, max: 40 }),
    insetMm: fc.integer({ min: 0, max: 30 }),
    seed: fc.integer({ min: 0, max: 1_000_000 }),
    turns: fc.constantFrom('any' as const, 'upright' as const),
  });

  it('never lets two overlap or come nearer than the gap, nor one cross the seam line', () => {
    fc.assert(
      fc.property(shape, wish, ({ w, h }, asked) => {
        const q = ask({ ...asked, hull: motif(w, h), rounds: 40 });
        const hulls = scatterAll(q).spots.map((s) => placed(q.hull, s.turnDeg, s));
        const apart = hulls.every((a, i) =>
          hulls.slice(i + 1).every((b) => clearanceBetween(a, b).mm >= q.gapMm - 1e-6),
        );
        const ring = [...PATTERN, ...PATTERN.slice(0, 1)];
        const inside = hulls.every(
          (a) => a.every((p) => containsPoint(PATTERN, p)) && clearanceToLine(a, ring).mm >= q.insetMm - 1e-6,
        );
        return apart && inside && hulls.length <= q.count;
      }),
      { numRuns: casesOf(60, 15) },
    );
  });

  it('keeps the gap in whatever it yields on the way, so that it can be stopped', () => {
    for (const { spots } of scatter(ask({ count: 30 })))
      expect(checkScatter(spots, ask())).toEqual({ tooClose: [], outside: [] });
  });

  it('is the same for the same seed, and another for another', () => {
    expect(scatterAll(ask())).toEqual(scatterAll(ask()));
    expect(scatterAll(ask({ seed: 4 })).spots).not.toEqual(scatterAll(ask()).spots);
  });

  it('spreads out: farther apart than when it was laid', () => {
    const laid = scatterAll(ask({ rounds: 0 })).leastMm;
    expect(scatterAll(ask({ rounds: 900 })).leastMm).toBeGreaterThan(laid * 1.2);
  });

  it('turns none when all are to stand upright', () => {
    expect(scatterAll(ask({ turns: 'upright' })).spots.every((s) => s.turnDeg === 0)).toBe(true);
  });

  it('lays as many as there is room for, and none where there is no room', () => {
    const crowd = scatterAll(ask({ hull: motif(150, 150), count: 20 }));
    expect(crowd.spots.length).toBeGreaterThan(1);
    expect(crowd.spots.length).toBeLessThan(8);
    expect(scatterAll(ask({ hull: motif(900, 900) })).spots).toEqual([]);
  });

  it('lays round hulls as close as their edges allow, not their boxes', () => {
    const round = hullOf(
      Array.from({ length: 24 }, (_, i) => ({
        x: 20 * Math.cos((i * Math.PI) / 12),
        y: 20 * Math.sin((i * Math.PI) / 12),
      })),
    );
    const { spots, leastMm } = scatterAll(ask({ hull: round, count: 30, rounds: 1500 }));
    expect(spots).toHaveLength(30);
    expect(leastMm).toBeGreaterThan(12);
  });
});

describe('the checker', () => {
  it('names each pair too close and each one outside', () => {
    const wrong = checkScatter(
      [
        { x: 0, y: 100, turnDeg: 0 },
        { x: 42, y: 100, turnDeg: 0 },
        { x: 0, y: 5, turnDeg: 0 },
      ],
      ask(),
    );
    expect(wrong.tooClose).toEqual([[0, 1, expect.closeTo(2, 6)]]);
    expect(wrong.outside).toEqual([2]);
  });
});
