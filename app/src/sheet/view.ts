import { type Box, centreOf, heightOf, widthOf } from '@zt/core/base/geometry/box';
import type { Point } from '@zt/core/base/geometry/point';

/** How the piece frame (mm) is shown on the screen (px): px = (mm − origin) × scale. */
export interface View {
  scale: number;
  origin: Point;
  width: number;
  height: number;
}

/** So low a sheet is a strip: its figures would cover the drawing, and are read below it. */
const STRIP_BELOW_PX = 150;
export const isStrip = ({ height }: View): boolean => height < STRIP_BELOW_PX;

/** What the hand has done to a view: zoom about the middle, and a shift in px. */
export interface Hand {
  zoom: number;
  dx: number;
  dy: number;
}

export const AT_REST: Hand = { zoom: 1, dx: 0, dy: 0 };

/** The view that shows a box with some room round it. A box without size is shown at 1 px to the mm. */
export function fitView(
  box: Box,
  size: { width: number; height: number },
  room: number,
  hand: Hand = AT_REST,
): View {
  const [w, h] = [Math.max(1, widthOf(box)), Math.max(1, heightOf(box))];
  const fit = Math.max(0.02, Math.min((size.width - 2 * room) / w, (size.height - 2 * room) / h));
  const scale = fit * hand.zoom;
  const centre = centreOf(box);
  return {
    scale,
    origin: {
      x: centre.x - (size.width / 2 + hand.dx) / scale,
      y: centre.y - (size.height / 2 + hand.dy) / scale,
    },
    ...size,
  };
}

export const toPx = (view: View, p: Point): Point => ({
  x: (p.x - view.origin.x) * view.scale,
  y: (p.y - view.origin.y) * view.scale,
});
export const toMm = (view: View, p: Point): Point => ({
  x: p.x / view.scale + view.origin.x,
  y: p.y / view.scale + view.origin.y,
});

const round = (v: number) => Math.round(v * 10) / 10;

/** SVG path data of points in mm, in px. */
export function pathPx(view: View, points: readonly Point[], closed: boolean): string {
  const d = points.map((p) => toPx(view, p)).map((p) => `${round(p.x)} ${round(p.y)}`);
  return d.length === 0 ? '' : `M${d.join('L')}${closed ? 'Z' : ''}`;
}

/** The transform that draws mm about a point, turned, in px. */
export function transformAt(view: View, at: Point, turnDeg: number, scale = 1): string {
  const p = toPx(view, at);
  return `translate(${round(p.x)} ${round(p.y)}) rotate(${turnDeg}) scale(${view.scale * scale})`;
}
