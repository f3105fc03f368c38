import type { Point } from './point';

export interface Circle {
  centre: Point;
  radius: number;
}

/** A point on the edge within rounding is inside, share of the radius. */
const EDGE = 1e-12;

const holds = ({ centre, radius }: Circle, p: Point): boolean =>
  Math.hypot(p.x - centre.x, p.y - centre.y) <= radius * (1 + EDGE);

function across(a: Point, b: Point): Circle {
  const centre = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
  return {
    centre,
    radius: Math.max(Math.hypot(a.x - centre.x, a.y - centre.y), Math.hypot(b.x - centre.x, b.y - centre.y)),
  };
}

/** The circle through three points; of points on a line the one across the two farthest apart. */
function through(a: Point, b: Point, c: Point): Circle {
  const [bx, by, cx, cy] = [b.x - a.x, b.y - a.y, c.x - a.x, c.y - a.y];
  const d = 2 * (bx * cy - by * cx);
  if (d === 0)
    return [across(a, b), across(a, c), across(b, c)].reduce((most, one) =>
      one.radius > most.radius ? one : most,
    );
  const [bb, cc] = [bx * bx + by * by, cx * cx + cy * cy];
  const centre = { x: a.x + (cy * bb - by * cc) / d, y: a.y + (bx * cc - cx * bb) / d };
  return { centre, radius: Math.max(...[a, b, c].map((p) => Math.hypot(p.x - centre.x, p.y - centre.y))) };
}

/**
 * The smallest circle round some points (Welzl's algorithm in its iterative form, in the points' own order): its centre and
 * radius in their unit. Without points a circle of no radius about the origin.
 */
export function enclosingCircle(points: readonly Point[]): Circle {
  const [first = { x: 0, y: 0 }] = points;
  let circle: Circle = { centre: first, radius: 0 };
  points.forEach((p, i) => {
    if (holds(circle, p)) return;
    circle = { centre: p, radius: 0 };
    points.slice(0, i).forEach((q, j) => {
      if (holds(circle, q)) return;
      circle = across(p, q);
      for (const r of points.slice(0, j)) if (!holds(circle, r)) circle = through(p, q, r);
    });
  });
  return circle;
}
