import type { Box } from '../../../base/geometry/box';
import { codeOf, laysThread, type Stitches } from './stitches';

/** What is counted: penetrations, of fills and of satin among them, the thread laid on top in mm, what is cut or carried. */
export interface StitchCount {
  stitches: number;
  fill: number;
  satin: number;
  threadMm: number;
  trims: number;
  jumps: number;
}

const NOTHING: StitchCount = { stitches: 0, fill: 0, satin: 0, threadMm: 0, trims: 0, jumps: 0 };
const [TRIM, JUMP, FILL, SATIN] = [codeOf('trim'), codeOf('jump'), codeOf('fill'), codeOf('satin')];

/** Counts by whatever each penetration belongs to. The beginning of a stop is no trim of its own: the thread is new there. */
function countBy(stitches: Stitches, owners: Uint16Array | Uint32Array, of: number): StitchCount[] {
  const { x, y, kind, stop } = stitches;
  const counts = Array.from({ length: of }, () => ({ ...NOTHING }));
  for (let i = 0; i < x.length; i++) {
    const [own, code] = [counts[owners[i] ?? 0], kind[i] ?? 0];
    if (!own) continue;
    const isNew = i === 0 || stop[i] !== stop[i - 1];
    if (code === TRIM) own.trims += isNew ? 0 : 1;
    else own.stitches += 1;
    if (code === JUMP) own.jumps += 1;
    if (code === FILL) own.fill += 1;
    if (code === SATIN) own.satin += 1;
    if (laysThread(code) && !isNew)
      own.threadMm += Math.hypot((x[i] ?? 0) - (x[i - 1] ?? 0), (y[i] ?? 0) - (y[i - 1] ?? 0));
  }
  return counts;
}

/** Each stop's own count, in the order of the stops; those without stitches count nothing. */
export const countStops = (stitches: Stitches, stops: number): StitchCount[] =>
  countBy(stitches, stitches.stop, stops);

/** Each element's own count. */
export const countElements = (stitches: Stitches, elements: number): StitchCount[] =>
  countBy(stitches, stitches.element, elements);

/** The box of all penetrations, mm; null without any. */
export function boxOfStitches({ x, y }: Stitches): Box | null {
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
