import type { Point } from '@zt/core';
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
const widthOf = (text: string) => text.length * 9 + 18;

/** Places along each line, 0 to 1, at which the figures cover each other least; earlier ones choose first. */
export function placesForFigures(view: View, figures: readonly Figure[]): number[] {
  const taken: { x: number; y: number; width: number }[] = [];
  return figures.map(({ from, to, text }) => {
    const [a, b] = [toPx(view, from), toPx(view, to)];
    if (text === null) return PLACES[0];
    const width = widthOf(text);
    const spotAt = (t: number) => ({ x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t, width });
    const covered = (t: number) => {
      const spot = spotAt(t);
      return taken.reduce((sum, other) => {
        const dx = (spot.width + other.width) / 2 - Math.abs(spot.x - other.x);
        const dy = HEIGHT_PX - Math.abs(spot.y - other.y);
        return sum + Math.max(0, dx) * Math.max(0, dy);
      }, 0);
    };
    const best = PLACES.reduce<number>((chosen, t) => (covered(t) < covered(chosen) ? t : chosen), PLACES[0]);
    taken.push(spotAt(best));
    return best;
  });
}
