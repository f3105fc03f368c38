import { distance, distanceToSegment, type Point } from '../../../base/geometry/point';
import type { StitchKind, StitchWriter } from './stitches';

/** A stitch cuts a bend by no more than this, mm. */
const CUT_MM = 0.12;

/** Finer steps are none, mm. */
const MIN_STEP_MM = 0.05;

const cuts = (points: readonly Point[], from: number, to: number): boolean => {
  const [a, b] = [points[from], points[to]];
  if (!a || !b) return false;
  for (let i = from + 1; i < to; i++) if (distanceToSegment(points[i] ?? a, a, b) > CUT_MM) return true;
  return false;
};

/** So many places to each stitch are looked at. */
const FINE = 4;

/** A line with points at even steps along the whole of it, and its own. */
function fine(points: readonly Point[], stepMm: number): Point[] {
  let way = 0;
  return points.flatMap((b, i) => {
    const a = points[i - 1];
    if (!a) return [b];
    const far = distance(a, b);
    const own: Point[] = [];
    for (let at = (Math.floor(way / stepMm + 1e-6) + 1) * stepMm - way; at < far - 1e-6; at += stepMm)
      own.push({ x: a.x + ((b.x - a.x) * at) / far, y: a.y + ((b.y - a.y) * at) / far });
    way += far;
    return [...own, b];
  });
}

const lengthOf = (line: readonly Point[]): number =>
  line.reduce((sum, b, i) => sum + distance(line[i - 1] ?? b, b), 0);

/**
 * Stitches along a line, each as long as is asked or shorter where the line bends: the needle keeps to within an eighth of
 * a millimetre of it. To its first point too, wherever the needle is.
 */
export function stitchAlong(
  writer: StitchWriter,
  line: readonly Point[],
  { stitchMm, kind }: { stitchMm: number; kind: StitchKind },
): void {
  const long = lengthOf(line);
  const evenMm = long / Math.max(1, Math.ceil(long / stitchMm - 1e-6));
  const points = fine(line, Math.max(MIN_STEP_MM, evenMm / FINE));
  const [first] = points;
  if (!first) return;
  writer.to(first.x, first.y, kind);
  let from = 0;
  while (from < points.length - 1) {
    let [to, way] = [from + 1, 0];
    way = distance(points[from] ?? first, points[to] ?? first);
    while (to + 1 < points.length) {
      way += distance(points[to] ?? first, points[to + 1] ?? first);
      if (way > evenMm * 1.0001 || cuts(points, from, to + 1)) break;
      to += 1;
    }
    const p = points[to] ?? first;
    writer.to(p.x, p.y, kind);
    from = to;
  }
}
