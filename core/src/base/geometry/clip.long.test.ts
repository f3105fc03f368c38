import fc from 'fast-check';
import { casesOf } from '../../testing/cases';
import { toolsInNode } from '../../testing/toolsInNode';
import { areaOf, type Clipper, type Ring } from './clip';
import type { Point } from './point';

let clip: Clipper;
beforeAll(async () => {
  ({ clip } = await toolsInNode());
});

const CELLS = 12;
const box = ([x, y, w, h]: readonly number[]): Ring => {
  const [left = 0, top = 0] = [x, y];
  const [right, bottom] = [left + (w ?? 1), top + (h ?? 1)];
  return [
    { x: left, y: top },
    { x: right, y: top },
    { x: right, y: bottom },
    { x: left, y: bottom },
  ];
};
const side = fc.integer({ min: 1, max: 5 });
const corner = fc.integer({ min: 0, max: CELLS - 6 });
const boxes = fc.array(fc.tuple(corner, corner, side, side), { minLength: 1, maxLength: 7 });
/** Whether each cell of the grid lies in one of the boxes. */
const cellsOf = (of: readonly (readonly number[])[]): boolean[] =>
  Array.from({ length: CELLS * CELLS }, (_, i) => {
    const [cx, cy] = [i % CELLS, Math.floor(i / CELLS)];
    return of.some(([x = 0, y = 0, w = 0, h = 0]) => cx >= x && cx < x + w && cy >= y && cy < y + h);
  });
const count = (cells: readonly boolean[]): number => cells.filter(Boolean).length;

it('agrees with counting cells: together, in both, and in the first alone', () => {
  fc.assert(
    fc.property(boxes, boxes, (a, b) => {
      const [inA, inB] = [cellsOf(a), cellsOf(b)];
      const [regionA, regionB] = [clip.union(a.map(box)), clip.union(b.map(box))];
      expect(areaOf(regionA)).toBeCloseTo(count(inA), 6);
      expect(areaOf(clip.intersect(regionA, regionB))).toBeCloseTo(
        count(inA.map((x, i) => x && inB[i] === true)),
        6,
      );
      expect(areaOf(clip.subtract(regionA, regionB))).toBeCloseTo(
        count(inA.map((x, i) => x && inB[i] !== true)),
        6,
      );
    }),
    { numRuns: casesOf(400, 100) },
  );
});

it('counts what is covered an odd number of times, where it is asked to', () => {
  const [outer, inner] = [box([0, 0, 10, 10]), box([2, 2, 3, 3])];
  expect(areaOf(clip.union([outer, inner], 'evenodd'))).toBeCloseTo(91, 6);
  expect(areaOf(clip.union([outer, inner]))).toBeCloseTo(100, 6);
  expect(clip.union([])).toEqual([]);
  expect(clip.union([[{ x: 1, y: 1 }], []])).toEqual([]);
});

const RINGS = casesOf(100_000, 8_000);

it(`ends on ${RINGS} rings that cross themselves, on a grid and off it`, () => {
  // Of these a triangular walk through the same few corners was what other clippers never came back from.
  let state = 12345;
  const next = (most: number) => {
    state = (Math.imul(state, 1103515245) + 12345) & 0x7fffffff;
    return state % most;
  };
  let most = 0;
  for (let i = 0; i < RINGS; i++) {
    const onGrid = i % 2 === 0;
    const ring: Point[] = Array.from({ length: 4 + next(8) }, () => ({
      x: onGrid ? 10 * next(6) : next(100_000) / 1000,
      y: onGrid ? 10 * next(6) : next(100_000) / 1000,
    }));
    const area = areaOf(clip.union([ring]));
    most = Math.max(most, area);
  }
  expect(most).toBeGreaterThan(1000);
  expect(most).toBeLessThanOrEqual(10_000);
});
