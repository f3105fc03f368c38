import { areaD, FillRule, intersectD } from 'clipper2-ts';
import fc from 'fast-check';
import { boxAbout, boxOf, contains, cornersOf } from '../../base/geometry/box';
import { hullOf, type Polygon } from '../../base/geometry/polygon';
import { MOST_SPLIT_PARTS } from '../../model/ticket/hoop';
import { fillPercent } from './fill';
import { turnedHull } from './fit';
import { checkSplit, cutToBox, type Split, splitDesign } from './split';

const areaOf = (points: Polygon) => Math.abs(areaD(points.map((p) => ({ x: p.x, y: p.y }))));
const coordinate = fc.integer({ min: -300, max: 300 });
const hull = fc
  .array(fc.record({ x: coordinate, y: coordinate }), { minLength: 3, maxLength: 14 })
  .map((points) => hullOf(points))
  .filter((points) => points.length >= 3 && areaOf(points) > 20);
const question = fc.record({
  hull,
  field: fc.record({
    widthMm: fc.integer({ min: 60, max: 330 }),
    heightMm: fc.integer({ min: 60, max: 400 }),
    round: fc.constant(false),
  }),
  turnDeg: fc.constantFrom(0, 90, 180, 270),
  overlapMm: fc.integer({ min: 5, max: 30 }),
  crossOutMm: fc.integer({ min: 0, max: 10 }),
  positions: fc.record({ count: fc.integer({ min: 1, max: 4 }), stepMm: fc.integer({ min: 0, max: 300 }) }),
  elements: fc.array(
    fc
      .record({
        x: fc.integer({ min: -280, max: 280 }),
        y: fc.integer({ min: -280, max: 280 }),
        w: fc.integer({ min: 2, max: 120 }),
        h: fc.integer({ min: 2, max: 120 }),
      })
      .map(({ x, y, w, h }) => cornersOf(boxAbout({ x, y }, w, h))),
    { maxLength: 6 },
  ),
});
const ONE_PLACE = { count: 1, stepMm: 0 };
const square = { widthMm: 100, heightMm: 100, round: false };
const boxed = (w: number, h: number) => cornersOf(boxAbout({ x: 0, y: 0 }, w, h));
const asked = { turnDeg: 0, overlapMm: 15, crossOutMm: 6, positions: ONE_PLACE, elements: [] };

/** The fewest parts in rows and columns of one length: what a grid of fields needs. */
function fewestParts(q: Parameters<typeof splitDesign>[0]): number {
  const box = boxOf(turnedHull(q.hull, q.turnDeg));
  const along = (length: number, field: number) =>
    length <= field ? 1 : Math.ceil((length - q.overlapMm) / (field - 2e-6 - q.overlapMm) - 1e-7);
  return along(box.right - box.left, q.field.widthMm) * along(box.bottom - box.top, q.field.heightMm);
}

