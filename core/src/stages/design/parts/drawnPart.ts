import { boxAbout, cornersOf } from '../../../base/geometry/box';
import { add, ORIGIN, type Point } from '../../../base/geometry/point';
import { hullOf, type Polygon } from '../../../base/geometry/polygon';
import { DENSITY_TABLE } from '../../../catalogue/numbers/design';
import type { Artwork, ColourStop } from '../../../model/ticket/artwork';
import { MOST_STITCHES, nameOfFile, PART_SCALE } from '../../../model/ticket/designBounds';
import type { Part } from '../../../model/ticket/part';
import { arranged, elementsOf } from '../elements';
import { mappedPath } from '../pathData';
import { inDesign, isAsItCame, wayInDesign } from './pose';

export interface PlannedStop {
  hex: string;
  name: string;
  stitches: number;
}

/** A part as it lies in its design, mm at 100 % of the design about the design's origin. */
export interface DrawnPart {
  part: Part;
  /** Its own size, before it is turned, and as it came: elements moved or not. */
  widthMm: number;
  heightMm: number;
  stitches: number;
  stops: PlannedStop[];
  hull: Polygon;
  /** Hulls of what stands by itself in it: of letters and plain sizes the whole. */
  elements: Point[][];
  /** Its shapes, their stops counted among its own; a plain size has its box. */
  paths: Artwork['paths'];
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

function plannedStops({ colours }: Part, stitches: number): PlannedStop[] {
  const known = colours.reduce((sum, c) => sum + (c.stitches ?? 0), 0);
  const open = colours.filter((c) => c.stitches === null).length;
  const share = open > 0 ? Math.max(0, stitches - known) / open : 0;
  const fraction = open === 0 && known > 0 ? stitches / known : 1;
  return colours.map((c) => ({
    hex: c.hex,
    name: c.name,
    stitches: Math.round((c.stitches ?? share) * fraction),
  }));
}

/** The shapes as they lie; those of a part that lies as it came are its own. */
function pathsOf(part: Part, artwork: Artwork): Artwork['paths'] {
  if (isAsItCame(part)) return artwork.paths;
  const scale = part.scalePercent / 100;
  return artwork.paths.map(({ d, stop, strokeMm }) => ({
    d: mappedPath(d, (p) => inDesign(part, p)),
    stop,
    strokeMm: strokeMm === null ? null : strokeMm * scale,
  }));
}

/** A drawing so many times as large. */
function resizedArtwork(artwork: Artwork, by: number): Artwork {
  const resize = ({ x, y }: Point): Point => ({ x: x * by, y: y * by });
  return {
    ...artwork,
    paths: artwork.paths.map(({ d, stop, strokeMm }) => ({
      d: mappedPath(d, resize),
      stop,
      strokeMm: strokeMm === null ? null : strokeMm * by,
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
  paths: Artwork['paths'];
}

function outlineOf(part: Part, [width, height]: [number, number]): Outline {
  const place = (polygon: Polygon): Point[] => polygon.map((p) => inDesign(part, p));
  if (!part.artwork) {
    const hull = place(cornersOf(boxAbout(ORIGIN, width, height)));
    return { hull, elements: [hull], paths: [{ d: boxPath(hull), stop: 0, strokeMm: null }] };
  }
  const artwork = arranged(part.artwork, part.elementMoves);
  const hull = place(artwork.hull);
  const own = part.letters ? [] : elementsOf(part.artwork);
  const isMoved = artwork !== part.artwork;
  const elements = own.map((element, i) =>
    place(isMoved ? element.hull.map((p) => add(p, part.elementMoves[i] ?? ORIGIN)) : element.hull),
  );
  return { hull, elements: elements.length > 0 ? elements : [hull], paths: pathsOf(part, artwork) };
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
  const drawn: DrawnPart = {
    part,
    widthMm: widthMm * scale,
    heightMm: heightMm * scale,
    stitches,
    stops: plannedStops(part, stitches),
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
