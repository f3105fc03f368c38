import fc from 'fast-check';
import { boxAbout, boxOf, cornersOf, heightOf, inflate, widthOf } from './box';
import { add, distance, distanceToSegment, type Point, rotate, subtract } from './point';
import {
  clearanceBetween,
  clearanceToLine,
  containsPoint,
  hullOf,
  overhang,
  placed,
  polygonsOverlap,
  segmentsOf,
} from './polygon';

const coordinate = fc.double({ min: -100, max: 100, noNaN: true });
const point = fc.record({ x: coordinate, y: coordinate });
const cloud = fc.array(point, { minLength: 3, maxLength: 20 });
const SQUARE = cornersOf(boxAbout({ x: 0, y: 0 }, 20, 20));

/** Points along a polyline, closely spaced: the plain way to a distance. */
function along(points: readonly Point[], closed: boolean, perSegment = 200): Point[] {
  return segmentsOf(points, closed).flatMap(([a, b]) =>
    Array.from({ length: perSegment + 1 }, (_, i) =>
      add(a, { x: ((b.x - a.x) * i) / perSegment, y: ((b.y - a.y) * i) / perSegment }),
    ),
  );
}

describe('turn', () => {
  it('is clockwise as seen, and exact at quarter turns', () => {
    expect(rotate({ x: 1, y: 0 }, 90)).toEqual({ x: 0, y: 1 });
    expect(rotate({ x: 3, y: 7 }, 180)).toEqual({ x: -3, y: -7 });
    expect(rotate({ x: 3, y: 7 }, -90)).toEqual({ x: 7, y: -3 });
    expect(rotate({ x: 3, y: 7 }, 360)).toEqual({ x: 3, y: 7 });
  });

  it('keeps lengths, and undoes itself', () => {
    fc.assert(
      fc.property(point, fc.integer({ min: -720, max: 720 }), (p, degrees) => {
        const back = rotate(rotate(p, degrees), -degrees);
        return (
          distance(back, p) < 1e-9 &&
          Math.abs(Math.hypot(p.x, p.y) - distance(rotate(p, degrees), { x: 0, y: 0 })) < 1e-9
        );
      }),
    );
  });
});

describe('boxes', () => {
  it('hold their points, and grow on all sides', () => {
    fc.assert(
      fc.property(cloud, (points) => {
        const box = boxOf(points);
        return points.every(
          (p) => p.x >= box.left && p.x <= box.right && p.y >= box.top && p.y <= box.bottom,
        );
      }),
    );
    const box = inflate(boxAbout({ x: 5, y: 5 }, 4, 2), 3);
    expect([widthOf(box), heightOf(box)]).toEqual([10, 8]);
    expect(subtract({ x: 3, y: 1 }, { x: 1, y: 4 })).toEqual({ x: 2, y: -3 });
  });
});

describe('distanceToSegment', () => {
  it('is the nearest of many points on it', () => {
    fc.assert(
      fc.property(point, point, point, (p, a, b) => {
        const plain = Math.min(...along([a, b], false, 400).map((q) => distance(p, q)));
        const length = distance(a, b);
        return (
          distanceToSegment(p, a, b) <= plain + 1e-9 &&
          plain - distanceToSegment(p, a, b) <= length / 400 + 1e-9
        );
      }),
    );
  });

  it('is the distance to the point where both ends coincide', () => {
    expect(distanceToSegment({ x: 3, y: 4 }, { x: 0, y: 0 }, { x: 0, y: 0 })).toBe(5);
  });
});

describe('hullOf', () => {
  it('holds every point', () => {
    fc.assert(
      fc.property(cloud, (points) => {
        const hull = hullOf(points);
        return points.every((p) => (overhang([p], hull)?.mm ?? 0) < 1e-6);
      }),
    );
  });

  it('leaves two points as they are', () => {
    expect(
      hullOf([
        { x: 0, y: 0 },
        { x: 1, y: 1 },
      ]),
    ).toHaveLength(2);
  });
});

describe('clearanceToLine', () => {
  it('agrees with trying many points of both', () => {
    const line = fc.array(point, { minLength: 2, maxLength: 4 });
    const place = fc.record({ x: fc.double({ min: 150, max: 300, noNaN: true }), y: coordinate });
    fc.assert(
      fc.property(line, place, fc.integer({ min: 0, max: 359 }), (points, at, degrees) => {
        const polygon = placed(SQUARE, degrees, at);
        const plain = Math.min(
          ...along(polygon, true, 60).flatMap((p) => along(points, false, 60).map((q) => distance(p, q))),
        );
        const exact = clearanceToLine(polygon, points).mm;
        return exact <= plain + 1e-9 && plain - exact < 8;
      }),
      { numRuns: 40 },
    );
  });

  it('is nought where they cross, and infinite without a line', () => {
    expect(
      clearanceToLine(SQUARE, [
        { x: -50, y: 0 },
        { x: 50, y: 0 },
      ]).mm,
    ).toBe(0);
    expect(clearanceToLine(SQUARE, []).mm).toBe(Infinity);
  });

  it('names the point where it is least', () => {
    const { mm, at } = clearanceToLine(SQUARE, [
      { x: 13, y: -50 },
      { x: 14, y: 50 },
    ]);
    expect(mm).toBeLessThan(4);
    expect(at.x).toBe(10);
  });
});

describe('overlap and clearance of polygons', () => {
  const other = (x: number) => placed(SQUARE, 0, { x, y: 0 });
  it.each([
    [15, true, 0],
    [0, true, 0],
    [25, false, 5],
    [40, false, 20],
  ])('squares %d apart: overlap %s, clearance %d', (x, overlap, clearance) => {
    expect(polygonsOverlap(SQUARE, other(x))).toBe(overlap);
    expect(clearanceBetween(SQUARE, other(x)).mm).toBeCloseTo(clearance, 9);
  });

  it('sees one inside the other', () => {
    const small = cornersOf(boxAbout({ x: 1, y: 1 }, 2, 2));
    expect(polygonsOverlap(small, SQUARE)).toBe(true);
    expect(polygonsOverlap(SQUARE, small)).toBe(true);
    expect(containsPoint(SQUARE, { x: 1, y: 1 })).toBe(true);
    expect(containsPoint(SQUARE, { x: 11, y: 1 })).toBe(false);
  });

  it('says how far a polygon hangs over', () => {
    expect(overhang(other(5), SQUARE)?.mm).toBeCloseTo(5, 9);
    expect(overhang(SQUARE, cornersOf(boxAbout({ x: 0, y: 0 }, 30, 30)))).toBeNull();
  });
});
