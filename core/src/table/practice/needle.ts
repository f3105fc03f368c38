import { nearestPair } from '../../base/geometry/nearestPair';
import { add, distance, ORIGIN, type Point, rotate } from '../../base/geometry/point';
import { containsPoint, type Polygon } from '../../base/geometry/polygon';
import type { PracticeJob, PracticeState } from '../../model/practice';
import type { Hoop } from '../../model/shelf';
import { OBSTACLE_SIZES, obstacleOutline } from '../../stages/mount/obstacles';

type KeyedPose = Pick<PracticeState, 'mirror' | 'turnDeg' | 'scalePercent' | 'move'>;

/** A point of the file, about its centre, where the keys bring it in the hoop. */
export function keyedPoint(p: Point, { mirror, turnDeg, scalePercent, move }: KeyedPose): Point {
  const scale = scalePercent / 100;
  return add(rotate({ x: (mirror ? -p.x : p.x) * scale, y: p.y * scale }, turnDeg), move);
}

export const keyedHull = (job: PracticeJob, state: KeyedPose): Point[] =>
  job.hull.map((p) => keyedPoint(p, state));

/** The point at a share of the way along a line of points, 0 to 1; the first of a line without length. */
export function alongPath(path: readonly Point[], share: number): Point {
  const first = path[0] ?? ORIGIN;
  const lengths = path.slice(1).map((p, i) => distance(path[i] ?? first, p));
  let left = lengths.reduce((sum, l) => sum + l, 0) * Math.min(1, Math.max(0, share));
  for (const [i, length] of lengths.entries()) {
    const [a, b] = [path[i] ?? first, path[i + 1] ?? first];
    if (left <= length && length > 0)
      return { x: a.x + ((b.x - a.x) * left) / length, y: a.y + ((b.y - a.y) * left) / length };
    left -= length;
  }
  return path[path.length - 1] ?? first;
}

/** Whether a point lies beyond the inner wall of a ring, hoop frame. */
function overRing(p: Point, hoop: Hoop, roomMm: number): boolean {
  const [w, h] = [hoop.ringWidthMm / 2 - hoop.wallMm - roomMm, hoop.ringHeightMm / 2 - hoop.wallMm - roomMm];
  return hoop.round ? Math.hypot(p.x, p.y) > w : Math.abs(p.x) > w || Math.abs(p.y) > h;
}

/** What a needle coming down here would strike, by name; null for cloth alone. */
export function struckAt(p: Point, hoop: Hoop, job: PracticeJob): string | null {
  if (overRing(p, hoop, 0)) return 'ring';
  const hit = job.obstacles.find((o) => containsPoint(obstacleOutline(o), p));
  return hit ? OBSTACLE_SIZES[hit.kind].name : null;
}

/** How finely the way of the foot is followed, mm. */
const FOOT_STEP_MM = 0.5;

/** What the foot touches when the needle is here, by name; null for cloth alone. */
function touchedAt(p: Point, hoop: Hoop, job: PracticeJob): string | null {
  if (overRing(p, hoop, job.footMm)) return 'ring';
  const hit = job.obstacles.find((o) => nearestPair([p, p], obstacleOutline(o)).mm < job.footMm);
  return hit ? OBSTACLE_SIZES[hit.kind].name : null;
}

/** The first thing the foot touches on its way round a path, by name, and where the needle then is; null when it clears everything. */
export function touchedRound(
  path: Polygon,
  hoop: Hoop,
  job: PracticeJob,
): { name: string; at: Point } | null {
  for (const [i, from] of path.entries()) {
    const to = path[(i + 1) % path.length] ?? from;
    const steps = Math.max(1, Math.ceil(distance(from, to) / FOOT_STEP_MM));
    for (let step = 0; step <= steps; step++) {
      const at = add(from, { x: ((to.x - from.x) * step) / steps, y: ((to.y - from.y) * step) / steps });
      const name = touchedAt(at, hoop, job);
      if (name) return { name, at };
    }
  }
  return null;
}
