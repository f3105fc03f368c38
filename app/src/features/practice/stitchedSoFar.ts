import type { Point } from '@zt/core';
import { alongPath, type PracticeJob, type PracticeState } from '@zt/core/uses/practice/index';

const PIECES = 160;

/** What is stitched by now: a line of points for each colour that was begun, about the file's centre, mm. */
export function stitchedSoFar(
  job: PracticeJob,
  { stop, done }: PracticeState,
): { hex: string; points: Point[] }[] {
  return job.stops.slice(0, stop + 1).flatMap(({ hex, path, stitches }, i) => {
    if (i < stop) return [{ hex, points: path }];
    if (done === 0 || stitches === 0) return [];
    const share = done / stitches;
    const count = Math.max(2, Math.round(PIECES * share));
    return [
      { hex, points: Array.from({ length: count }, (_, k) => alongPath(path, (share * k) / (count - 1))) },
    ];
  });
}
