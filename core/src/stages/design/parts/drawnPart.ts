import { boxAbout, cornersOf } from '../../../base/geometry/box';
import { add, ORIGIN, type Point, rotate } from '../../../base/geometry/point';
import { hullOf, type Polygon } from '../../../base/geometry/polygon';
import { DENSITY_TABLE } from '../../../catalogue/numbers/design';
import type { Applique, AppliqueStep } from '../../../model/ticket/applique';
import type { Artwork, ColourStop } from '../../../model/ticket/artwork';
import { MOST_STITCHES, nameOfFile, PART_SCALE } from '../../../model/ticket/designBounds';
import type { Part } from '../../../model/ticket/part';
import {
  type DrawnShape,
  nameOfStep,
  plainShare,
  shapesOfCloth,
  stepsOf,
  stitchesOfStep,
  withSteps,
} from '../applique/appliqued';
import { arranged, elementsOf } from '../elements';
import { mappedShape } from '../pathData';
import { inDesign, isAsItCame, wayInDesign } from './pose';

export interface PlannedStop {
  hex: string;
  name: string;
  stitches: number;
  /** The step and the cloth of an appliqué that is stitched in it, and how many shapes; null for thread alone. */
  applique: StopOfApplique | null;
}

export interface StopOfApplique {
  step: AppliqueStep;
  of: Applique;
  shapes: number;
}

/** A stop of a part, in the order that the part is stitched in. */
export interface StopOfPart extends PlannedStop {
  /** The colour of the part that it is stitched in. */
  stop: number;
}

/** A part as it lies in its design, mm at 100 % of the design about the design's origin. */
export interface DrawnPart {
  part: Part;
  /** Its own size, before it is turned, and as it came: elements moved or not. */
  widthMm: number;
  heightMm: number;
  stitches: number;
  stops: StopOfPart[];
  hull: Polygon;
  /** Hulls of what stands by itself in it: of letters and plain sizes the whole. */
  elements: Point[][];
  /** Its shapes, once for each stop that they are stitched in; a plain size has its box. */
  paths: DrawnShape[];
}

/** What a part is called: by its letters, its file, or that it is a plain size. */
export function nameOfPart({ letters, artwork }: Pick<Part, 'letters' | 'artwork'>): string {
  if (letters) return letters.text.trim().replace(/\s+/g, ' ').slice(0, 40) || 'letters';
  return artwork ? nameOfFile(artwork.fileName) || 'drawing' : 'off the machine';
}

/** The stitches of its colours together; null where one of them is not known, or there are none. */
const stitchesOfColours = ({ colours }: Part): number | null =>
  colours.every(({ stitches }) => stitches !== null)
    ? colours.reduce((sum, { stitches }) => sum + (stitches ?? 0), 0) || null
    : null;

/** Whether anything tells how many stitches it has: a count, that of every colour, or how dense it is. */
export const tellsStitches = (part: Part): boolean =>
  part.stitches !== null || part.densityClass !== null || stitchesOfColours(part) !== null;

/** The stitch count entered, in all or by colour, or the typical one of the class over the box; null when none is known. */
function stitchesAsItCame(part: Part, areaCm2: number): number | null {
  const { densityClass } = part;
  const counted = part.stitches ?? stitchesOfColours(part);
  if (counted !== null) return counted;
  const row = DENSITY_TABLE.find((r) => r.name === densityClass);
  return row ? Math.round(row.typical * areaCm2) : null;
}

/**
 * What comes from shapes is stitched anew at another size, by its area; what came with its stitches keeps them, as the
 * machine does when it resizes.
 */
const isMadeOfShapes = ({ artwork }: Part): boolean => artwork !== null;

