import fc from 'fast-check';
import { DEFAULT_HOUSE_RULES } from '../../../model/houseRules';
import { stitchFigures } from '../stitchFigures';
import { estimateFilled, estimateLine } from './estimate';
import { flattenPath } from './flatten';

const FIGURES = stitchFigures(DEFAULT_HOUSE_RULES);
const rectangle = (w: number, h: number) => [
  [
    { x: 0, y: 0 },
    { x: w, y: 0 },
    { x: w, y: h },
    { x: 0, y: h },
  ],
];

describe('a filled shape', () => {
  it.each([
    [80, 1.2, 'satin'],
    [80, 7.9, 'satin'],
    [80, 8.1, 'fill'],
    [40, 40, 'fill'],
    [7, 7, 'satin'],
    [9, 9, 'fill'],
  ])('%d × %d mm is %s', (w, h, kind) => {
    expect(estimateFilled(rectangle(w, h), FIGURES)?.kind).toBe(kind);
  });

  it('knows a column by its width: area and perimeter give the sides back', () => {
    const side = fc.double({ min: 1, max: 7, noNaN: true });
    fc.assert(
      fc.property(side, fc.double({ min: 20, max: 90, noNaN: true }), (w, length) => {
        const estimate = estimateFilled(rectangle(length, w), FIGURES);
        return (
          Math.abs((estimate?.satinMm ?? 0) - w) < 0.02 &&
          Math.abs((estimate?.stitches ?? 0) - (2 * length) / 0.4) <= 2
        );
      }),
    );
  });

  it('counts a hole not at all', () => {
    const [outer, inner] = [rectangle(40, 40), rectangle(20, 20).map((ring) => [...ring].reverse())];
    const solid = estimateFilled(outer, FIGURES)?.stitches ?? 0;
    expect(estimateFilled([...outer, ...inner], FIGURES)?.stitches).toBeCloseTo(solid * 0.75, -1);
  });

  it('is a run where it is narrower than the narrowest satin', () => {
    expect(estimateFilled(rectangle(50, 0.5), FIGURES)).toMatchObject({ kind: 'run', stitches: 20 });
  });

  it('covers as fill and satin do: about 3 and 5 mm of thread on a mm²', () => {
    expect(estimateFilled(rectangle(40, 40), FIGURES)?.cover).toBeCloseTo(3, 6);
    expect(estimateFilled(rectangle(80, 4), FIGURES)?.cover).toBeCloseTo(5, 6);
  });

  it('is nothing without an area', () => {
    expect(estimateFilled([rectangle(9, 0)[0] ?? []], FIGURES)).toBeNull();
    expect(estimateFilled([], FIGURES)).toBeNull();
  });
});

describe('a line', () => {
  it.each([
    [0.99, 'run', 20],
    [1, 'satin', 250],
    [3, 'satin', 250],
  ])('%d mm wide is %s with %d stitches', (width, kind, stitches) => {
    expect(estimateLine(50, width, FIGURES)).toMatchObject({ kind, stitches });
  });
});

describe('flattening', () => {
  it('keeps a circle round to 0.05 mm', () => {
    const [circle] = flattenPath('M-20 0A20 20 0 1 1 20 0A20 20 0 1 1 -20 0Z', 0.05) ?? [];
    const points = circle?.points ?? [];
    expect(points.length).toBeGreaterThan(20);
    points.forEach((p, i) => {
      const q = points[(i + 1) % points.length] ?? p;
      const middle = Math.hypot((p.x + q.x) / 2, (p.y + q.y) / 2);
      expect(Math.abs(Math.hypot(p.x, p.y) - 20)).toBeLessThan(0.05);
      expect(20 - middle).toBeLessThan(0.06);
    });
  });

  it('answers null to what it cannot read', () => {
    expect(flattenPath('M1 1 L nonsense', 0.05)).toBeNull();
  });
});
