import { type Box, boxOf, cornersOf, heightOf, widthOf } from '../../base/geometry/box';
import { enclosingCircle } from '../../base/geometry/enclosingCircle';
import { add, dot, negate, ORIGIN, type Point, rotate } from '../../base/geometry/point';
import type { Polygon } from '../../base/geometry/polygon';

/** A stitch field, mm. A round one is as wide as high. */
export interface Field {
  widthMm: number;
  heightMm: number;
  round: boolean;
}

/** How a design lies in a hoop: turned clockwise, its centre moved from the field's, mm in the hoop frame. */
export interface Pose {
  turnDeg: number;
  x: number;
  y: number;
}

/** By how much a design reaches past a field's edge on its worst side, mm, each zero where it does not; round: outwards. */
export interface Miss {
  widthMm: number;
  heightMm: number;
}

/** The design's outline in the hoop frame, about its own centre. */
export const turnedHull = (hull: Polygon, turnDeg: number): Point[] => hull.map((p) => rotate(p, turnDeg));

/**
 * Why a design does not lie inside a stitch field, or null when every point does; the edge counts as inside.
 * `hull` is the convex hull about the design's centre, mm. A design without points fits.
 */
export function whyDesignDoesNotFit(hull: Polygon, field: Field, pose: Pose): Miss | null {
  const points = turnedHull(hull, pose.turnDeg);
  if (field.round) {
    const reach = points.reduce((most, p) => Math.max(most, Math.hypot(p.x + pose.x, p.y + pose.y)), 0);
    const miss = reach - field.widthMm / 2;
    return miss > 0 ? { widthMm: miss, heightMm: miss } : null;
  }
  let [across, along] = [0, 0];
  for (const p of points) {
    across = Math.max(across, Math.abs(p.x + pose.x) - field.widthMm / 2);
    along = Math.max(along, Math.abs(p.y + pose.y) - field.heightMm / 2);
  }
  return across > 0 || along > 0 ? { widthMm: across, heightMm: along } : null;
}

const onlyAt = ({ x, y }: Point): Box => ({ left: x, right: x, top: y, bottom: y });

/** Where a design lies best in a round field: in its middle where it fits so, else with the circle about its outline there. */
function centreInRound(hull: Polygon, field: Field, turnDeg: number): Point {
  const { centre } = enclosingCircle(turnedHull(hull, turnDeg));
  return whyDesignDoesNotFit(hull, field, { turnDeg, ...ORIGIN }) === null ? ORIGIN : negate(centre);
}

/**
 * Where the design's centre may lie in a rectangular field, or null when it fits nowhere. In a round one it is one place:
 * the middle, or beside it for an outline that fits only so.
 */
export function allowedCentres(hull: Polygon, field: Field, turnDeg: number): Box | null {
  if (field.round) {
    const at = centreInRound(hull, field, turnDeg);
    return whyDesignDoesNotFit(hull, field, { turnDeg, ...at }) === null ? onlyAt(at) : null;
  }
  const box = boxOf(turnedHull(hull, turnDeg));
  const allowed = {
    left: -field.widthMm / 2 - box.left,
    right: field.widthMm / 2 - box.right,
    top: -field.heightMm / 2 - box.top,
    bottom: field.heightMm / 2 - box.bottom,
  };
  return allowed.left <= allowed.right && allowed.top <= allowed.bottom ? allowed : null;
}

/** By how much a design that fits nowhere reaches past the field where it lies best. */
export const leastMiss = (hull: Polygon, field: Field, turnDeg: number): Miss | null =>
  whyDesignDoesNotFit(hull, field, {
    turnDeg,
    ...(field.round ? centreInRound(hull, field, turnDeg) : ORIGIN),
  });

/** Room left on the tighter axis, mm to each side when centred; negative when it does not fit. */
export function spareMm(hull: Polygon, field: Field, turnDeg: number): number {
  const points = turnedHull(hull, turnDeg);
  if (field.round) return field.widthMm / 2 - enclosingCircle(points).radius;
  const box = boxOf(points);
  return Math.min(field.widthMm - widthOf(box), field.heightMm - heightOf(box)) / 2;
}

/** The largest scale at which the design fits this field, centred; 1 or more when it fits already. */
export function largestScale(hull: Polygon, field: Field, turnDeg: number): number {
  const points = turnedHull(hull, turnDeg);
  if (field.round) return field.widthMm / 2 / Math.max(1e-9, enclosingCircle(points).radius);
  const box = boxOf(points);
  return Math.min(field.widthMm / widthOf(box), field.heightMm / heightOf(box));
}