function plannedStops(part: Part, stitches: number): StopOfPart[] {
  const { colours } = part;
  const known = colours.reduce((sum, c) => sum + (c.stitches ?? 0), 0);
  const open = colours.filter((c) => c.stitches === null).length;
  const share = open > 0 ? Math.max(0, stitches - known) / open : 0;
  const fraction = open === 0 && known > 0 ? stitches / known : 1;
  return colours.flatMap(({ hex, name, stitches: own }, stop): StopOfPart[] => {
    const inThread = (own ?? share) * fraction;
    const applique = part.appliques.find((one) => one.stop === stop);
    const plain = applique ? plainShare(part, stop) : 1;
    return [
      ...(plain > 0 ? [{ stop, hex, name, stitches: Math.round(inThread * plain), applique: null }] : []),
      ...(applique && plain < 1
        ? stepsOf(applique).map((step) => ({
            stop,
            hex,
            name: `${name}, ${nameOfStep(step, applique)}`,
            stitches: stitchesOfStep(part, applique, step),
            applique: { step, of: applique, shapes: shapesOfCloth(part, applique) },
          }))
        : []),
    ];
  });
}

/** The shapes as they lie; those of a part that lies as it came are its own. */
function pathsOf(part: Part, artwork: Artwork): Artwork['paths'] {
  if (isAsItCame(part)) return artwork.paths;
  const scale = part.scalePercent / 100;
  return artwork.paths.map((path) => ({
    ...mappedShape(path, (p) => inDesign(part, p)),
    strokeMm: path.strokeMm === null ? null : path.strokeMm * scale,
  }));
}

/** A drawing so many times as large. */
function resizedArtwork(artwork: Artwork, by: number): Artwork {
  const resize = ({ x, y }: Point): Point => ({ x: x * by, y: y * by });
  return {
    ...artwork,
    paths: artwork.paths.map((path) => ({
      ...mappedShape(path, resize),
      strokeMm: path.strokeMm === null ? null : path.strokeMm * by,
    })),
    hull: artwork.hull.map(resize),
    fileCentre: resize(artwork.fileCentre),
    source: artwork.source && { ...artwork.source, asRead: restitched(artwork.source.asRead, by) },
  };
}

/** Stops of a drawing so many times as large, by its area. */
const restitched = (stops: readonly ColourStop[], by: number): ColourStop[] =>
  stops.map((stop) => ({
    ...stop,
    stitches: stop.stitches === null ? null : Math.min(MOST_STITCHES, Math.round(stop.stitches * by * by)),
  }));

/** All stitches that were read; null where none were. */
export const stitchesRead = ({ artwork }: Part): number | null =>
  artwork?.source ? artwork.source.asRead.reduce((sum, { stitches }) => sum + (stitches ?? 0), 0) : null;

const hundredth = (value: number): number => Math.round(value * 100) / 100;

/** Stitches by area; those that were read are still the sum of what was read. */
function stitchesBy(part: Part, artwork: Artwork | null, by: number): number | null {
  if (part.stitches === null) return null;
  const asRead = part.stitches === stitchesRead(part) ? stitchesRead({ ...part, artwork }) : null;
  return Math.min(MOST_STITCHES, Math.max(1, asRead ?? Math.round(part.stitches * by * by)));
}

/**
 * A drawing so large that one of its sides comes to a length, mm: its share of its own size, and beyond what a share may
 * be its own size too. Its stitches follow by area until it is read again.
 */
export function sizedTo(part: Part, side: 'widthMm' | 'heightMm', mm: number): Partial<Part> {
  const own = Math.max(0.01, part[side] ?? 0);
  const scalePercent = hundredth((mm / own) * 100);
  if (scalePercent >= PART_SCALE.least && scalePercent <= PART_SCALE.most) return { scalePercent };
  const by = mm / own;
  const artwork = part.artwork && resizedArtwork(part.artwork, by);
  return {
    widthMm: hundredth((part.widthMm ?? 0) * by),
    heightMm: hundredth((part.heightMm ?? 0) * by),
    stitches: stitchesBy(part, artwork, by),
    colours: restitched(part.colours, by),
    artwork,
    elementMoves: part.elementMoves.map(({ x, y }) => ({ x: x * by, y: y * by })),
    scalePercent: 100,
  };
}

