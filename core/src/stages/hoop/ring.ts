import {
  type Box,
  boxAbout,
  boxContainsPoint,
  boxOf,
  clampTo,
  cornersOf,
  heightOf,
  widthOf,
} from '../../base/geometry/box';
import { add, negate, ORIGIN, type Point, rotate, subtract } from '../../base/geometry/point';
import {
  clearanceToLine,
  containsPoint,
  type Polygon,
  placed,
  segmentsCross,
  segmentsOf,
} from '../../base/geometry/polygon';
import type { Hoop } from '../../model/shelf';
import type { PieceOutline } from '../piece/geometry';

/** Where a hoop lies on the piece: its centre, and its turn clockwise. */
export interface RingPose {
  centre: Point;
  turnDeg: number;
}

const rectangle = (width: number, height: number, pose: RingPose): Point[] =>
  placed(cornersOf(boxAbout({ x: 0, y: 0 }, width, height)), pose.turnDeg, pose.centre);

/** The ring's outer edge and the stitch field's on the piece, as corners clockwise. */
export const ringOnPiece = (hoop: Hoop, pose: RingPose): Point[] =>
  rectangle(hoop.ringWidthMm, hoop.ringHeightMm, pose);
export const fieldOnPiece = (hoop: Hoop, pose: RingPose): Point[] =>
  rectangle(hoop.fieldWidthMm, hoop.fieldHeightMm, pose);

/** The hoop's centre on the piece when the design's centre lies at `designAt` in the hoop frame. */
export function hoopCentre(designCentre: Point, hoopTurnDeg: number, designAt: Point): Point {
  return add(designCentre, rotate(negate(designAt), hoopTurnDeg));
}

/** A point of the piece as it lies in a hoop: from the field's centre, right and towards the operator, mm. */
export const inHoopFrame = (p: Point, hoop: { centre: Point; onPieceDeg: number }): Point =>
  rotate(subtract(p, hoop.centre), -hoop.onPieceDeg);

/** Whether a ring of this box and its room, mm, is too large for a face of that box, wherever it is laid. */
export const isTooLarge = (ring: Box, face: Box, clearanceMm: number): boolean =>
  widthOf(ring) + 2 * clearanceMm > widthOf(face) + TOLERANCE_MM ||
  heightOf(ring) + 2 * clearanceMm > heightOf(face) + TOLERANCE_MM;

/** Whether a ring's edge runs over an area; an area wholly inside the ring is not under it. */
function runsOver(ring: Polygon, ringBox: Box, area: Polygon): boolean {
  const box = boxOf(area);
  const apart =
    box.right < ringBox.left ||
    box.left > ringBox.right ||
    box.bottom < ringBox.top ||
    box.top > ringBox.bottom;
  if (apart) return false;
  const edges = segmentsOf(area, true);
  const crosses = segmentsOf(ring, true).some((side) => edges.some((edge) => segmentsCross(side, edge)));
  return crosses || ring.some((corner) => containsPoint(area, corner));
}

/**
 * Whether a ring lies on the hoopable face with its room, mm, all round, and its edge over no no-go area. A ring
 * that just has its room lies. `face` is the face's box, for those who ask about many rings.
 */
export function ringLies(
  ring: Polygon,
  outline: PieceOutline,
  clearanceMm: number,
  face: Box = boxOf(outline.hoopable),
): boolean {
  const box = boxOf(ring);
  const past = Math.max(
    face.left - box.left,
    box.right - face.right,
    face.top - box.top,
    box.bottom - face.bottom,
  );
  if (past + clearanceMm > TOLERANCE_MM) return false;
  if (!ring.every((corner) => containsPoint(outline.hoopable, corner))) return false;
  const first = outline.hoopable[0];
  const room = clearanceToLine(ring, first ? [...outline.hoopable, first] : outline.hoopable).mm;
  if (room + TOLERANCE_MM < clearanceMm) return false;
  return outline.noGo.every(({ area }) => !runsOver(ring, box, area));
}

/** Rounding in turning and adding; far below anything a tape shows. */
const TOLERANCE_MM = 1e-9;

const STEPS = 4;

/**
 * The least move of the design inside the field that lets the ring lie well, searched on a grid over the
 * allowed centres; null when none does. A place the maker chose is tried first. The result is the design's
 * centre in the hoop frame, mm.
 */
export function searchDesignAt(
  hoop: Hoop,
  allowed: Box,
  lies: (designAt: Point) => boolean,
  chosen?: Point,
): Point | null {
  if (chosen && boxContainsPoint(allowed, chosen, TOLERANCE_MM) && lies(chosen)) return chosen;
  const centred = clampTo(allowed, ORIGIN);
  if (lies(centred)) return centred;
  if (hoop.round) return null;
  const candidates: Point[] = [];
  for (let i = 0; i <= STEPS; i++) {
    for (let j = 0; j <= STEPS; j++) {
      candidates.push({
        x: allowed.left + ((allowed.right - allowed.left) * i) / STEPS,
        y: allowed.top + ((allowed.bottom - allowed.top) * j) / STEPS,
      });
    }
  }
  candidates.sort((a, b) => Math.hypot(a.x, a.y) - Math.hypot(b.x, b.y));
  return candidates.find(lies) ?? null;
}
