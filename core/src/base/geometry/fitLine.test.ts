import fc from 'fast-check';
import { fitUprightLine, leanDegOf } from './fitLine';

describe('fitUprightLine', () => {
  it('is exact through points of one line', () => {
    const line = fc.record({
      offset: fc.double({ min: -50, max: 50, noNaN: true }),
      slope: fc.double({ min: -0.2, max: 0.2, noNaN: true }),
    });
    fc.assert(
      fc.property(line, ({ offset, slope }) => {
        const points = [100, 250, 420].map((y) => ({ x: offset + slope * y, y }));
        const fitted = fitUprightLine(points);
        return Math.abs(fitted.offset - offset) < 1e-6 && Math.abs(fitted.slope - slope) < 1e-9;
      }),
    );
  });

  it('stands upright through one point, and at nought without any', () => {
    expect(fitUprightLine([{ x: 4, y: 100 }])).toEqual({ offset: 4, slope: 0 });
    expect(
      fitUprightLine([
        { x: 4, y: 100 },
        { x: 6, y: 100 },
      ]),
    ).toEqual({ offset: 5, slope: 0 });
    expect(fitUprightLine([])).toEqual({ offset: 0, slope: 0 });
  });

  it('leans clockwise when its top lies to the right', () => {
    expect(leanDegOf({ offset: 0, slope: -Math.tan(Math.PI / 90) })).toBeCloseTo(2, 9);
    expect(leanDegOf({ offset: 9, slope: 0 })).toBe(0);
  });
});
