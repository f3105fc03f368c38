import { casesOf } from '../../testing/cases';
import { toolsInNode } from '../../testing/toolsInNode';
import { variedShape } from '../../testing/variedShapes';
import { areaOf, type Clipper, islandsOf, type Region, signedAreaOf } from './clip';
import { type Mesh, meshOf } from './mesh';
import { distance, ORIGIN, type Point } from './point';
import { containsPoint } from './polygon';
import { routeIn } from './route';

let clip: Clipper;
let islands: Region[];
beforeAll(async () => {
  ({ clip } = await toolsInNode());
  islands = Array.from({ length: casesOf(60, 16) }, (_, i) => variedShape(i + 1, clip))
    .flatMap(islandsOf)
    .filter((island) => areaOf(island) > 4);
});

const cornersOf = ({ points, triangles }: Mesh, t: number): Point[] =>
  (triangles[t]?.corners ?? []).map((i) => points[i] ?? ORIGIN);
const isInside = (region: Region, p: Point): boolean =>
  region.filter((ring) => containsPoint(ring, p)).length % 2 === 1;

it('triangles cover a shape once, all turned one way, and know their neighbours', () => {
  let made = 0;
  for (const island of islands) {
    const mesh = meshOf(island, 0.6);
    if (!mesh) continue;
    made += 1;
    const areas = mesh.triangles.map((_, t) => signedAreaOf(cornersOf(mesh, t)));
    expect(Math.min(...areas)).toBeGreaterThanOrEqual(-1e-9);
    const sum = areas.reduce((a, b) => a + b, 0);
    expect(Math.abs(sum - areaOf(island))).toBeLessThan(0.06 + areaOf(island) * 0.011);
    for (const [t, { corners, beyond }] of mesh.triangles.entries())
      for (const side of [0, 1, 2] as const) {
        if (beyond[side] < 0) continue;
        const other = mesh.triangles[beyond[side]];
        expect(other?.beyond).toContain(t);
        expect(other?.corners).toContain(corners[side]);
        expect(other?.corners).toContain(corners[(side + 1) % 3]);
      }
  }
  expect(made).toBeGreaterThan(islands.length * 0.95);
});

it('nothing and a line have no triangles', () => {
  expect(meshOf([], 1)).toBeNull();
  expect(
    meshOf(
      [
        [
          { x: 0, y: 0 },
          { x: 5, y: 0 },
        ],
      ],
      1,
    ),
  ).toBeNull();
});

const lengthOf = (line: readonly Point[]): number =>
  line.reduce((sum, p, i) => sum + distance(line[i - 1] ?? p, p), 0);

describe('a way inside a shape', () => {
  it('stays inside it, begins and ends where it is asked, and is straight where that is inside', () => {
    let ways = 0;
    for (const island of islands) {
      const mesh = meshOf(island, Number.POSITIVE_INFINITY);
      if (!mesh) continue;
      const middles = mesh.triangles.map((_, t) => {
        const [a = ORIGIN, b = ORIGIN, c = ORIGIN] = cornersOf(mesh, t);
        return { x: (a.x + b.x + c.x) / 3, y: (a.y + b.y + c.y) / 3 };
      });
      const [from, to] = [middles[0] ?? ORIGIN, middles[middles.length - 1] ?? ORIGIN];
      const way = routeIn(mesh, from, to);
      if (!way) continue;
      ways += 1;
      expect([way[0], way[way.length - 1]]).toEqual([from, to]);
      // Its corners are the shape's own, so its rim counts as inside.
      const grown = clip.offset(island, 0.02);
      for (const [i, b] of way.entries()) {
        const a = way[i - 1] ?? b;
        for (let k = 0; k <= 20; k++)
          expect(isInside(grown, { x: a.x + ((b.x - a.x) * k) / 20, y: a.y + ((b.y - a.y) * k) / 20 })).toBe(
            true,
          );
      }
      const straight = Array.from({ length: 200 }, (_, k) => ({
        x: from.x + ((to.x - from.x) * k) / 200,
        y: from.y + ((to.y - from.y) * k) / 200,
      }));
      if (island.length === 1 && straight.every((p) => isInside(clip.offset(island, -0.01), p)))
        expect(lengthOf(way)).toBeCloseTo(distance(from, to), 3);
    }
    expect(ways).toBeGreaterThan(islands.length * 0.9);
  });

  it('is the shortest round a corner', () => {
    const hook: Region = [
      [
        { x: 0, y: 0 },
        { x: 20, y: 0 },
        { x: 20, y: 20 },
        { x: 15, y: 20 },
        { x: 15, y: 5 },
        { x: 0, y: 5 },
      ],
    ];
    const mesh = meshOf(hook, Number.POSITIVE_INFINITY);
    const way = mesh && routeIn(mesh, { x: 1, y: 4 }, { x: 16, y: 19 });
    const [a, b] = [Math.hypot(14, 1), Math.hypot(1, 14)];
    expect(lengthOf(way ?? [])).toBeCloseTo(a + b, 3);
  });
});
