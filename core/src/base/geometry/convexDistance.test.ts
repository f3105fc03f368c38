import fc from 'fast-check';
import { convexDistance } from './convexDistance';
import { clearanceBetween, hullOf } from './polygon';

const point = fc.record({
  x: fc.double({ min: -100, max: 100, noNaN: true }),
  y: fc.double({ min: -100, max: 100, noNaN: true }),
});
const hull = fc
  .array(point, { minLength: 3, maxLength: 30 })
  .map((points) => hullOf(points))
  .filter((h) => h.length >= 3);

describe('the distance of two convex polygons', () => {
  it('agrees with looking at every pair of edges', () => {
    fc.assert(
      fc.property(hull, hull, point, (a, b, by) => {
        const moved = b.map((p) => ({ x: p.x + 2 * by.x, y: p.y + 2 * by.y }));
        return Math.abs(convexDistance(a, moved) - clearanceBetween(a, moved).mm) < 1e-6;
      }),
      { numRuns: 2000 },
    );
  });

  it('is the same from either side', () => {
    fc.assert(
      fc.property(hull, hull, (a, b) => Math.abs(convexDistance(a, b) - convexDistance(b, a)) < 1e-6),
    );
  });

  it('takes a point and a segment for polygons', () => {
    const segment = [
      { x: 0, y: 0 },
      { x: 10, y: 0 },
    ];
    expect(convexDistance([{ x: 5, y: 3 }], segment)).toBeCloseTo(3, 9);
    expect(convexDistance([{ x: 13, y: 4 }], segment)).toBeCloseTo(5, 9);
    expect(convexDistance([{ x: 5, y: 0 }], segment)).toBe(0);
  });
});
