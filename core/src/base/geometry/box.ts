import type { Point } from './point';

/** An axis-parallel box in mm; y runs down, so `top` is the smaller y. */
export interface Box {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** The box of some points. Without points it is empty: left above right. */
export function boxOf(points: readonly Point[]): Box {
  const box: Box = { left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity };
  for (const p of points) {
    if (p.x < box.left) box.left = p.x;
    if (p.x > box.right) box.right = p.x;
    if (p.y < box.top) box.top = p.y;
    if (p.y > box.bottom) box.bottom = p.y;
  }
  return box;
}

export const widthOf = (box: Box): number => box.right - box.left;
export const heightOf = (box: Box): number => box.bottom - box.top;

export const centreOf = (box: Box): Point => ({
  x: (box.left + box.right) / 2,
  y: (box.top + box.bottom) / 2,
});

/** Whether a box contains another, edges included; `toleranceMm` forgives rounding. */
export const contains = (box: Box, inner: Box, toleranceMm = 0): boolean =>
  inner.left >= box.left - toleranceMm &&
  inner.right <= box.right + toleranceMm &&
  inner.top >= box.top - toleranceMm &&
  inner.bottom <= box.bottom + toleranceMm;

/** Whether a box contains a point, edges included. */
export const boxContainsPoint = (box: Box, { x, y }: Point, toleranceMm = 0): boolean =>
  contains(box, { left: x, right: x, top: y, bottom: y }, toleranceMm);

/** The point of a box nearest to a point. */
export const clampTo = (box: Box, p: Point): Point => ({
  x: Math.min(Math.max(p.x, box.left), box.right),
  y: Math.min(Math.max(p.y, box.top), box.bottom),
});

/** A box of the given size about a centre. */
export function boxAbout(centre: Point, width: number, height: number): Box {
  return {
    left: centre.x - width / 2,
    right: centre.x + width / 2,
    top: centre.y - height / 2,
    bottom: centre.y + height / 2,
  };
}

/** Corners clockwise from the top left. */
export function cornersOf(box: Box): Point[] {
  return [
    { x: box.left, y: box.top },
    { x: box.right, y: box.top },
    { x: box.right, y: box.bottom },
    { x: box.left, y: box.bottom },
  ];
}

/** The box grown by a margin on all sides (shrunk when it is negative). */
export function inflate(box: Box, margin: number): Box {
  return {
    left: box.left - margin,
    top: box.top - margin,
    right: box.right + margin,
    bottom: box.bottom + margin,
  };
}
