import { add, ORIGIN, type Point, rotate, subtract } from '@zt/core/base/geometry/point';
import type { Plan } from '@zt/core/planner/planned';

/** How the design's own frame lies on the sheet: the piece's frame where there is a place on it, else its own. mm. */
export interface OnTable {
  /** Where the design's origin lies on the sheet. */
  origin: Point;
  turnDeg: number;
  /** The machine's resizing. */
  scale: number;
}

const scaledBy = ({ x, y }: Point, by: number): Point => ({ x: x * by, y: y * by });

/** The design as the plan lays it: its visible centre on the mark. */
export function tableOf({ design, place }: Pick<Plan, 'design' | 'place'>): OnTable {
  const { centre = ORIGIN, scale = 1 } = design.facts ?? {};
  const turnDeg = place?.turnDeg ?? 0;
  const mark = place?.centre ?? ORIGIN;
  return { origin: subtract(mark, rotate(scaledBy(centre, scale), turnDeg)), turnDeg, scale };
}

/** A point of the design's frame on the sheet. */
export const onSheet = ({ origin, turnDeg, scale }: OnTable, p: Point): Point =>
  add(origin, rotate(scaledBy(p, scale), turnDeg));

/** A point of the sheet in the design's frame. */
export const inDesignFrame = ({ origin, turnDeg, scale }: OnTable, p: Point): Point =>
  scaledBy(rotate(subtract(p, origin), -turnDeg), 1 / scale);

/** A way on the sheet in the design's frame. */
export const wayInDesignFrame = ({ turnDeg, scale }: OnTable, way: Point): Point =>
  scaledBy(rotate(way, -turnDeg), 1 / scale);
