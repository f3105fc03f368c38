import type { Phrase } from '../../../base/units/phrase';
import { mm, phrase } from '../../../base/units/phrase';
import type { MarkAct } from './acts';
import { levelAct } from './centre';
import type { MarkQuestion } from './markStep';
import { side } from './markStep';
/** "190 mm down from the collar seam, 102 mm to your right of the centre line". */
export function readingInWords(q: MarkQuestion, line: string): Phrase {
  const { depth } = q.spot;
  const down = q.centre.y >= depth.at.y;
  const reading = phrase`${mm(Math.abs(q.centre.y - depth.at.y))} ${down ? 'down' : 'up'} from ${depth.name}`;
  if (q.spot.edge) {
    const from = q.centre.x - q.spot.edge.x;
    return phrase`${reading} and ${mm(Math.abs(from))} from the ${q.spot.edge.name}`;
  }
  const across = q.centre.x - (line === 'middle' ? 0 : q.lineX);
  return Math.abs(across) < 0.05
    ? phrase`${reading} on the ${line}`
    : phrase`${reading} and ${mm(Math.abs(across))} to your ${side(across)} of the ${line}`;
}

/** Where the reading leads: along its level from the line, or from an edge. */
export const readingActs = (q: MarkQuestion, fromLineMm: number): MarkAct[] => [
  levelAct(q),
  q.spot.edge
    ? { do: 'from edge', x: q.spot.edge.x, mm: q.centre.x - q.spot.edge.x }
    : { do: 'from line', mm: fromLineMm },
];
