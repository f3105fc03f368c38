import type { Ring } from '../../base/geometry/clip';
import { distance, ORIGIN, type Point } from '../../base/geometry/point';
import { mm, type Phrase, phrase } from '../../base/units/phrase';
import { readCutFile } from '../../files/cutFile/cutFile';
import { type CutterJob, type CutterState, MAT } from '../../model/cutter';

/** How fast the blade cuts and travels, mm/s, and how long it takes to come down and up again, s. */
const BLADE = { cutting: 30, travelling: 120, downAndUp: 0.8 } as const;

/** A sheet on the mat, or why it cannot be cut. */
export type OnMat = { ok: true; job: CutterJob } | { ok: false; code: string; message: Phrase };

const aroundMm = (ring: Ring): number =>
  ring.reduce((sum, p, i) => sum + distance(ring[i - 1] ?? ring[ring.length - 1] ?? p, p), 0);

/** The time of every ring from where the blade was: over to it, down, round, and up. */
function timed(rings: readonly Ring[], from: Point): { seconds: number; at: Point } {
  let [seconds, at] = [0, from];
  for (const ring of rings) {
    const first = ring[0] ?? at;
    seconds += distance(at, first) / BLADE.travelling + BLADE.downAndUp + aroundMm(ring) / BLADE.cutting;
    at = first;
  }
  return { seconds, at };
}

/** Lays a cut file on the mat: what cannot be read, and what is larger than the mat, is refused. */
export function layOnMat(file: string): OnMat {
  const read = readCutFile(file);
  if (!read.ok) return read;
  const { name, widthMm, heightMm } = read;
  if (widthMm > MAT.widthMm || heightMm > MAT.heightMm)
    return {
      ok: false,
      code: 'larger-than-mat',
      message: phrase`The sheet is ${mm(widthMm)} × ${mm(heightMm)}; the mat takes ${mm(MAT.widthMm)} × ${mm(MAT.heightMm)}. Cut fewer pieces at once, or from a narrower strip.`,
    };
  let at: Point = ORIGIN;
  const pieces = read.pieces.map(({ name: called, rings }) => {
    const { seconds, at: then } = timed(rings, at);
    at = then;
    return {
      name: called,
      rings: rings.map((ring) => [...ring]),
      cutMm: rings.reduce((sum, ring) => sum + aroundMm(ring), 0),
      seconds,
    };
  });
  return { ok: true, job: { name, widthMm, heightMm, pieces } };
}

export const NOTHING_CUT: CutterState = { cut: 0, seconds: 0 };

/** Cuts so many pieces more, or all that are left; nothing once all are cut. */
export function cutMore(job: CutterJob, state: CutterState, pieces: number | null): CutterState {
  const to = pieces === null ? job.pieces.length : Math.min(job.pieces.length, state.cut + pieces);
  const seconds = job.pieces.slice(state.cut, to).reduce((sum, piece) => sum + piece.seconds, 0);
  return { cut: to, seconds: state.seconds + seconds };
}

const rounded = (value: number): number => Math.round(value);

/** What the cutter says of its sheet: its size, its pieces, how long they take; and how far it is. */
export function cutterSays({ pieces, widthMm, heightMm }: CutterJob, { cut, seconds }: CutterState): Phrase {
  const all = pieces.reduce((sum, piece) => sum + piece.seconds, 0);
  const what = pieces.length === 1 ? 'piece' : 'pieces';
  if (cut === 0)
    return phrase`${String(pieces.length)} ${what} on ${mm(widthMm)} × ${mm(heightMm)}: ${String(rounded(all))} seconds to cut.`;
  return cut < pieces.length
    ? phrase`${String(cut)} of ${String(pieces.length)} ${what} cut, ${String(rounded(seconds))} seconds so far.`
    : phrase`${pieces.length === 1 ? 'The piece is' : `All ${pieces.length} pieces are`} cut, in ${String(rounded(seconds))} seconds.`;
}
