import type { Point } from '@zt/core/base/geometry/point';
import { toPx, type View } from './view';

interface Figure {
  from: Point;
  to: Point;
  /** Null where no figure stands. */
  text: string | null;
}

/** Where along its line a figure may stand, the middle first. */
const PLACES = [0.5, 0.3, 0.7, 0.18, 0.82, 0.08, 0.92] as const;
const HEIGHT_PX = 30;
/** The buttons that zoom the sheet, in its lower right corner. */
const BUTTONS = { width: 44, height: 96 };
const widthOf = (text: string) => text.length * 9 + 18;

interface Spot {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** How much of a length about a middle lies outside 0 to `size`, px. */
const past = (middle: number, length: number, size: number): number =>
  Math.max(0, length / 2 - middle) + Math.max(0, middle + length / 2 - size);

/**
 * Places along each line, 0 to 1, at which the figures cover each other and the sheet's buttons least, and leave the
 * sheet least; earlier ones choose first.
 */
export function placesForFigures(view: View, figures: readonly Figure[]): number[] {
  const { width: across, height: down } = view;
  const taken: Spot[] = [{ x: across - BUTTONS.width / 2, y: down - BUTTONS.height / 2, ...BUTTONS }];
  return figures.map(({ from, to, text }) => {
    const [a, b] = [toPx(view, from), toPx(view, to)];
    if (text === null) return PLACES[0];
    const width = widthOf(text);
    const spotAt = (t: number): Spot => ({
      x: a.x + (b.x - a.x) * t,
      y: a.y + (b.y - a.y) * t,
      width,
      height: HEIGHT_PX,
    });
    const covered = (t: number) => {
      const spot = spotAt(t);
      const outside = past(spot.x, width, across) * HEIGHT_PX + past(spot.y, HEIGHT_PX, down) * width;
      return taken.reduce((sum, other) => {
        const dx = (spot.width + other.width) / 2 - Math.abs(spot.x - other.x);
        const dy = (spot.height + other.height) / 2 - Math.abs(spot.y - other.y);
        return sum + Math.max(0, dx) * Math.max(0, dy);
      }, outside);
    };
    const best = PLACES.reduce<number>((chosen, t) => (covered(t) < covered(chosen) ? t : chosen), PLACES[0]);
    taken.push(spotAt(best));
    return best;
  });
}
