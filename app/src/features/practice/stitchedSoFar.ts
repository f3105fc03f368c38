import type { Point } from '@zt/core/base/geometry/point';
import { alongPath, type PracticeJob, type PracticeState } from '@zt/core/table/practice/index';

type Stop = PracticeJob['stops'][number];

const PIECES = 160;
/** So many stitches of a stop are drawn one by one; of more, every so many-th. */
const MOST_DRAWN = 4000;

/** Lines of thread between the points where it was cut, of the first so many stitches. */
function linesOf({ path, cutBefore }: Stop, done: number): Point[][] {
  const every = Math.max(1, Math.ceil(path.length / MOST_DRAWN));
  const cuts = [0, ...(cutBefore ?? []), done].filter((at) => at <= done);
  return cuts.slice(1).flatMap((to, i) => {
    const from = cuts[i] ?? 0;
    const line = path.slice(from, to).filter((_, k, all) => k % every === 0 || k === all.length - 1);
    return line.length > 1 ? [line] : [];
  });
}

/** Of a design without stitches the share of its way that is done. */
function wayOf({ path, stitches }: Stop, done: number): Point[][] {
  if (done === 0 || stitches === 0) return [];
  const share = done / stitches;
  const count = Math.max(2, Math.round(PIECES * share));
  return [Array.from({ length: count }, (_, k) => alongPath(path, (share * k) / (count - 1)))];
}

/** What is stitched by now: lines of thread in the order they were laid, about the file's centre, mm. */
export function stitchedSoFar(
  job: PracticeJob,
  { stop, done }: PracticeState,
): { hex: string; points: Point[] }[] {
  return job.stops.slice(0, stop + 1).flatMap((one, i) => {
    const isWhole = i < stop;
    const lines = one.cutBefore
      ? linesOf(one, isWhole ? one.path.length : done)
      : isWhole
        ? [one.path]
        : wayOf(one, done);
    return lines.map((points) => ({ hex: one.hex, points }));
  });
}
