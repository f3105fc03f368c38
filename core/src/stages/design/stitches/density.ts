import type { Point } from '../../../base/geometry/point';
import { laysThread, type Stitches } from './stitches';
import { boxOfStitches } from './summary';

/** Thread laid in each square of a grid, row by row from the top left; mm of thread on mm² of cloth. */
export interface DensityMap {
  left: number;
  top: number;
  cellMm: number;
  columns: number;
  rows: number;
  cover: Float32Array;
}

export const CELL_MM = 0.5;
/** A grid of more squares is none that a screen shows. */
const MOST_CELLS = 16_000_000;

/** Where along a line, 0 to 1, it crosses lines a whole step apart, counted from an origin. Rising, with both ends. */
function crossings(from: number, to: number, cellMm: number): number[] {
  const [a, b] = [from / cellMm, to / cellMm];
  const [low, high] = a < b ? [a, b] : [b, a];
  const found: number[] = [];
  for (let line = Math.floor(low) + 1; line < high; line++) found.push((line - a) / (b - a));
  return found;
}

/**
 * The thread that lies on each square of a half-millimetre grid: every stretch of thread counts in the squares that it
 * crosses, by its length there. Null without stitches, and for stitches so far apart that no grid holds them.
 */
export function densityMap(stitches: Stitches, cellMm = CELL_MM): DensityMap | null {
  const box = boxOfStitches(stitches);
  if (!box) return null;
  const [left, top] = [Math.floor(box.left / cellMm) * cellMm, Math.floor(box.top / cellMm) * cellMm];
  const columns = Math.floor((box.right - left) / cellMm) + 1;
  const rows = Math.floor((box.bottom - top) / cellMm) + 1;
  if (!(columns * rows <= MOST_CELLS)) return null;
  const cover = new Float32Array(columns * rows);
  const { x, y, kind, stop } = stitches;
  const perMm2 = 1 / (cellMm * cellMm);
  for (let i = 1; i < x.length; i++) {
    if (!laysThread(kind[i] ?? 0) || stop[i] !== stop[i - 1]) continue;
    const [ax, ay] = [(x[i - 1] ?? 0) - left, (y[i - 1] ?? 0) - top];
    const [dx, dy] = [(x[i] ?? 0) - left - ax, (y[i] ?? 0) - top - ay];
    const long = Math.hypot(dx, dy) * perMm2;
    const cuts = [...crossings(ax, ax + dx, cellMm), ...crossings(ay, ay + dy, cellMm), 1].sort(
      (p, q) => p - q,
    );
    let before = 0;
    for (const cut of cuts) {
      const middle = (before + cut) / 2;
      const column = Math.min(columns - 1, Math.floor((ax + dx * middle) / cellMm));
      const row = Math.min(rows - 1, Math.floor((ay + dy * middle) / cellMm));
      const at = row * columns + column;
      cover[at] = (cover[at] ?? 0) + (cut - before) * long;
      before = cut;
    }
  }
  return { left, top, cellMm, columns, rows, cover };
}

/** A place where thread lies thick: mm of thread on mm², as it is felt there. */
export interface HotSpot {
  at: Point;
  cover: number;
}

/** Thread is felt over so much, mm: it yields within a needle's width or two. The deviation of a normal distribution. */
const FELT_MM = 1.2;

/** The weights of a normal distribution over neighbouring squares, together 1. */
function weights(cellMm: number): number[] {
  const reach = Math.ceil((3 * FELT_MM) / cellMm);
  const own = Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-(((i - reach) * cellMm) ** 2) / (2 * FELT_MM ** 2)),
  );
  const sum = own.reduce((total, weight) => total + weight, 0);
  return own.map((weight) => weight / sum);
}

/** The map blurred along its rows or its columns. */
function blurred(
  cover: Float32Array,
  { columns, rows, cellMm }: DensityMap,
  isAcross: boolean,
): Float32Array {
  const own = weights(cellMm);
  const reach = (own.length - 1) / 2;
  const [step, length] = isAcross ? [1, columns] : [columns, rows];
  return cover.map((_, i) => {
    const place = isAcross ? i % columns : Math.floor(i / columns);
    let sum = 0;
    for (let k = Math.max(-reach, -place); k <= Math.min(reach, length - 1 - place); k++)
      sum += (own[k + reach] ?? 0) * (cover[i + k * step] ?? 0);
    return sum;
  });
}

/** The thread that is felt at each square: what lies about it, the nearer the more. */
export const felt = (map: DensityMap): Float32Array => blurred(blurred(map.cover, map, true), map, false);

/** How thick thread is felt to lie at the thickest place. */
export const mostFelt = (map: DensityMap): number =>
  felt(map).reduce((most, cover) => Math.max(most, cover), 0);

/** Spots nearer than this are one, mm. */
const APART_MM = 4;

/** The thickest places above a limit, the worst first, so many at most. None for a map below it everywhere. */
export function hotSpots(map: DensityMap, above: number, most: number): HotSpot[] {
  const mean = felt(map);
  const over = [...mean.keys()].filter((i) => (mean[i] ?? 0) > above);
  over.sort((a, b) => (mean[b] ?? 0) - (mean[a] ?? 0));
  const spots: HotSpot[] = [];
  for (const i of over) {
    const at = {
      x: map.left + ((i % map.columns) + 0.5) * map.cellMm,
      y: map.top + (Math.floor(i / map.columns) + 0.5) * map.cellMm,
    };
    if (spots.some((spot) => Math.hypot(spot.at.x - at.x, spot.at.y - at.y) < APART_MM)) continue;
    spots.push({ at, cover: mean[i] ?? 0 });
    if (spots.length >= most) break;
  }
  return spots;
}