const boxPath = (corners: readonly Point[]): string =>
  `M${corners.map(({ x, y }) => `${x} ${y}`).join('L')}Z`;

interface Outline {
  hull: Point[];
  elements: Point[][];
  paths: DrawnShape[];
}

/** How far the satin round its cloth reaches beyond the shapes of a part, mm. */
const reachOf = ({ appliques }: Part): number =>
  Math.max(
    0,
    ...appliques.map(({ way, edge, edgeMm }) => (edge === 'satin' && way !== 'rawEdge' ? edgeMm / 2 : 0)),
  );

/** So many points stand for a round corner. */
const ROUND = 16;

/** A convex hull grown by so much all round, corners round. */
const hullGrown = (hull: Polygon, byMm: number): Point[] =>
  hullOf(
    hull.flatMap((p) =>
      Array.from({ length: ROUND }, (_, i) =>
        add(p, rotate({ x: byMm / Math.cos(Math.PI / ROUND), y: 0 }, (360 / ROUND) * (i + 0.5))),
      ),
    ),
  );

function outlineOf(part: Part, [width, height]: [number, number]): Outline {
  const place = (polygon: Polygon): Point[] => polygon.map((p) => inDesign(part, p));
  if (!part.artwork) {
    const hull = place(cornersOf(boxAbout(ORIGIN, width, height)));
    const box = { d: boxPath(hull), stop: 0, strokeMm: null, step: null, applique: null };
    return { hull, elements: [hull], paths: [box] };
  }
  const artwork = arranged(part.artwork, part.elementMoves);
  const beyond = reachOf(part);
  const grow = (hull: Point[]): Point[] => (beyond > 0 ? hullGrown(hull, beyond) : hull);
  const hull = grow(place(artwork.hull));
  const own = part.letters ? [] : elementsOf(part.artwork);
  const isMoved = artwork !== part.artwork;
  const elements = own.map((element, i) =>
    grow(place(isMoved ? element.hull.map((p) => add(p, part.elementMoves[i] ?? ORIGIN)) : element.hull)),
  );
  return {
    hull,
    elements: elements.length > 0 ? elements : [hull],
    paths: withSteps(part, pathsOf(part, artwork)),
  };
}

const known = new WeakMap<Part, DrawnPart>();

/**
 * A part as it lies; null while its size or its stitches are not known. Kept for each part, since a hand that drags one
 * leaves the others as they are.
 */
export function drawnPart(part: Part): DrawnPart | null {
  const before = known.get(part);
  if (before) return before;
  const { widthMm, heightMm } = part;
  if (widthMm === null || heightMm === null) return null;
  const scale = part.scalePercent / 100;
  const asItCame = stitchesAsItCame(part, (widthMm * heightMm) / 100);
  if (asItCame === null) return null;
  const stitches = isMadeOfShapes(part) ? Math.round(asItCame * scale * scale) : asItCame;
  const stops = plannedStops(part, stitches);
  const drawn: DrawnPart = {
    part,
    widthMm: widthMm * scale,
    heightMm: heightMm * scale,
    stitches: part.appliques.length > 0 ? stops.reduce((sum, stop) => sum + stop.stitches, 0) : stitches,
    stops,
    ...outlineOf(part, [widthMm, heightMm]),
  };
  known.set(part, drawn);
  return drawn;
}

/** Where a drawing's own file has its centre, in the design's frame. */
export const fileCentreOf = ({ artwork, at, ...pose }: Part): Point =>
  add(wayInDesign({ ...pose, at }, artwork?.fileCentre ?? ORIGIN), at);

/** The hull of parts together. */
export function hullOfParts(parts: readonly DrawnPart[]): Polygon {
  const [only] = parts;
  return only && parts.length === 1 ? only.hull : hullOf(parts.flatMap(({ hull }) => hull));
}
