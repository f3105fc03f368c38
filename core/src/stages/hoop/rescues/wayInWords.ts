import type { Point } from '../../../base/geometry/point';
import type { Phrase } from '../../../base/units/phrase';
import { mm, phrase } from '../../../base/units/phrase';
/** A design moved by less lies where it lay: half of a sixteenth of an inch. */
export const LEAST_SHIFT_MM = 0.8;

/** Ways in words, piece frame. */
export function wayInWords(by: Point): Phrase {
  const parts = [
    ...(Math.abs(by.y) < LEAST_SHIFT_MM ? [] : [phrase`${mm(Math.abs(by.y))} ${by.y > 0 ? 'down' : 'up'}`]),
    ...(Math.abs(by.x) < LEAST_SHIFT_MM
      ? []
      : [phrase`${mm(Math.abs(by.x))} ${by.x > 0 ? 'to the right' : 'to the left'}`]),
  ];
  return parts.length === 2 ? phrase`${parts[0] ?? []} and ${parts[1] ?? []}` : (parts[0] ?? phrase`a hair`);
}
