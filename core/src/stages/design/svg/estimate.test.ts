import fc from 'fast-check';
import { DEFAULT_HOUSE_RULES } from '../../../model/houseRules';
import { stitchFigures } from '../stitchFigures';
import { estimateFilled, estimateLine } from './estimate';
import { flattenPath, scaleOf } from './flatten';

const FIGURES = stitchFigures(DEFAULT_HOUSE_RULES);
const rectangle = (w: number, h: number) => [
  {
    points: [
      { x: 0, y: 0 },
      { x: w, y: 0 },
      { x: w, y: h },
      { x: 0, y: h },
    ],
    closed: true,
  },
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
    expect(estimateFilled(rectangle(w, h), false, FIGURES)?.kind).toBe(kind);
  });

  it('knows a column by its width: area and perimeter give the sides back', () => {
    const side = fc.double({ min: 1, max: 7, noNaN: true });
    fc.assert(
      fc.property(side, fc.double({ min: 20, max: 90, noNaN: true }), (w, length) => {
        const estimate = estimateFilled(rectangle(length, w), false, FIGURES);
        return (
          Math.abs((estimate?.satinMm ?? 0) - w) < 0.02 &&
          Math.abs((estimate?.stitches ?? 0) - (2 * length) / 0.4) <= 2
        );
      }),
    );
  });

  it('counts overlapping parts of one shape once, and a hole not at all', () => {
    const [outer, inner] = [rectangle(40, 40), rectangle(20, 20)];
    const both = [...outer, ...inner];
    const solid = estimateFilled(outer, false, FIGURES)?.stitches ?? 0;
    expect(estimateFilled(both, false, FIGURES)?.stitches).toBe(solid);
    expect(estimateFilled(both, true, FIGURES)?.stitches).toBeLessThan(solid);
  });

  it('covers as fill and satin do: about 3 and 5 mm of thread on a mm²', () => {
    expect(estimateFilled(rectangle(40, 40), false, FIGURES)?.cover).toBeCloseTo(3, 6);
    expect(estimateFilled(rectangle(80, 4), false, FIGURES)?.cover).toBeCloseTo(5, 6);
  });

  it('is nothing without an area', () => {
    expect(
      estimateFilled(
        [
          {
            points: [
              { x: 0, y: 0 },
              { x: 9, y: 0 },
            ],
            closed: true,
          },
        ],
        false,
        FIGURES,
      ),
    ).toBeNull();
  });
});

describe('a line', () => {
  const line = [
    {
      points: [
        { x: 0, y: 0 },
        { x: 50, y: 0 },
      ],
      closed: false,
    },
  ];
  it.each([
    [0.99, 'run', 20],
    [1, 'satin', 250],
    [3, 'satin', 250],
  ])('%d mm wide is %s with %d stitches', (width, kind, stitches) => {
    expect(estimateLine(line, width, FIGURES)).toMatchObject({ kind, stitches });
  });
});

describe('flattening', () => {
  it('keeps a circle round to 0.05 mm', () => {
    const [circle] = flattenPath('M-20 0A20 20 0 1 1 20 0A20 20 0 1 1 -20 0Z', []) ?? [];
    const points = circle?.points ?? [];
    expect(points.length).toBeGreaterThan(20);
    points.forEach((p, i) => {
      const q = points[(i + 1) % points.length] ?? p;
      const middle = Math.hypot((p.x + q.x) / 2, (p.y + q.y) / 2);
      expect(Math.abs(Math.hypot(p.x, p.y) - 20)).toBeLessThan(0.05);
      expect(20 - middle).toBeLessThan(0.06);
    });
  });

  it('applies transforms from the outermost in', () => {
    const [path] = flattenPath('M1 0L2 0', ['translate(10 0)', 'rotate(90)', 'scale(3)']) ?? [];
    expect(path?.points[0]?.x).toBeCloseTo(10, 9);
    expect(path?.points[0]?.y).toBeCloseTo(3, 9);
  });

  it('measures how much a line’s width grows', () => {
    expect(scaleOf(['scale(2 8)'])).toBeCloseTo(4, 9);
    expect(scaleOf(['rotate(33)', 'scale(0.5)'])).toBeCloseTo(0.5, 9);
    expect(scaleOf([])).toBeCloseTo(1, 9);
  });

  it('answers null to what it cannot read', () => {
    expect(flattenPath('M1 1 L nonsense', [])).toBeNull();
  });
});
