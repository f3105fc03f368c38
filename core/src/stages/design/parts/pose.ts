import { add, type Point, rotate } from '../../../base/geometry/point';
import type { Part } from '../../../model/ticket/part';

/** How a part lies in its design: scaled and mirrored about its own centre, then turned, then moved. */
export type PartPose = Pick<Part, 'at' | 'turnDeg' | 'mirrored' | 'scalePercent'>;

/** A way in a part's own frame, mm at 100 %, as a way in the design's. */
export function wayInDesign({ turnDeg, mirrored, scalePercent }: PartPose, { x, y }: Point): Point {
  const scale = scalePercent / 100;
  return rotate({ x: (mirrored ? -x : x) * scale, y: y * scale }, turnDeg);
}

/** A point of a part's own frame, mm at 100 % about its centre, in the design's frame. */
export const inDesign = (pose: PartPose, point: Point): Point => add(wayInDesign(pose, point), pose.at);

/** A way in the design's frame as a way in the part's own: the inverse of `wayInDesign`. */
export function wayInPart({ turnDeg, mirrored, scalePercent }: PartPose, way: Point): Point {
  const { x, y } = rotate(way, -turnDeg);
  const scale = scalePercent / 100;
  return { x: (mirrored ? -x : x) / scale + 0, y: y / scale + 0 };
}

/** Whether a part lies as it came: neither moved, turned, mirrored nor scaled. */
export const isAsItCame = ({ at, turnDeg, mirrored, scalePercent }: PartPose): boolean =>
  at.x === 0 && at.y === 0 && turnDeg % 360 === 0 && !mirrored && scalePercent === 100;
