import type { Point } from '../../../base/geometry/point';

/** A plane map as SVG writes it: x' = a x + c y + e, y' = b x + d y + f. */
export type Matrix = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

export const IDENTITY: Matrix = [1, 0, 0, 1, 0, 0];

/** The map that does `inner` first. */
export const after = ([a, b, c, d, e, f]: Matrix, [g, h, i, j, k, l]: Matrix): Matrix => [
  a * g + c * h,
  b * g + d * h,
  a * i + c * j,
  b * i + d * j,
  a * k + c * l + e,
  b * k + d * l + f,
];

export const mapped = ([a, b, c, d, e, f]: Matrix, { x, y }: Point): Point => ({
  x: a * x + c * y + e,
  y: b * x + d * y + f,
});

/** The most that a length grows under the map. */
export const mostScaleOf = ([a, b, c, d]: Matrix): number => {
  const [sum, product] = [a * a + b * b + c * c + d * d, a * d - b * c];
  return Math.sqrt((sum + Math.sqrt(Math.max(0, sum * sum - 4 * product * product))) / 2);
};

/** A `matrix(…)` attribute; the identity where there is none, null for figures that are none. */
export function matrixOf(text: string | undefined): Matrix | null {
  if (text === undefined || text.trim() === '') return IDENTITY;
  const figures =
    /^\s*matrix\(([^)]*)\)\s*$/
      .exec(text)?.[1]
      ?.trim()
      .split(/[\s,]+/)
      .map(Number) ?? [];
  return figures.length === 6 && figures.every(Number.isFinite) ? (figures as unknown as Matrix) : null;
}

const ALIGNED = { Min: 0, Mid: 0.5, Max: 1 } as const;

/** The map of a page's own units onto its width and height, as `viewBox` and `preserveAspectRatio` say. */
export function viewBoxMatrix(
  viewBox: string | undefined,
  aspect: string | undefined,
  { width, height }: { width: number; height: number },
): Matrix {
  const [x = 0, y = 0, w = 0, h = 0] = (viewBox ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  if (!(w > 0 && h > 0)) return IDENTITY;
  const [sx, sy] = [width / w, height / h];
  if (/^\s*none/.test(aspect ?? '')) return [sx, 0, 0, sy, -x * sx, -y * sy];
  const [, alignX = 'Mid', alignY = 'Mid'] = /x(Min|Mid|Max)Y(Min|Mid|Max)/.exec(aspect ?? '') ?? [];
  const s = /slice/.test(aspect ?? '') ? Math.max(sx, sy) : Math.min(sx, sy);
  const [toX, toY] = [ALIGNED[alignX as 'Mid'], ALIGNED[alignY as 'Mid']];
  return [s, 0, 0, s, (width - w * s) * toX - x * s, (height - h * s) * toY - y * s];
}
