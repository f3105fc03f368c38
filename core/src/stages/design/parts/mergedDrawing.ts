import { type Point, subtract } from '../../../base/geometry/point';
import type { Artwork } from '../../../model/ticket/artwork';
import { mappedPath } from '../pathData';
import type { DrawnPart } from './drawnPart';
import type { DesignStop } from './stopsOfDesign';

/** The shapes of a design in its own stops, mm about its visible centre. */
export type Drawing = Pick<Artwork, 'paths'>;

const AS_GOOD_AS_NONE_MM = 0.005;

/** Whether all that is known is one upright size. */
const isPlain = ([only, ...others]: readonly DrawnPart[]): boolean =>
  others.length === 0 && only?.part.artwork === null && only.part.turnDeg % 180 === 0;

/**
 * The shapes of all parts about the design's visible centre, mm at 100 %, later parts above, sizes off a machine as boxes;
 * null for one upright size alone. Those of one part that lies about that centre already are its own.
 */
export function mergedDrawing(
  parts: readonly DrawnPart[],
  stops: readonly DesignStop[],
  centre: Point,
): Drawing | null {
  if (isPlain(parts)) return null;
  const stopOf = new Map(stops.flatMap(({ of }, i) => of.map(({ part, stop }) => [`${part} ${stop}`, i])));
  const isCentred = Math.hypot(centre.x, centre.y) < AS_GOOD_AS_NONE_MM;
  const paths = parts.flatMap(({ part, paths: own }) =>
    own.map((path) => {
      const stop = stopOf.get(`${part.id} ${path.stop}`) ?? path.stop;
      if (isCentred && stop === path.stop) return path;
      return { ...path, stop, d: isCentred ? path.d : mappedPath(path.d, (p) => subtract(p, centre)) };
    }),
  );
  return { paths };
}
