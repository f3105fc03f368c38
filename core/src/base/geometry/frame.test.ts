import fc from 'fast-check';
import { boxAbout, boxContainsPoint, boxOf, centreOf, clampTo, contains } from './box';
import {
  add,
  distance,
  distanceToSegment,
  fullTurnDeg,
  nearestOnSegment,
  negate,
  rotate,
  shortTurnDeg,
} from './point';

const mm = fc.double({ min: -500, max: 500, noNaN: true });
const point = fc.record({ x: mm, y: mm });
const box = fc.tuple(point, point).map(([a, b]) => boxOf([a, b]));

describe('turns', () => {
  it('are the same turn, from 0 up to 360 and the shorter way round', () => {
    fc.assert(
      fc.property(fc.integer({ min: -2000, max: 2000 }), point, (degrees, p) => {
        const [full, short] = [fullTurnDeg(degrees), shortTurnDeg(degrees)];
        const same = [full, short].every((t) => distance(rotate(p, t), rotate(p, degrees)) < 1e-9);
        return same && full >= 0 && full < 360 && short >= -180 && short < 180;
      }),
    );
    expect([fullTurnDeg(-90), fullTurnDeg(360), shortTurnDeg(270), shortTurnDeg(540)]).toEqual([
      270, 0, -90, -180,
    ]);
  });

  it('the opposite way brings back, and nothing stays nothing', () => {
    fc.assert(
      fc.property(point, (p) => {
        const back = add(p, negate(p));
        return back.x === 0 && back.y === 0;
      }),
    );
    expect(Object.is(negate({ x: 0, y: 0 }).x, 0)).toBe(true);
  });
});

describe('the nearest point of a segment', () => {
  it('is on it, and no point of it is nearer', () => {
    fc.assert(
      fc.property(point, point, point, (p, a, b) => {
        const near = nearestOnSegment(p, a, b);
        const reach = distance(p, near);
        const tried = Array.from({ length: 41 }, (_, i) => ({
          x: a.x + ((b.x - a.x) * i) / 40,
          y: a.y + ((b.y - a.y) * i) / 40,
        }));
        const on = distance(a, near) + distance(near, b) - distance(a, b) < 1e-6;
        return (
          on && reach === distanceToSegment(p, a, b) && tried.every((t) => distance(p, t) >= reach - 1e-9)
        );
      }),
    );
    expect(nearestOnSegment({ x: 3, y: 4 }, { x: 1, y: 1 }, { x: 1, y: 1 })).toEqual({ x: 1, y: 1 });
  });
});

describe('boxes', () => {
  it('hold what lies in them, edges included, and a hair beyond where that is forgiven', () => {
    const outer = boxAbout({ x: 10, y: 20 }, 100, 60);
    expect(contains(outer, outer)).toBe(true);
    expect(contains(outer, { ...outer, right: outer.right + 0.5 })).toBe(false);
    expect(contains(outer, { ...outer, right: outer.right + 0.5 }, 0.5)).toBe(true);
    expect([
      boxContainsPoint(outer, { x: -40, y: 20 }),
      boxContainsPoint(outer, { x: -40.1, y: 20 }),
    ]).toEqual([true, false]);
    expect(centreOf(outer)).toEqual({ x: 10, y: 20 });
  });

  it('the nearest point in a box is in it, and no corner or edge point is nearer', () => {
    fc.assert(
      fc.property(box, point, (b, p) => {
        const near = clampTo(b, p);
        const share = (from: number, to: number, i: number) => from + ((to - from) * i) / 8;
        const grid = Array.from({ length: 81 }, (_, k) => ({
          x: share(b.left, b.right, k % 9),
          y: share(b.top, b.bottom, Math.floor(k / 9)),
        }));
        return (
          boxContainsPoint(b, near, 1e-9) && grid.every((g) => distance(p, g) >= distance(p, near) - 1e-9)
        );
      }),
    );
  });
});
