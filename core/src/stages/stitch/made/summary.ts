import type { Box } from '../../../base/geometry/box';
import { codeOf, laysThread, type Stitches } from './stitches';

/** What of a stop is counted: penetrations, the thread laid on top in mm, and what is cut or carried within it. */
export interface StopCount {
  stitches: number;
  threadMm: number;
  trims: number;
  jumps: number;
}

const NOTHING: StopCount = { stitches: 0, threadMm: 0, trims: 0, jumps: 0 };
const TRIM = codeOf('trim');
const JUMP = codeOf('jump');

/**
 * Each stop's own count, in the order of the stops; those without stitches count nothing. The beginning of a stop is no
 * trim of its own: the thread is new there.
 */
export function countStops(stitches: Stitches, stops: number): StopCount[] {
  const { x, y, kind, stop } = stitches;
  const counts = Array.from({ length: stops }, () => ({ ...NOTHING }));
  for (let i = 0; i < x.length; i++) {
    const [own, code] = [counts[stop[i] ?? 0], kind[i] ?? 0];
    if (!own) continue;
    const isNew = i === 0 || stop[i] !== stop[i - 1];
    if (code === TRIM) own.trims += isNew ? 0 : 1;
    else own.stitches += 1;
    if (code === JUMP) own.jumps += 1;
    if (laysThread(code) && !isNew)
      own.threadMm += Math.hypot((x[i] ?? 0) - (x[i - 1] ?? 0), (y[i] ?? 0) - (y[i - 1] ?? 0));
  }
  return counts;
}

/** The box of all penetrations, mm; null without any. */
export function boundsOf({ x, y }: Stitches): Box | null {
  if (x.length === 0) return null;
  const box = { left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity };
  for (let i = 0; i < x.length; i++) {
    const [px, py] = [x[i] ?? 0, y[i] ?? 0];
    box.left = Math.min(box.left, px);
    box.right = Math.max(box.right, px);
    box.top = Math.min(box.top, py);
    box.bottom = Math.max(box.bottom, py);
  }
  return box;
}
