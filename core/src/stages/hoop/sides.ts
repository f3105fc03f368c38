import type { Point } from '../../base/geometry/point';
import { mm, type Phrase, phrase } from '../../base/units/phrase';

/** A side below this is none: no figure of nothing is said, mm. */
const NOTHING_MM = 0.05;

const side = (value: number, [plus, minus]: readonly [string, string]): Phrase[] =>
  Math.abs(value) < NOTHING_MM ? [] : [phrase`${mm(Math.abs(value))} ${value > 0 ? plus : minus}`];

/** A place or a move in the hoop frame, as one stands at the machine; what is nothing is left out, `none` where all is. */
export function sidesInWords({ x, y }: Point, none: string): Phrase {
  const [first, second] = [...side(x, ['right', 'left']), ...side(y, ['towards you', 'away'])];
  return first && second ? phrase`${first}, ${second}` : (first ?? [none]);
}