/** How far one point of the field may go along a way before it leaves it. */
function roomOfPoint(p: Point, way: Point, field: Field): number {
  if (field.round) {
    const [along, radius] = [dot(p, way), field.widthMm / 2];
    const root = along * along - dot(p, p) + radius * radius;
    return Math.sqrt(Math.max(0, root)) - along;
  }
  const axis = (at: number, by: number, half: number): number =>
    by === 0 ? Infinity : ((by > 0 ? half : -half) - at) / by;
  return Math.min(axis(p.x, way.x, field.widthMm / 2), axis(p.y, way.y, field.heightMm / 2));
}

/**
 * How far a design may still be moved along a way, a unit vector in the hoop frame, before a point of it leaves the
 * field, mm; 0 where it does not fit as it lies. A design without points may go as far as it likes.
 */
export function roomTowards(hull: Polygon, field: Field, pose: Pose, way: Point): number {
  if (whyDesignDoesNotFit(hull, field, pose)) return 0;
  const points = turnedHull(hull, pose.turnDeg).map((p) => add(p, pose));
  return Math.max(0, Math.min(Infinity, ...points.map((p) => roomOfPoint(p, way, field))));
}

const WAYS = 72;

/**
 * The region in which the design's centre may lie in the field, hoop frame, mm: a box for a rectangular field, for a
 * round one the points on its edge every 5°. Empty where the design fits nowhere.
 */
export function allowedRegion(hull: Polygon, field: Field, turnDeg: number): Point[] {
  const box = allowedCentres(hull, field, turnDeg);
  if (!box) return [];
  if (!field.round) return cornersOf(box);
  const from = { x: box.left, y: box.top };
  return Array.from({ length: WAYS }, (_, i) => {
    const t = (2 * Math.PI * i) / WAYS;
    const way = { x: Math.cos(t), y: Math.sin(t) };
    const room = roomTowards(hull, field, { turnDeg, ...from }, way);
    return { x: from.x + room * way.x, y: from.y + room * way.y };
  });
}

const FULL_TURN = 360;
const toDeg = (radians: number): number => (radians * 180) / Math.PI;

/** Turns of one point about a centre at which it comes to lie on a straight edge x = `edge`, degrees, 0 to 360. */
function turnsToEdge(p: Point, centre: number, edge: number): number[] {
  const reach = Math.hypot(p.x, p.y);
  const cos = (edge - centre) / reach;
  if (reach === 0 || Math.abs(cos) > 1) return [];
  const [at, half] = [toDeg(Math.atan2(p.y, p.x)), toDeg(Math.acos(cos))];
  return [half - at, -half - at].map((t) => ((t % FULL_TURN) + FULL_TURN) % FULL_TURN);
}

/** Turns of one point about a centre at which it comes to lie on the edge of a round field. */
function turnsToCircle(p: Point, centre: Point, radius: number): number[] {
  const [reach, off] = [Math.hypot(p.x, p.y), Math.hypot(centre.x, centre.y)];
  const cos = (radius * radius - reach * reach - off * off) / (2 * reach * off);
  if (reach === 0 || off === 0 || Math.abs(cos) > 1) return [];
  const between = toDeg(Math.atan2(centre.y, centre.x)) - toDeg(Math.atan2(p.y, p.x));
  const half = toDeg(Math.acos(cos));
  return [between + half, between - half].map((t) => ((t % FULL_TURN) + FULL_TURN) % FULL_TURN);
}

/**
 * How far a design that fits may still turn about its centre in either direction before a point of it leaves the
 * field, degrees; 360 where it may turn freely. Exact: each point meets each edge at angles known in closed form.
 */
export function crookedRoom(
  hull: Polygon,
  field: Field,
  pose: Pose,
): { clockwiseDeg: number; counterDeg: number } {
  const quarter = (p: Point): Point => ({ x: p.y, y: -p.x });
  const turns = turnedHull(hull, pose.turnDeg).flatMap((p) =>
    field.round
      ? turnsToCircle(p, pose, field.widthMm / 2)
      : [
          ...[-1, 1].flatMap((side) => turnsToEdge(p, pose.x, (side * field.widthMm) / 2)),
          ...[-1, 1].flatMap((side) => turnsToEdge(quarter(p), pose.y, (side * field.heightMm) / 2)),
        ],
  );
  return {
    clockwiseDeg: Math.min(FULL_TURN, ...turns),
    counterDeg: Math.min(FULL_TURN, ...turns.map((t) => (FULL_TURN - t) % FULL_TURN)),
  };
}
