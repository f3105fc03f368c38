import fc from 'fast-check';
import { say } from '../../base/units/phrase';
import { SAMPLE_SHELF } from '../../testing/samples';
import { possibleWidths } from './howWide';

const MM = { system: 'mm', denominator: 16 } as const;
const { hoops } = SAMPLE_SHELF;

describe('widths for a drawing of no size', () => {
  it('fill a hoop’s field and lie in it, corners too', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 5, noNaN: true }), (upright) => {
        for (const { mm, why } of possibleWidths(upright, hoops, { widthMm: null, heightMm: null })) {
          const hoop = hoops.find(({ name }) => say(why, MM) === `fills ${name}`);
          if (!hoop) throw new Error(say(why, MM));
          const height = mm * upright;
          expect(mm).toBeLessThanOrEqual(hoop.fieldWidthMm);
          expect(height).toBeLessThanOrEqual(hoop.fieldHeightMm);
          if (hoop.round) expect(Math.hypot(mm, height)).toBeLessThanOrEqual(hoop.fieldWidthMm);
        }
      }),
    );
  });

  it('are each offered once, what the design has now among them, and none without a hoop or a size', () => {
    const now = possibleWidths(0.5, hoops, { widthMm: 60, heightMm: 30 });
    expect(now.filter(({ mm }) => mm === 60)).toHaveLength(1);
    expect(new Set(now.map(({ mm }) => mm)).size).toBe(now.length);
    expect(possibleWidths(1, [], { widthMm: null, heightMm: null })).toEqual([]);
  });
});
