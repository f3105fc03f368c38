import { randomLcg } from 'd3-random';
import type { Clipper } from '../../../base/geometry/clip';
import {
  boxRing,
  listed,
  stitchedElements,
  stitchedRegion,
  USUAL_STITCHING,
} from '../../../testing/stitched';
import { toolsInNode } from '../../../testing/toolsInNode';
import { variedShape } from '../../../testing/variedShapes';
import { CELL_MM, type DensityMap, densityMap, hotSpots } from './density';
import type { Stitches } from './stitches';

let clip: Clipper;
beforeAll(async () => {
  ({ clip } = await toolsInNode());
});

/** How much of a line lies in a box, by cutting it at each side in turn (Liang and Barsky 1984). */
function lengthIn(
  [ax, ay]: readonly [number, number],
  [bx, by]: readonly [number, number],
  [left, top, right, bottom]: readonly [number, number, number, number],
): number {
  let [from, to] = [0, 1];
  for (const [p, q] of [
    [ax - bx, ax - left],
    [bx - ax, right - ax],
    [ay - by, ay - top],
    [by - ay, bottom - ay],
  ] as const) {
    if (p === 0 && q < 0) return 0;
    if (p < 0) from = Math.max(from, q / p);
    if (p > 0) to = Math.min(to, q / p);
  }
  return to > from ? (to - from) * Math.hypot(bx - ax, by - ay) : 0;
}

/** The thread in one square, by cutting every stitch by it. */
function exactly({ left, top, cellMm, columns }: DensityMap, cell: number, stitches: Stitches): number {
  const x = left + (cell % columns) * cellMm;
  const y = top + Math.floor(cell / columns) * cellMm;
  const points = listed(stitches);
  const sum = points.reduce((total, b, i) => {
    const a = points[i - 1];
    if (!a || b.kind === 'trim' || b.stop !== a.stop) return total;
    return total + lengthIn([a.x, a.y], [b.x, b.y], [x, y, x + cellMm, y + cellMm]);
  }, 0);
  return sum / (cellMm * cellMm);
}

it('every square has the thread that exact cutting finds in it, on fifty designs', () => {
  const next = randomLcg(0.3);
  for (let seed = 1; seed <= 50; seed++) {
    const stitches = stitchedRegion(variedShape(seed, clip), clip);
    const map = densityMap(stitches);
    if (!map) continue;
    for (let k = 0; k < 30; k++) {
      const cell = Math.floor(next() * map.cover.length);
      expect(Math.abs((map.cover[cell] ?? 0) - exactly(map, cell, stitches))).toBeLessThan(2e-3);
    }
  }
});

it('all squares together have all the thread', () => {
  const stitches = stitchedRegion([boxRing(0, 0, 30, 20)], clip);
  const map = densityMap(stitches);
  const sum = [...(map?.cover ?? [])].reduce((total, cover) => total + cover, 0) * CELL_MM * CELL_MM;
  const points = listed(stitches);
  const laid = points.reduce((total, b, i) => {
    const a = points[i - 1];
    return a && b.kind !== 'trim' ? total + Math.hypot(b.x - a.x, b.y - a.y) : total;
  }, 0);
  expect(sum).toBeCloseTo(laid, 1);
});

describe('hot spots', () => {
  const layer = (stop: number) => ({ region: [boxRing(0, 0, 30, 20)], stop, how: USUAL_STITCHING });
  const spots = (layers: number) => {
    const map = densityMap(
      stitchedElements(
        Array.from({ length: layers }, (_, i) => layer(i)),
        clip,
      ),
    );
    return map ? hotSpots(map, 7, 10) : [];
  };

  it('are none in one fill, or in two', () => {
    expect(spots(1)).toEqual([]);
    expect(spots(2)).toEqual([]);
  });

  it('are where three fills lie on each other, and much hotter under six', () => {
    const [three] = spots(3);
    const [six] = spots(6);
    expect(three?.cover).toBeGreaterThan(7);
    expect(six?.cover).toBeGreaterThan((three?.cover ?? 0) * 1.7);
  });

  it('are where lines cross, at their place', () => {
    const bars = [0, 60, 120].map((deg, stop) => {
      const [cos, sin] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
      const region = [
        boxRing(-20, -1.5, 40, 3).map(({ x, y }) => ({
          x: x * cos - y * sin + 50,
          y: x * sin + y * cos + 40,
        })),
      ];
      return { region, stop, how: USUAL_STITCHING };
    });
    const map = densityMap(stitchedElements(bars, clip));
    const [worst, ...others] = map ? hotSpots(map, 9, 10) : [];
    expect(Math.hypot((worst?.at.x ?? 0) - 50, (worst?.at.y ?? 0) - 40)).toBeLessThan(2);
    expect(others).toEqual([]);
  });
});

it('without stitches there is no map', () => {
  expect(densityMap(stitchedRegion([], clip))).toBeNull();
});
