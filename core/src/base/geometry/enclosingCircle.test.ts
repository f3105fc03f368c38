import fc from 'fast-check';
import { enclosingCircle } from './enclosingCircle';

const point = fc.record({
  x: fc.double({ min: -100, max: 100, noNaN: true }),
  y: fc.double({ min: -100, max: 100, noNaN: true }),
});
type Points = { x: number; y: number }[];

const reach = (points: Points, x: number, y: number): number =>
  Math.max(0, ...points.map((p) => Math.hypot(p.x - x, p.y - y)));

/** The least reach to all points there is, found downhill from their mean: shares no step with the circle's own. */
function leastReach(points: Points): number {
  let [x, y] = [0, 0];
  let best = reach(points, x, y);
  for (let step = 128; step > 1e-7; ) {
    const around = [0, 1, 2, 3, 4, 5, 6, 7].map((i) => [
      x + step * Math.cos((i * Math.PI) / 4),
      y + step * Math.sin((i * Math.PI) / 4),
    ]);
    const next = around.find(([nx = 0, ny = 0]) => reach(points, nx, ny) < best - 1e-12);
    if (next) {
      [x = 0, y = 0] = next;
      best = reach(points, x, y);
    } else step /= 2;
  }
  return best;
}

it('holds every point, and no smaller circle does', () => {
  fc.assert(
    fc.property(fc.array(point, { minLength: 1, maxLength: 12 }), (points) => {
      const { centre, radius } = enclosingCircle(points);
      expect(reach(points, centre.x, centre.y)).toBeLessThanOrEqual(radius + 1e-6);
      expect(radius).toBeLessThanOrEqual(leastReach(points) + 1e-3);
    }),
    { numRuns: 300 },
  );
});

it('of a triangle, of points on a line, of one point and of none', () => {
  const obtuse = enclosingCircle([
    { x: -74, y: 74 },
    { x: 74, y: 74 },
    { x: 0, y: -74 },
  ]);
  expect(obtuse.centre.y).toBeCloseTo(18.5, 9);
  expect(obtuse.radius).toBeCloseTo(92.5, 9);
  expect(
    enclosingCircle([
      { x: 0, y: 0 },
      { x: 5, y: 0 },
      { x: 20, y: 0 },
    ]),
  ).toEqual({ centre: { x: 10, y: 0 }, radius: 10 });
  expect(enclosingCircle([{ x: 3, y: 4 }])).toEqual({ centre: { x: 3, y: 4 }, radius: 0 });
  expect(enclosingCircle([])).toEqual({ centre: { x: 0, y: 0 }, radius: 0 });
});
