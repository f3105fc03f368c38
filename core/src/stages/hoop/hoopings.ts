import {
  type Box,
  boxAbout,
  boxOf,
  centreOf,
  contains,
  cornersOf,
  heightOf,
  widthOf,
} from '../../base/geometry/box';
import { ORIGIN, type Point, rotate } from '../../base/geometry/point';
import type { Polygon } from '../../base/geometry/polygon';
import type { Hoop } from '../../model/shelf';
import type { PieceOutline } from '../piece/geometry';
import { hoopCentre, ringLies, ringOnPiece, searchDesignAt } from './ring';

/** Copies of the design that one hooping reaches. */
export interface CopiesReached {
  /** Their places in the list of copies, from 0, in the order of the list. */
  copies: number[];
  /** Where the field's centre lies, piece frame, mm. */
  centre: Point;
}

/** A hooping with its ring on the piece. */
export interface LaidHooping extends CopiesReached {
  /** Whether the ring lies clear there; where it does not, the field stays over the middle of its copies. */
  lies: boolean;
}

interface GroupingField {
  widthMm: number;
  heightMm: number;
  /** The hoop's turn on the piece, clockwise. */
  turnDeg: number;
}

const EDGE_MM = 1e-6;
const inside = (box: Box, left: number, top: number, field: GroupingField): boolean =>
  contains({ left, top, right: left + field.widthMm, bottom: top + field.heightMm }, box, EDGE_MM);

/**
 * Groups copies into hoopings, from left to right in the hoop's own frame: each hooping begins with the leftmost
 * copy that is left over and takes in as many more as the field holds. Along one line this is the fewest
 * hoopings there can be (interval stabbing); over an area it is near it. A copy larger than the field has a
 * hooping of its own. Copies keep their own turn; the hoop does not turn between hoopings.
 */
export function hoopingsFor(footprints: readonly Polygon[], field: GroupingField): CopiesReached[] {
  const boxes = footprints.map((f) => boxOf(f.map((p) => rotate(p, -field.turnDeg))));
  const left = new Set(boxes.keys());
  const hoopings: CopiesReached[] = [];
  while (left.size > 0) {
    const copies = nextHooping(boxes, left, field);
    for (const i of copies) left.delete(i);
    const all = boxOf(copies.flatMap((i) => cornersOf(boxes[i] ?? boxOf([]))));
    hoopings.push({ copies, centre: rotate(centreOf(all), field.turnDeg) });
  }
  return hoopings;
}

/** The field of a hoop as copies are grouped in it: of a round one the square inside it. */
export function groupingField({ fieldWidthMm, fieldHeightMm, round }: Hoop): Omit<GroupingField, 'turnDeg'> {
  const share = round ? Math.SQRT1_2 : 1;
  return { widthMm: fieldWidthMm * share, heightMm: fieldHeightMm * share };
}

/**
 * Moves each hooping's hoop within what its copies leave free, so that the ring lies on the hoopable face with its
 * room; a hooping for which no place is found says so.
 */
export function layHoopings(
  hoopings: readonly CopiesReached[],
  footprints: readonly Polygon[],
  { hoop, turnDeg }: { hoop: Hoop; turnDeg: number },
  { outline, clearanceMm }: { outline: PieceOutline; clearanceMm: number },
): LaidHooping[] {
  const field = groupingField(hoop);
  const face = boxOf(outline.hoopable);
  return hoopings.map((hooping) => {
    const reached = boxOf(hooping.copies.flatMap((i) => footprints[i] ?? []).map((p) => rotate(p, -turnDeg)));
    const free = (side: number, taken: number) => Math.max(0, side - taken);
    const allowed = boxAbout(
      ORIGIN,
      free(field.widthMm, widthOf(reached)),
      free(field.heightMm, heightOf(reached)),
    );
    const centreAt = (copiesAt: Point) => hoopCentre(hooping.centre, turnDeg, copiesAt);
    const copiesAt = searchDesignAt(hoop, allowed, (at) =>
      ringLies(ringOnPiece(hoop, { centre: centreAt(at), turnDeg }), outline, clearanceMm, face),
    );
    return copiesAt ? { ...hooping, centre: centreAt(copiesAt), lies: true } : { ...hooping, lies: false };
  });
}

function nextHooping(boxes: readonly Box[], left: ReadonlySet<number>, field: GroupingField): number[] {
  const waiting = [...left];
  const first = waiting.reduce((a, b) => ((boxes[b]?.left ?? 0) < (boxes[a]?.left ?? 0) ? b : a));
  const start = boxes[first];
  if (!start) return [first];
  const reach = (top: number) =>
    waiting.filter((i) => {
      const box = boxes[i];
      return box !== undefined && inside(box, start.left, top, field);
    });
  const tops = new Set(waiting.map((i) => boxes[i]?.top ?? 0));
  let best: number[] = [first];
  for (const top of tops) {
    if (top > start.top + EDGE_MM || top + field.heightMm < start.bottom - EDGE_MM) continue;
    const reached = reach(top);
    if (reached.includes(first) && reached.length > best.length) best = reached;
  }
  return best;
}
