import { type Phrase, phrase } from '../../base/units/phrase';
import type { Hoop } from '../../model/shelf';
import type { DesignInput } from '../../model/ticket/design';

/** A width that a drawing of no size could have, mm, and what speaks for it. */
export interface PossibleWidth {
  mm: number;
  why: Phrase;
}

/** So much is left free on every side of a hoop's field, mm. */
const FREE_MM = 1;
const MOST_OFFERED = 4;

/** The widest that a drawing `upright` times as high as wide is in a field, mm; in a round one by its corners. */
function widestIn({ fieldWidthMm, fieldHeightMm, round }: Hoop, upright: number): number {
  const [width, height] = [fieldWidthMm - 2 * FREE_MM, fieldHeightMm - 2 * FREE_MM];
  return round ? Math.min(width, height) / Math.hypot(1, upright) : Math.min(width, height / upright);
}

/**
 * Widths to choose from: as wide as the design is now, as high as it is now, and what fills each hoop's field, the
 * smallest first. Whole millimetres, each once; none narrower than 3 mm. Empty without hoops and without a size.
 */
export function possibleWidths(
  upright: number,
  hoops: readonly Hoop[],
  { widthMm, heightMm }: Pick<DesignInput, 'widthMm' | 'heightMm'>,
): PossibleWidth[] {
  const filling = hoops
    .map((hoop) => ({ mm: Math.floor(widestIn(hoop, upright)), hoop }))
    .sort((a, b) => a.mm - b.mm);
  const all = [
    ...(widthMm ? [{ mm: Math.round(widthMm), why: phrase`as wide as the design now` }] : []),
    ...filling.map(({ mm, hoop }) => ({
      mm,
      why: phrase`fills ${hoop.name}`,
    })),
    ...(heightMm ? [{ mm: Math.round(heightMm / upright), why: phrase`as high as the design now` }] : []),
  ];
  return all
    .filter(({ mm }, i) => mm >= 3 && all.findIndex((other) => other.mm === mm) === i)
    .slice(0, MOST_OFFERED);
}
