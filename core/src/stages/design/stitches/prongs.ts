import { isInside, type Region } from '../../../base/geometry/clip';
import { distance, type Point } from '../../../base/geometry/point';
import { stitchAlong } from './along';
import type { StitchWriter } from './stitches';

/** A prong is tried so much shorter each time that it would leave the cloth. */
const SHORTER = 0.75;
/** A shorter prong holds nothing, mm. */
const LEAST_MM = 0.4;

interface Prongs {
  longMm: number;
  pitchMm: number;
  /** The lines all of whose prongs point into what they close in. */
  rings: Region;
}

/** Where a prong ends: square to the line, on the side of the cloth; null where the cloth is too narrow for one. */
function endOf(a: Point, b: Point, { longMm, rings }: Prongs): Point | null {
  const far = distance(a, b);
  if (far === 0) return null;
  const [nx, ny] = [(a.y - b.y) / far, (b.x - a.x) / far];
  for (let long = longMm; long >= LEAST_MM; long *= SHORTER)
    for (const side of [1, -1]) {
      const to = { x: a.x + nx * long * side, y: a.y + ny * long * side };
      const half = { x: a.x + (nx * long * side) / 2, y: a.y + (ny * long * side) / 2 };
      if (isInside(rings, to) && isInside(rings, half)) return to;
    }
  return null;
}

/** A closed line with a point at every even step, and its own corners. */
function stepped(line: readonly Point[], pitchMm: number): { at: Point; isProng: boolean }[] {
  const long = line.reduce((sum, p, i) => sum + distance(line[i - 1] ?? p, p), 0);
  const pitch = long / Math.max(1, Math.round(long / pitchMm));
  const steps: { at: Point; isProng: boolean }[] = [];
  let way = 0;
  let next = 0;
  for (const [i, b] of line.entries()) {
    const a = line[i - 1] ?? b;
    const far = distance(a, b);
    for (; next < way + far - 1e-9; next += pitch) {
      const share = (next - way) / far;
      steps.push({ at: { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share }, isProng: true });
    }
    way += far;
    steps.push({ at: b, isProng: false });
  }
  return steps;
}

/** A blanket stitch along a closed line: at every pitch a prong inwards and back, mm. A line without length has none. */
export function stitchProngs(writer: StitchWriter, line: readonly Point[], prongs: Prongs): void {
  const steps = stepped(line, prongs.pitchMm);
  for (const [i, { at, isProng }] of steps.entries()) {
    stitchAlong(writer, [writer.at() ?? at, at], { stitchMm: prongs.pitchMm, kind: 'run' });
    const after = steps[i + 1]?.at;
    const end = isProng && after ? endOf(at, after, prongs) : null;
    if (!end) continue;
    writer.to(end.x, end.y, 'run');
    writer.to(at.x, at.y, 'run');
  }
}
