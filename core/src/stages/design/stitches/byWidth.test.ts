import fc from 'fast-check';
import { areaOf, type Clipper, type Region, type Ring } from '../../../base/geometry/clip';
import { distance, nearestOnSegment, type Point } from '../../../base/geometry/point';
import { containsPoint, segmentsOf } from '../../../base/geometry/polygon';
import { toolsInNode } from '../../../testing/toolsInNode';
import { atLeastAsWide, byWidth } from './byWidth';

const WIDTHS = { satinLeastMm: 1, satinMostMm: 8 };
let clip: Clipper;
beforeAll(async () => {
  ({ clip } = await toolsInNode());
});

const box = (left: number, top: number, width: number, height: number): Ring => [
  { x: left, y: top },
  { x: left + width, y: top },
  { x: left + width, y: top + height },
  { x: left, y: top + height },
];
const areas = (region: Region) => {
  const { fill, satin, run } = byWidth(clip.union([...region]), WIDTHS, clip);
  return [fill, satin, run].map((part) => Math.round(areaOf(part) * 10) / 10);
};

describe('how a shape is stitched', () => {
  it('is told by its width: a bar of half a millimetre is a line, a wide one a fill', () => {
    expect(areas([box(0, 0, 60, 0.5)])).toEqual([0, 0, 30]);
    expect(areas([box(0, 0, 60, 5)])).toEqual([0, 300, 0]);
    expect(areas([box(0, 0, 60, 40)])).toEqual([2400, 0, 0]);
  });

  it('may be all three in one shape', () => {
    const bat = [box(0, 0, 30, 20), box(30, 8, 20, 4), box(50, 9.75, 15, 0.5)];
    // Where the column begins the last disc of the fill stands into it.
    for (const [i, mm2] of areas(bat).entries())
      expect(Math.abs(mm2 - ([600, 80, 7.5][i] ?? 0))).toBeLessThan(2);
  });

  it('leaves corners and short spurs with what they hang on', () => {
    expect(areas([box(0, 0, 20, 20), box(20, 8, 3, 3)])).toEqual([409, 0, 0]);
    expect(areas([])).toEqual([0, 0, 0]);
  });

  it('holes narrow what is left beside them', () => {
    const ring = clip.subtract([box(0, 0, 40, 40)], [box(5, 5, 30, 30)]);
    const [fill, satin, run] = areas(ring);
    expect([fill, run]).toEqual([0, 0]);
    expect(satin).toBe(700);
  });
});

const insides = (region: Region, p: Point): boolean =>
  region.filter((ring) => containsPoint([...ring], p)).length % 2 === 1;
const toEdge = (region: Region, p: Point): number =>
  Math.min(
    ...region.flatMap((ring) =>
      segmentsOf([...ring], true).map(([a, b]) => distance(p, nearestOnSegment(p, a, b))),
    ),
  );

/** The diameter of the largest disc about a middle within a region that covers a point; 0 where it does not. */
const discAt = (region: Region, at: Point, middle: Point): number => {
  if (!insides(region, middle)) return 0;
  const radius = toEdge(region, middle);
  return radius >= distance(middle, at) ? 2 * radius : 0;
};

/** The best middle near one, by smaller and smaller steps in eight directions. */
function climbed(region: Region, at: Point, from: Point): number {
  let [here, most] = [from, discAt(region, at, from)];
  for (let step = 0.2; step > 0.002; ) {
    const next = [0, 45, 90, 135, 180, 225, 270, 315]
      .map((deg) => ({
        x: here.x + step * Math.cos((deg * Math.PI) / 180),
        y: here.y + step * Math.sin((deg * Math.PI) / 180),
      }))
      .map((middle) => ({ middle, wide: discAt(region, at, middle) }))
      .reduce((a, b) => (b.wide > a.wide ? b : a));
    if (next.wide > most) [here, most] = [next.middle, next.wide];
    else step /= 2;
  }
  return most;
}

/** How thick a region is at a point: the largest disc within it that covers the point, tried all over a grid and climbed. */
function thicknessAt(region: Region, at: Point): number {
  const tried: { middle: Point; wide: number }[] = [];
  for (let x = at.x - 6; x <= at.x + 6; x += 0.2)
    for (let y = at.y - 6; y <= at.y + 6; y += 0.2)
      tried.push({ middle: { x, y }, wide: discAt(region, at, { x, y }) });
  tried.sort((a, b) => b.wide - a.wide);
  return Math.max(...tried.slice(0, 8).map(({ middle }) => climbed(region, at, middle)));
}

it('how wide a shape is at a point is what the largest disc there says, to a twentieth of a millimetre', () => {
  const side = fc.integer({ min: 2, max: 12 });
  const place = fc.integer({ min: 0, max: 12 });
  const share = fc.double({ min: 0, max: 1, noNaN: true });
  fc.assert(
    fc.property(
      fc.array(fc.tuple(place, place, side, side), { minLength: 1, maxLength: 3 }),
      fc.tuple(share, share),
      (boxes, [u, v]) => {
        const region = clip.union(boxes.map(([x, y, w, h]) => box(x, y, w, h)));
        const [x0, y0, w0, h0] = boxes[0] ?? [0, 0, 1, 1];
        const at = { x: x0 + 0.3 + u * (w0 - 0.6), y: y0 + 0.3 + v * (h0 - 0.6) };
        const thick = thicknessAt(region, at);
        expect(insides(atLeastAsWide(region, thick - 0.05, clip), at)).toBe(true);
        expect(insides(atLeastAsWide(region, thick + 0.05, clip), at)).toBe(false);
      },
    ),
    { numRuns: 30 },
  );
});

it('the parts are the whole, and do not overlap', () => {
  const coordinate = fc.integer({ min: 0, max: 400 }).map((n) => n / 10);
  const corner = fc.record({ x: coordinate, y: coordinate });
  fc.assert(
    fc.property(fc.array(corner, { minLength: 3, maxLength: 12 }), (ring) => {
      const region = clip.union([ring], 'evenodd');
      const { fill, satin, run } = byWidth(region, WIDTHS, clip);
      const sum = areaOf(fill) + areaOf(satin) + areaOf(run);
      // Crumbs between them, and hairs along their rims, are nothing that is stitched.
      const rim = region.reduce(
        (total, one) => total + segmentsOf([...one], true).reduce((n, [a, b]) => n + distance(a, b), 0),
        0,
      );
      expect(Math.abs(sum - areaOf(region))).toBeLessThan(0.3 + rim * 0.02);
      for (const [a, b] of [
        [fill, satin],
        [satin, run],
        [fill, run],
      ] as const)
        expect(areaOf(clip.intersect(a, b))).toBeLessThan(0.1);
    }),
    { numRuns: 100 },
  );
});
