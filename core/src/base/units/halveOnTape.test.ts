import fc from 'fast-check';
import { halveOnTape } from './halveOnTape';
import { MM_PER_INCH } from './length';

const IN = { system: 'in', denominator: 16 } as const;
const MM = { system: 'mm' } as const;

describe('halveOnTape', () => {
  it('halves as the tape is read', () => {
    expect(halveOnTape(17.75 * MM_PER_INCH, IN)).toBeCloseTo(8.875 * MM_PER_INCH, 9);
    expect(halveOnTape(20.5 * MM_PER_INCH, IN)).toBeCloseTo(10.25 * MM_PER_INCH, 9);
    expect(halveOnTape(680, MM)).toBe(340);
    expect(halveOnTape(681, MM)).toBe(340.5);
  });

  it('always lands within 1/32 in of the true half', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 3000, noNaN: true }),
        fc.constantFrom(IN, MM),
        (reading, units) => {
          return Math.abs(halveOnTape(reading, units) - reading / 2) <= MM_PER_INCH / 32 + 1e-9;
        },
      ),
    );
  });
});
