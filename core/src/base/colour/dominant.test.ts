import fc from 'fast-check';
import { colourDifference } from './colour';
import { dominantColours } from './dominant';

/** Pixels of a picture in stripes of these colours, so many of each. */
const picture = (...stripes: [hex: string, pixels: number][]): number[] =>
  stripes.flatMap(([hex, pixels]) => {
    const rgb = [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16));
    return Array.from({ length: pixels }, () => [...rgb, 255]).flat();
  });

describe('the colours of a picture', () => {
  it('are those it is made of, the largest share first', () => {
    const found = dominantColours(picture(['#1F3A5F', 600], ['#E0B33A', 300], ['#FAFAF7', 100]), 3);
    expect(found.map((c) => Math.round(c.share * 100))).toEqual([60, 30, 10]);
    ['#1F3A5F', '#E0B33A', '#FAFAF7'].forEach((hex, i) => {
      expect(colourDifference(found[i]?.hex ?? '', hex)).toBeLessThan(1);
    });
  });

  it('gather what is nearly the same, and are the same again', () => {
    const noisy = picture(['#1F3A5F', 200], ['#203B60', 200], ['#1E395E', 200], ['#C8322B', 300]);
    const found = dominantColours(noisy, 2);
    expect(found.map((c) => Math.round(c.share * 100))).toEqual([67, 33]);
    expect(dominantColours(noisy, 2)).toEqual(found);
  });

  it('are no more than there are, and none where nothing is opaque', () => {
    expect(dominantColours(picture(['#1F3A5F', 50]), 5)).toHaveLength(1);
    expect(dominantColours([31, 58, 95, 0, 31, 58, 95, 10], 3)).toEqual([]);
    expect(dominantColours([], 3)).toEqual([]);
  });

  it('share out the whole picture, whatever it shows', () => {
    const byte = fc.integer({ min: 0, max: 255 });
    const pixel = fc.tuple(byte, byte, byte).map((rgb) => [...rgb, 255]);
    fc.assert(
      fc.property(
        fc.array(pixel, { minLength: 1, maxLength: 60 }),
        fc.integer({ min: 1, max: 6 }),
        (pixels, count) => {
          const found = dominantColours(pixels.flat(), count);
          const sum = found.reduce((total, c) => total + c.share, 0);
          return (
            found.length <= count &&
            Math.abs(sum - 1) < 1e-9 &&
            found.every((c) => /^#[0-9A-F]{6}$/.test(c.hex))
          );
        },
      ),
      { numRuns: 60 },
    );
  });
});
