import { type Point, subtract } from '../../../base/geometry/point';
import type { Artwork } from '../../../model/ticket/artwork';
import type { Part } from '../../../model/ticket/part';
import { type DrawnShape, withSteps } from '../applique/appliqued';
import { mappedPath } from '../pathData';
import type { DrawnPart } from './drawnPart';
import { type DesignStop, placesOf } from './stopsOfDesign';

/** A shape as it is seen. */
export interface SeenShape {
  d: string;
  /** The stop from which on it is there. */
  stop: number;
  /** Line width in mm; null for a filled shape. */
  strokeMm: number | null;
  /** The colour of its cloth; null for thread, which has that of its stop. */
  clothHex: string | null;
}

/** The shapes of a design in its own stops, mm about its visible centre. */
export interface Drawing {
  paths: SeenShape[];
}

const AS_GOOD_AS_NONE_MM = 0.005;
/** How wide a line of stitches is drawn, mm. */
const THREAD_MM = 0.4;

/** Whether all that is known is one upright size. */
const isPlain = ([only, ...others]: readonly DrawnPart[]): boolean =>
  others.length === 0 && only?.part.artwork === null && only.part.turnDeg % 180 === 0;

/** A shape as it is seen in its stop: the cloth is laid once its placement line is stitched. */
function seenOf({ d, strokeMm, step, applique }: DrawnShape): Omit<SeenShape, 'stop'> {
  const clothHex = applique?.cloth.hex ?? null;
  if (!step || !applique) return { d, strokeMm, clothHex: null };
  if (step === 'tackDown') return { d, strokeMm, clothHex };
  if (strokeMm !== null) return { d, strokeMm: strokeMm + (step === 'edge' ? applique.edgeMm : 0), clothHex };
  return { d: closedPath(d), strokeMm: step === 'edge' ? applique.edgeMm : THREAD_MM, clothHex: null };
}

/** A line that is drawn round and round ends where it began. */
const closedPath = (d: string): string =>
  d
    .split('M')
    .slice(1)
    .map((line) => `M${line.replace(/\s*Z\s*$/i, '')}Z`)
    .join('');

/** The shapes of one part as they are seen, in its own colours and its own frame. */
export const seenShapes = (part: Pick<Part, 'appliques'>, paths: Artwork['paths']): SeenShape[] =>
  part.appliques.length === 0
    ? paths.map((path) => ({ ...path, clothHex: null }))
    : withSteps(part, paths).map((shape) => ({ ...seenOf(shape), stop: shape.stop }));

const mapped = new WeakMap<DrawnShape, SeenShape>();

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
  const stopOf = placesOf(stops);
  const isCentred = Math.hypot(centre.x, centre.y) < AS_GOOD_AS_NONE_MM;
  const paths = parts.flatMap(({ part, paths: own }) =>
    own.map((shape): SeenShape => {
      const stop = stopOf({ part: part.id, stop: shape.stop, step: shape.step }) ?? shape.stop;
      const kept = mapped.get(shape);
      if (isCentred && kept?.stop === stop) return kept;
      const { d, ...seen } = seenOf(shape);
      const path = { ...seen, stop, d: isCentred ? d : mappedPath(d, (p) => subtract(p, centre)) };
      if (isCentred) mapped.set(shape, path);
      return path;
    }),
  );
  return { paths };
}
