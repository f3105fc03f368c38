import type { Clipper } from '../../../base/geometry/clip';
import { someOf } from '../../../testing/cases';
import { circleRing, stitchedRegion } from '../../../testing/stitched';
import { toolsInNode } from '../../../testing/toolsInNode';
import { kindOf, type Stitches } from './stitches';

let clip: Clipper;
beforeAll(async () => {
  ({ clip } = await toolsInNode());
});

/** The middle of the page, mm. */
const MIDDLE = 50;
const CELL_MM = 0.25;
const CELLS = 100 / CELL_MM;
const THREAD_MM = 0.4;

/** The cells of a page of 100 mm that thread lies on, looked at every fifth of a millimetre. */
function painted({ x, y, kind }: Stitches): Uint8Array {
  const cells = new Uint8Array(CELLS * CELLS);
  const most = (THREAD_MM / 2 + CELL_MM / 2) ** 2;
  const stamp = (px: number, py: number) => {
    const [column, row] = [Math.floor(px / CELL_MM), Math.floor(py / CELL_MM)];
    for (let r = row - 1; r <= row + 1; r++)
      for (let c = column - 1; c <= column + 1; c++) {
        const [dx, dy] = [(c + 0.5) * CELL_MM - px, (r + 0.5) * CELL_MM - py];
        if (dx * dx + dy * dy <= most) cells[r * CELLS + c] = 1;
      }
  };
  for (let i = 1; i < x.length; i++) {
    if (['trim', 'jump'].includes(kindOf(kind[i] ?? 0))) continue;
    const [ax, ay, bx, by] = [x[i - 1] ?? 0, y[i - 1] ?? 0, x[i] ?? 0, y[i] ?? 0];
    const samples = Math.max(1, Math.ceil(Math.hypot(bx - ax, by - ay) / 0.2));
    for (let s = 0; s <= samples; s++) stamp(ax + ((bx - ax) * s) / samples, ay + ((by - ay) * s) / samples);
  }
  return cells;
}

/** Bare cells inside a ring and covered ones in its hole or beyond it, each well away from its edges, mm². */
function faults(cells: Uint8Array, outer: number, inner: number) {
  const WELL_MM = 0.6;
  const [bare, beside] = [[] as number[], [] as number[]];
  cells.forEach((isCovered, i) => {
    const [x, y] = [((i % CELLS) + 0.5) * CELL_MM, (Math.floor(i / CELLS) + 0.5) * CELL_MM];
    const far = Math.hypot(x - MIDDLE, y - MIDDLE);
    const isWellInside = far < outer - WELL_MM && (inner === 0 || far > inner + WELL_MM);
    const isWellOutside = far > outer + WELL_MM || far < inner - WELL_MM;
    if (isWellInside && !isCovered) bare.push(i);
    if (isWellOutside && isCovered) beside.push(i);
  });
  return { bareMm2: bare.length * CELL_MM ** 2, besideMm2: beside.length * CELL_MM ** 2 };
}

const RADII = someOf(
  Array.from({ length: 79 }, (_, i) => 1 + i / 2),
  4,
);
const RINGS = RADII.filter((radius) => radius >= 6).map((radius) => [radius, radius / 2] as const);

/** What is wrong with a round fill of these radii; null where nothing is. `points` of its rims lie on its axes. */
function whatIsWrong(outer: number, inner: number, points: number) {
  const rim = (radius: number) => circleRing(MIDDLE, MIDDLE, radius, points);
  const region = inner === 0 ? [rim(outer)] : [rim(outer), [...rim(inner)].reverse()];
  const stitches = stitchedRegion(region, clip, { way: 'fill', angleDeg: 0 });
  const { bareMm2, besideMm2 } = faults(painted(stitches), outer, inner);
  return bareMm2 === 0 && besideMm2 === 0 ? null : { outer, inner, points, bareMm2, besideMm2 };
}

describe('a round fill, looked at cell by cell', () => {
  it('of any radius leaves no row out', () => {
    expect(RADII.flatMap((radius) => whatIsWrong(radius, 0, 90) ?? [])).toEqual([]);
  });

  it.each([64, 90])('with a hole leaves the hole bare, with %i corners', (points) => {
    expect(RINGS.flatMap(([outer, inner]) => whatIsWrong(outer, inner, points) ?? [])).toEqual([]);
  });
});
