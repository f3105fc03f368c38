import { boxesTouch } from '../../../base/geometry/boxIndex';
import { areaOf, type Clipper, type Region, withoutCrumbs } from '../../../base/geometry/clip';
import type { Painted } from './shapes';

/** A shape of which something is seen: what that is, and which of those seen it lies on. */
export interface Seen extends Painted {
  seen: Region;
  on: number[];
}

/** A crumb of less is no stitch: a thread is 0.4 mm wide, mm². */
const CRUMB_MM2 = 0.02;
/** So many pairs are looked at closely; beyond, shapes whose boxes touch count as lying on each other. */
const MOST_PAIRS = 3000;
/** So many points may be cut out in all: a drawing of more is left with its shapes on each other. */
const MOST_WORK = 6_000_000;

const pointsIn = (region: Region): number => region.reduce((sum, ring) => sum + ring.length, 0);

/**
 * What is seen of each shape once those drawn later lie over it, bottom first: shapes that are wholly hidden are gone.
 * Thread is not seen through, whatever the file says. Null where there are too many on each other to tell.
 */
export function withoutHidden(shapes: readonly Painted[], clip: Clipper): Seen[] | null {
  const sizes = shapes.map(({ region }) => pointsIn(region));
  const overs = shapes.map((shape, i) =>
    shapes.flatMap((other, k) => (k > i && boxesTouch(shape.box, other.box) ? [k] : [])),
  );
  const work = overs.reduce((sum, over) => sum + over.reduce((n, k) => n + (sizes[k] ?? 0), 0), 0);
  if (work > MOST_WORK) return null;
  const seen = shapes.flatMap((shape, i) => {
    const over = (overs[i] ?? []).flatMap((k) => shapes[k]?.region ?? []);
    const left = over.length === 0 ? shape.region : clip.subtract(shape.region, clip.union(over));
    const region = withoutCrumbs(left, CRUMB_MM2);
    if (region.length === 0) return [];
    return [{ ...shape, seen: region }];
  });
  const liesOn = whoLiesOnWhom(seen, clip);
  return seen.map((shape, k): Seen => ({ ...shape, on: liesOn[k] ?? [] }));
}

/** For each shape those before it that it lies on, by what is drawn, hidden or not: the order they keep. */
function whoLiesOnWhom(shapes: readonly Painted[], clip: Clipper): number[][] {
  const touching = shapes.map((shape, i) =>
    shapes.slice(0, i).flatMap((other, k) => (boxesTouch(shape.box, other.box) ? [k] : [])),
  );
  const pairs = touching.reduce((sum, others) => sum + others.length, 0);
  if (pairs > MOST_PAIRS) return touching;
  return touching.map((others, i) =>
    others.filter((k) => {
      const [upper, lower] = [shapes[i]?.region ?? [], shapes[k]?.region ?? []];
      return areaOf(clip.intersect(upper, lower)) > CRUMB_MM2;
    }),
  );
}
