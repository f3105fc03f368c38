import { add, dot, type Point, rotate, shortTurnDeg, subtract } from '../../base/geometry/point';

/** A mark made on the piece, and where it is found on the hoop's grid. mm. */
export interface MarkReading {
  /** Where it was chalked, piece frame. */
  piece: Point;
  /** Where it is in the hoop: right and towards the operator from the middle of the field. */
  hoop: Point;
}

/** How the piece lies in the hoop: a point p of the piece is found at turn(p, turnDeg) + shift. */
export interface Lie {
  turnDeg: number;
  shift: Point;
}

export interface CrookedPose extends Lie {
  ok: true;
  /** Root mean square of what the readings disagree by, mm. */
  residualMm: number;
  /** How far each mark is from where the lie would have it, in the order given, mm. */
  residualsMm: number[];
  /** Stretch along the piece's level and upright axes, as a share; null where the marks do not spread. */
  stretch: { level: number | null; upright: number | null };
}

export type CrookedFailure = { ok: false; code: 'too-few' | 'coincident' | 'swapped' };

/** Marks nearer together than this give no angle, mm. */
const LEAST_APART_MM = 5;
/** Marks must spread so far along an axis to tell its stretch, mm. */
const LEAST_SPREAD_MM = 20;
/** Readings that fit this many times better as seen in a mirror have left and right swapped. */
const MIRROR_BETTER = 3;
const MIRROR_LEAST_MM = 3;
/** Farther from the planned turn than this, left and right were swapped. */
const TURNED_ABOUT_DEG = 120;

const meanOf = (points: readonly Point[]): Point => ({
  x: points.reduce((sum, p) => sum + p.x, 0) / points.length,
  y: points.reduce((sum, p) => sum + p.y, 0) / points.length,
});

/** The angle from a to b, −180 to 180. */
const angleFrom = (a: number, b: number): number => shortTurnDeg(b - a);

/** Rigid least squares of one set of points onto another: turn and shift (Kabsch 1976, in the plane). */
function rigid(from: readonly Point[], to: readonly Point[]): Lie & { residualsMm: number[] } {
  const [a, b] = [meanOf(from), meanOf(to)];
  let [across, along] = [0, 0];
  from.forEach((p, i) => {
    const [m, h] = [subtract(p, a), subtract(to[i] ?? b, b)];
    across += m.x * h.y - m.y * h.x;
    along += dot(m, h);
  });
  const turnDeg = (Math.atan2(across, along) * 180) / Math.PI;
  const shift = subtract(b, rotate(a, turnDeg));
  const residualsMm = from.map((p, i) => {
    const off = subtract(add(rotate(p, turnDeg), shift), to[i] ?? b);
    return Math.hypot(off.x, off.y);
  });
  return { turnDeg, shift, residualsMm };
}

const rms = (values: readonly number[]): number =>
  Math.sqrt(values.reduce((sum, v) => sum + v * v, 0) / Math.max(1, values.length));

/** Stretch along one axis of the piece, by least squares through the middle; null where marks do not spread on it. */
function stretchAlong(readings: readonly MarkReading[], lie: Lie, axis: 'x' | 'y'): number | null {
  const flat = readings.map(({ hoop }) => rotate(subtract(hoop, lie.shift), -lie.turnDeg));
  const [a, b] = [meanOf(readings.map((r) => r.piece)), meanOf(flat)];
  const spread = readings.map((r) => r.piece[axis] - a[axis]);
  if (Math.max(...spread) - Math.min(...spread) < LEAST_SPREAD_MM) return null;
  const top = spread.reduce((sum, m, i) => sum + m * ((flat[i]?.[axis] ?? 0) - b[axis]), 0);
  return top / spread.reduce((sum, m) => sum + m * m, 0) - 1;
}

/**
 * How a piece really lies in its hoop, from marks found on the hoop's grid. Two marks at least; the more and the
 * farther apart, the surer. `plannedDeg` is the turn it should have. Left and right swapped is recognised: by the
 * mirror image fitting far better, or, for marks along one line, by lying the other way round.
 */
export function solveCrooked(
  readings: readonly MarkReading[],
  plannedDeg: number,
): CrookedPose | CrookedFailure {
  if (readings.length < 2) return { ok: false, code: 'too-few' };
  const [marks, found] = [readings.map((r) => r.piece), readings.map((r) => r.hoop)];
  if (widestApart(marks) < LEAST_APART_MM || widestApart(found) < LEAST_APART_MM)
    return { ok: false, code: 'coincident' };
  const lie = rigid(marks, found);
  const mirrored = rigid(
    marks,
    found.map((p) => ({ x: -p.x, y: p.y })),
  );
  const [residualMm, mirrorMm] = [rms(lie.residualsMm), rms(mirrored.residualsMm)];
  const swapped =
    (residualMm > MIRROR_LEAST_MM && residualMm > MIRROR_BETTER * mirrorMm) ||
    Math.abs(angleFrom(plannedDeg, lie.turnDeg)) > TURNED_ABOUT_DEG;
  if (swapped) return { ok: false, code: 'swapped' };
  return {
    ok: true,
    ...lie,
    residualMm,
    stretch: { level: stretchAlong(readings, lie, 'x'), upright: stretchAlong(readings, lie, 'y') },
  };
}

function widestApart(points: readonly Point[]): number {
  return Math.max(
    0,
    ...points.flatMap((a, i) => points.slice(i + 1).map((b) => Math.hypot(a.x - b.x, a.y - b.y))),
  );
}