describe('splitting a design into hoopings', () => {
  it('leaves every part in its field, all of it stitched, and both fields of a seam round its crosses', () => {
    fc.assert(
      fc.property(question, (q) => {
        const split = splitDesign(q);
        return split === null ? fewestParts(q) > MOST_SPLIT_PARTS : checkSplit(split, q).length === 0;
      }),
      { numRuns: 2000 },
    );
  });

  it('takes the fewest parts there can be along one side: ⌈(L − O) / (F − O)⌉', () => {
    fc.assert(
      fc.property(fc.integer({ min: 40, max: 900 }), (length) => {
        const split = splitDesign({ ...asked, hull: boxed(length, 50), field: square });
        const fewest = length <= 100 ? 1 : Math.ceil((length - 15) / (100 - 2e-6 - 15) - 1e-7);
        return split !== null && Math.abs(split.parts.length - fewest) === 0;
      }),
    );
  });

  it('splits 150 × 60 for a 100 × 100 field in two, with a cross above and below the seam', () => {
    const split = splitDesign({ ...asked, hull: boxed(150, 60), field: square });
    expect(split?.parts.map((p) => p.centre.x)).toEqual([-33.75, 33.75]);
    expect(split?.crosses).toEqual([
      { x: 0, y: -36 },
      { x: 0, y: 36 },
    ]);
    expect(split?.parts.map((p) => p.crosses)).toEqual([
      [0, 1],
      [0, 1],
    ]);
  });

  describe('with elements', () => {
    const element = (from: number, to: number) => cornersOf({ left: from, right: to, top: -20, bottom: 20 });
    const cutBy = (parts: readonly { hull: Polygon }[], elements: readonly Polygon[]) =>
      elements.filter((e) => {
        const own = boxOf(e);
        return !parts.some(({ hull: part }) => contains(boxOf(part), own, 1e-6));
      }).length;

    it('puts the seam between two of them rather than in the middle', () => {
      const elements = [element(-75, 10), element(25, 75)];
      const split = splitDesign({ ...asked, hull: boxed(150, 40), field: square, elements });
      expect(split?.parts).toHaveLength(2);
      expect(cutBy(split?.parts ?? [], elements)).toBe(0);
      const equal = splitDesign({ ...asked, hull: boxed(150, 40), field: square });
      expect(cutBy(equal?.parts ?? [], elements)).toBe(1);
    });

    it('takes as many columns as without them', () => {
      fc.assert(
        fc.property(question, (q) => {
          const plain = { ...q, positions: ONE_PLACE };
          const boxes = plain.elements.filter((e) => contains(boxOf(plain.hull), boxOf(e), 0));
          const upright = { ...plain, turnDeg: 0, elements: boxes };
          const [ours, equal] = [splitDesign(upright), splitDesign({ ...upright, elements: [] })];
          if (!ours || !equal) return ours === equal;
          const spans = (split: Split) => new Set(split.parts.map((p) => p.centre.x)).size;
          return spans(ours) === spans(equal);
        }),
        { numRuns: 500 },
      );
    });

    it('finds the place along one side that cuts the fewest, as trying every millimetre does', () => {
      const ends = fc
        .array(fc.integer({ min: -95, max: 94 }), { minLength: 2, maxLength: 8 })
        .map((xs) => [...new Set(xs)].sort((a, b) => a - b))
        .filter((xs) => xs.length >= 2);
      fc.assert(
        fc.property(ends, (xs) => {
          const elements = xs.slice(1).map((to, i) => element(xs[i] ?? 0, to));
          const split = splitDesign({
            ...asked,
            hull: boxed(190, 40),
            field: { ...square, widthMm: 130 },
            elements,
          });
          const cutAt = (start: number) =>
            elements.map(boxOf).filter((e) => e.left < start && e.right > start + 15).length;
          const tried = Array.from({ length: 191 }, (_, i) => -95 + i)
            .filter((start) => start + 15 + 95 <= 130 - 1e-6 && 95 - start <= 130 - 1e-6 && start >= -80)
            .map(cutAt);
          return cutBy(split?.parts ?? [], elements) <= Math.min(...tried);
        }),
        { numRuns: 500 },
      );
    });
  });

  it('leaves a design that fits in one part, and gives up where the field is no larger than the overlap', () => {
    expect(splitDesign({ ...asked, hull: boxed(90, 60), field: square })?.parts).toHaveLength(1);
    const tiny = { widthMm: 14, heightMm: 14, round: false };
    expect(splitDesign({ ...asked, hull: boxed(90, 60), field: tiny })).toBeNull();
  });

  it('splits into 64 parts at most: a design a metre wide is not stitched 20 mm at a time', () => {
    const small = { widthMm: 20, heightMm: 20, round: false };
    expect(splitDesign({ ...asked, hull: boxed(1000, 1000), field: small })).toBeNull();
    expect(splitDesign({ ...asked, hull: boxed(1000, 15), field: small })).toBeNull();
    expect(splitDesign({ ...asked, hull: boxed(690, 690), field: square })?.parts).toHaveLength(64);
  });

  it('takes a round field as the square inside it', () => {
    const round = { widthMm: 150, heightMm: 150, round: true };
    const q = { ...asked, hull: boxed(180, 90), field: round };
    const split = splitDesign(q);
    expect(split && checkSplit(split, q)).toEqual([]);
  });

  it('keeps a repositioning hoop’s step between its parts', () => {
    const positions = { count: 3, stepMm: 80 };
    const split = splitDesign({ ...asked, hull: boxed(80, 250), field: square, positions });
    expect(split?.byPositions).toBe(true);
    expect(split?.overlapMm).toBe(20);
    expect(split?.parts.map((p) => p.centre.y)).toEqual([-80, 0, 80]);
  });
});

describe('cutting a convex polygon to a box', () => {
  it('leaves the same area as a polygon-clipping library does', () => {
    const box = { left: -100, right: 120, top: -80, bottom: 90 };
    const window = [cornersOf(box).map((p) => ({ x: p.x, y: p.y }))];
    fc.assert(
      fc.property(hull, (polygon) => {
        const subject = [polygon.map((p) => ({ x: p.x, y: p.y }))];
        const shared = intersectD(subject, window, FillRule.NonZero, 6);
        const expected = shared.reduce((sum, path) => sum + Math.abs(areaD(path)), 0);
        return Math.abs(areaOf(cutToBox(polygon, box)) - expected) < 0.01;
      }),
      { numRuns: 500 },
    );
  });

  it('of a polygon with a hollow too, for the area is all that is asked: how much of a ring the piece fills', () => {
    const fork = [
      { x: -50, y: -50 },
      { x: -20, y: -50 },
      { x: -20, y: 30 },
      { x: 20, y: 30 },
      { x: 20, y: -50 },
      { x: 50, y: -50 },
      { x: 50, y: 50 },
      { x: -50, y: 50 },
    ];
    const ring = { centre: { x: 0, y: -20 }, turnDeg: 0, widthMm: 80, heightMm: 60 };
    // two prongs of 20 × 60 in a ring of 80 × 60
    expect(fillPercent(ring, fork)).toBeCloseTo(50, 9);
    expect(fillPercent({ ...ring, turnDeg: 180 }, fork)).toBeCloseTo(50, 9);
    expect(fillPercent({ ...ring, centre: { x: 0, y: 200 } }, fork)).toBe(0);
  });
});
