import type { Point } from '../../base/geometry/point';

const PAIR = /(-?[\d.]+(?:e-?\d+)?) (-?[\d.]+(?:e-?\d+)?)/g;

const hundredth = (value: number): number => Math.round(value * 100) / 100 + 0;

/** The corner points of path data made of straight pieces. */
export const pointsOfPath = (d: string): Point[] =>
  [...d.matchAll(PAIR)].map(([, x, y]) => ({ x: Number(x), y: Number(y) }));

/** The rings, or lines, of path data made of straight pieces. */
export const ringsOfPath = (d: string): Point[][] => d.split('M').slice(1).map(pointsOfPath);

/** Path data of straight pieces with every point mapped, kept to a hundredth of a mm. */
export const mappedPath = (d: string, map: (p: Point) => Point): string =>
  d.replace(PAIR, (_, x, y) => {
    const to = map({ x: Number(x), y: Number(y) });
    return `${hundredth(to.x)} ${hundredth(to.y)}`;
  });

/** A shape with every point of it mapped, what of it is hidden too. */
export const mappedShape = <T extends { d: string; whole?: string | undefined }>(
  shape: T,
  map: (p: Point) => Point,
): T => ({
  ...shape,
  d: mappedPath(shape.d, map),
  ...(shape.whole === undefined ? {} : { whole: mappedPath(shape.whole, map) }),
});
