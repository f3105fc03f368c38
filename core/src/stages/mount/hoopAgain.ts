import { type Point, rotate, shortTurnDeg, subtract } from '../../base/geometry/point';
import { mm, type Phrase, phrase } from '../../base/units/phrase';
import type { MarkId } from '../../model/ticket/mount';

/** The four ways a hand moves cloth in a hoop, as the operator stands. */
export type HandWay = 'to the left' | 'to the right' | 'away from you' | 'towards you';

/** So far one way, mm. */
export interface HandMove {
  mm: number;
  way: HandWay;
}

/** How to hoop it again: turn the cloth about its centre by one mark, then move the whole of it. */
export interface HoopAgain {
  /** The centre held where it is, this mark is brought so far one way; null where the angle is right. */
  pivot: (HandMove & { mark: MarkId }) | null;
  /** Then the whole piece; none where its place is right, or can be keyed. */
  whole: HandMove[];
}

/** How a piece lies in its hoop, and how it should. Hoop frame: right, and towards the operator; mm. */
export interface AgainQuestion {
  /** The marks that can be gone by, in the piece frame, with the design's centre there. */
  marks: readonly { mark: MarkId; at: Point }[];
  designCentre: Point;
  /** The turn of the piece in the hoop as it is, and where that puts the design's centre. */
  turnDeg: number;
  centre: Point;
  /** The turn it should have. */
  shouldTurnDeg: number;
  /** Where the centre must go; null where keys take care of it. */
  centreTo: Point | null;
}

export const MARK_NAMES: Readonly<Record<MarkId, string>> = {
  centre: 'centre',
  left: 'left axis end',
  right: 'right axis end',
  top: 'top axis end',
  foot: 'bottom axis end',
};

/** Below this a hand need not move anything, mm. */
const LEAST_MM = 0.05;

const across = (x: number): HandMove => ({ mm: Math.abs(x), way: x > 0 ? 'to the right' : 'to the left' });
const along = (y: number): HandMove => ({ mm: Math.abs(y), way: y > 0 ? 'towards you' : 'away from you' });
const movesFor = ({ x, y }: Point): HandMove[] => [across(x), along(y)].filter((move) => move.mm > LEAST_MM);

/** The mark farthest from the centre, and the one way it goes most when the cloth is turned about the centre. */
function pivotFor(q: AgainQuestion): HoopAgain['pivot'] {
  const by = shortTurnDeg(q.shouldTurnDeg - q.turnDeg);
  const [farthest] = q.marks
    .filter(({ mark }) => mark !== 'centre')
    .map(({ mark, at }) => ({ mark, from: rotate(subtract(at, q.designCentre), q.turnDeg) }))
    .sort((a, b) => Math.hypot(b.from.x, b.from.y) - Math.hypot(a.from.x, a.from.y));
  if (!farthest) return null;
  const goes = subtract(rotate(farthest.from, by), farthest.from);
  const most = Math.abs(goes.x) > Math.abs(goes.y) ? across(goes.x) : along(goes.y);
  return most.mm > LEAST_MM ? { mark: farthest.mark, ...most } : null;
}

/** How to hoop a piece again so that it lies as it should; both parts empty when it does. */
export const hoopAgain = (q: AgainQuestion): HoopAgain => ({
  pivot: pivotFor(q),
  whole: q.centreTo ? movesFor(subtract(q.centreTo, q.centre)) : [],
});

const moveWords = (move: HandMove): Phrase => phrase`${mm(move.mm)} ${move.way}`;

/** The advice as it is said at the table; nothing where nothing is to be done. */
export function againInWords({ pivot, whole }: HoopAgain): Phrase {
  const [first, second] = whole;
  const moved = first
    ? phrase`the whole piece ${moveWords(first)}${second ? phrase` and ${moveWords(second)}` : ''}`
    : null;
  if (pivot) {
    const turned = phrase`hold the centre and bring the ${MARK_NAMES[pivot.mark]} ${moveWords(pivot)}`;
    return moved ? phrase`Hoop it again: ${turned}; then ${moved}.` : phrase`Hoop it again: ${turned}.`;
  }
  return moved ? phrase`Hoop it again: ${moved}.` : phrase`Read the marks again.`;
}
