import type { Region } from '../../../base/geometry/clip';
import { type Point, rotate } from '../../../base/geometry/point';

/** A piece of a row that lies in a region: from left to right in the frame of the rows, mm. */
export interface Span {
  y: number;
  left: number;
  right: number;
}

/** Rows over a region, in a frame that is turned so that they run along x. */
export interface Rows {
  angleDeg: number;
  rows: Span[][];
}

/** From the frame of the rows back into the region's. */
export const unturned = ({ angleDeg }: Rows, x: number, y: number): Point => rotate({ x, y }, angleDeg);

/** Shorter pieces are no stitch, mm. */
const LEAST_SPAN_MM = 0.1;

/** Where the middles of rows lie between two heights: as many as fit, what is left over half at either end. */
function heightsOf(top: number, bottom: number, rowMm: number): number[] {
  const count = Math.max(1, Math.round((bottom - top) / rowMm));
  const first = top + (bottom - top - (count - 1) * rowMm) / 2;
  return Array.from({ length: count }, (_, row) => first + row * rowMm);
}

/** The first row that lies at a height or below it, of all rows in their order. */
function firstFrom(heights: readonly number[], y: number, near: number): number {
  // The estimate may be rounded past a row that lies on a corner: what counts is the height that the row is given.
  let row = Math.min(heights.length, Math.max(0, near));
  while (row > 0 && (heights[row - 1] ?? 0) >= y) row -= 1;
  while (row < heights.length && (heights[row] ?? 0) < y) row += 1;
  return row;
}

/** Where each row crosses the rings, unsorted. */
function crossings(turned: readonly (readonly Point[])[], heights: readonly number[], rowMm: number) {
  const found: number[][] = heights.map(() => []);
  const top = heights[0] ?? 0;
  for (const ring of turned) {
    let a = ring[ring.length - 1];
    for (const b of ring) {
      if (a) {
        const [low, high] = a.y < b.y ? [a, b] : [b, a];
        // A row on a corner is crossed by one of its two edges: low end in, high end out.
        for (
          let row = firstFrom(heights, low.y, Math.ceil((low.y - top) / rowMm));
          row < heights.length;
          row++
        ) {
          const y = heights[row] ?? 0;
          if (y >= high.y) break;
          found[row]?.push(low.x + ((high.x - low.x) * (y - low.y)) / (high.y - low.y));
        }
      }
      a = b;
    }
  }
  return found;
}

/**
 * Rows over a region, so far apart and at this angle (clockwise from the x axis), each as the pieces that lie inside; by
 * crossings counted even and odd. A region of less height than a row has one row through its middle; none without area.
 */
export function rowsOver(region: Region, angleDeg: number, rowMm: number): Rows {
  const turned = region.map((ring) => ring.map((p) => rotate(p, -angleDeg)));
  let [top, bottom] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const ring of turned)
    for (const { y } of ring) {
      top = Math.min(top, y);
      bottom = Math.max(bottom, y);
    }
  if (!(bottom > top)) return { angleDeg, rows: [] };
  const heights = heightsOf(top, bottom, rowMm);
  const rows = crossings(turned, heights, rowMm).map((xs, row) => {
    xs.sort((a, b) => a - b);
    const spans: Span[] = [];
    for (let i = 0; i + 1 < xs.length; i += 2) {
      const [left, right] = [xs[i] ?? 0, xs[i + 1] ?? 0];
      if (right - left >= LEAST_SPAN_MM) spans.push({ y: heights[row] ?? 0, left, right });
    }
    return spans;
  });
  return { angleDeg, rows };
}
