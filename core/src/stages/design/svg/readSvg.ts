import { ramerDouglasPeucker } from 'clipper2-ts';
import { type INode, parseSync } from 'svgson';
import { nameOfColour } from '../../../base/colour/colour';
import { type Box, boxOf, centreOf, heightOf, widthOf } from '../../../base/geometry/box';
import { type Point, subtract } from '../../../base/geometry/point';
import { hullOf } from '../../../base/geometry/polygon';
import type { Artwork, ColourStop } from '../../../model/ticket/design';
import {
  ARTWORK_BOUNDS,
  LEAST_STROKE_MM,
  MOST_DESIGN_MM,
  MOST_STITCHES,
} from '../../../model/ticket/designBounds';
import { type Estimate, estimateFilled, estimateLine, type StitchFigures } from './estimate';
import { flattenPath, type Polyline, scaleOf } from './flatten';
import { REFUSALS, type SvgRefusal, whySvgTextIsRefused } from './refuse';
import { svgLengthMm } from './svgLength';
import { type DrawnShape, viewBoxTransform, walkDrawing } from './walk';

/** A drawing read at its true size, ready to go onto a ticket. */
export interface ReadSvg {
  ok: true;
  widthMm: number;
  heightMm: number;
  stitches: number;
  colours: ColourStop[];
  artwork: Artwork;
}

interface Stitched {
  lines: Polyline[];
  hex: string;
  strokeMm: number | null;
  estimate: Estimate;
}

function parseTree(text: string): INode | null {
  try {
    const root = parseSync(text.replace(/<\?[\s\S]*?\?>/g, '').replace(/<!--[\s\S]*?-->/g, ''));
    return root.name === 'svg' ? root : null;
  } catch {
    return null;
  }
}

/** No point of a design that a hoop takes lies farther from its page's corner, mm. */
const FARTHEST_POINT_MM = 3 * MOST_DESIGN_MM;
const isNear = ({ x, y }: Point): boolean =>
  Math.abs(x) <= FARTHEST_POINT_MM && Math.abs(y) <= FARTHEST_POINT_MM;

interface FlatShape extends DrawnShape {
  lines: Polyline[];
}

const flatShape = (shape: DrawnShape): FlatShape => ({
  ...shape,
  lines: flattenPath(shape.d, shape.transforms) ?? [],
});

/** The fill and the line of one shape, each as it would be stitched. */
function stitchedParts({ lines, ...shape }: FlatShape, figures: StitchFigures): Stitched[] {
  if (lines.length === 0) return [];
  const parts: Stitched[] = [];
  if (shape.style.fill !== null) {
    const filled = lines.map((line) => ({ ...line, closed: true }));
    const estimate = estimateFilled(filled, shape.style.fillRule === 'evenodd', figures);
    if (estimate) parts.push({ lines: filled, hex: shape.style.fill, strokeMm: null, estimate });
  }
  if (shape.style.stroke !== null) {
    const strokeMm = Number.parseFloat(shape.style.strokeWidth) * scaleOf(shape.transforms);
    if (strokeMm >= LEAST_STROKE_MM) {
      parts.push({
        lines,
        hex: shape.style.stroke,
        strokeMm,
        estimate: estimateLine(lines, strokeMm, figures),
      });
    }
  }
  return parts;
}

function extentOf(parts: readonly Stitched[]): Point[] {
  return parts.flatMap(({ lines, strokeMm }) => {
    const half = (strokeMm ?? 0) / 2;
    const points = lines.flatMap((line) => line.points);
    if (half === 0) return points;
    return points.flatMap((p) =>
      [-half, half].flatMap((dx) => [-half, half].map((dy) => ({ x: p.x + dx, y: p.y + dy }))),
    );
  });
}

const rounded = (value: number) => Math.round(value * 100) / 100;

const samePoint = (a: Point | undefined, b: Point | undefined): boolean =>
  a !== undefined && b !== undefined && Math.hypot(a.x - b.x, a.y - b.y) < 1e-6;

/** The corners of a line, a ring's first not again at its end: thinned between two equal points it would lose one. */
const cornersOf = ({ points, closed }: Polyline): Point[] =>
  closed && points.length > 2 && samePoint(points[0], points.at(-1)) ? points.slice(0, -1) : points;

/** The finest thinning of a line, µm: below a thread's width. */
const FINE_UM = 50;

function pathData(lines: readonly Polyline[], centre: Point, thinUm: number): string {
  return lines
    .map((line) => {
      const thinned = ramerDouglasPeucker(
        cornersOf(line).map((p) => ({ x: (p.x - centre.x) * 1000, y: (p.y - centre.y) * 1000 })),
        thinUm,
      );
      return `M${thinned.map((p) => `${rounded(p.x / 1000)} ${rounded(p.y / 1000)}`).join('L')}${line.closed ? 'Z' : ''}`;
    })
    .join('');
}

/** Runs of one colour in drawing order are the colour stops; returns each part's stop too. */
function colourStops(parts: readonly Stitched[]): { colours: ColourStop[]; stopOf: number[] } {
  const colours: ColourStop[] = [];
  const stopOf = parts.map(({ hex, estimate }) => {
    const last = colours[colours.length - 1];
    if (last?.hex === hex) last.stitches = (last.stitches ?? 0) + estimate.stitches;
    else colours.push({ hex, name: nameOfColour(hex), stitches: estimate.stitches });
    return colours.length - 1;
  });
  return { colours, stopOf };
}

/** Shapes of one stop and one line width as one shape: of one colour, their order shows nothing. */
function joinedPaths(paths: Artwork['paths']): Artwork['paths'] {
  const joined = new Map<string, Artwork['paths'][number]>();
  for (const path of paths) {
    const kind = `${path.stop} ${path.strokeMm}`;
    const before = joined.get(kind);
    joined.set(kind, before ? { ...before, d: before.d + path.d } : path);
  }
  return [...joined.values()];
}

const letters = (paths: Artwork['paths']): number => paths.reduce((sum, { d }) => sum + d.length, 0);
/** Coarser and coarser: a drawing of very many points is thinned until a ticket holds it. */
const THINNINGS_UM = [FINE_UM, 150, 400];

/** The shapes of a drawing as a ticket holds them, thinned and joined as far as that asks; null beyond. */
function pathsOf(
  parts: readonly Stitched[],
  stopOf: readonly number[],
  centre: Point,
): Artwork['paths'] | null {
  for (const thinUm of THINNINGS_UM) {
    const paths = parts.map(({ lines, strokeMm }, i) => ({
      d: pathData(lines, centre, thinUm),
      stop: stopOf[i] ?? 0,
      strokeMm,
    }));
    if (letters(paths) > ARTWORK_BOUNDS.letters) continue;
    const held = paths.length > ARTWORK_BOUNDS.paths ? joinedPaths(paths) : paths;
    return held.length > ARTWORK_BOUNDS.paths ? null : held;
  }
  return null;
}

function artworkOf(
  parts: readonly Stitched[],
  stopOf: readonly number[],
  frame: { box: Box; width: number; height: number; extent: Point[]; fileName: string; remarks: string[] },
): Artwork | null {
  const { box } = frame;
  const centre = centreOf(box);
  const paths = pathsOf(parts, stopOf, centre);
  const hull = hullOf(frame.extent);
  if (!paths || hull.length > ARTWORK_BOUNDS.hull) return null;
  const satins = parts.flatMap(({ estimate }) => estimate.satinMm ?? []);
  return {
    fileName: frame.fileName.slice(0, ARTWORK_BOUNDS.fileName),
    paths,
    hull: hull.map((p) => ({ x: rounded(p.x - centre.x), y: rounded(p.y - centre.y) })),
    fileCentre: subtract({ x: frame.width / 2, y: frame.height / 2 }, centre),
    mostCover: parts.reduce(
      (most, { estimate }) => Math.min(ARTWORK_BOUNDS.cover, Math.max(most, estimate.cover ?? 0)),
      0,
    ),
    narrowestSatinMm: satins.length > 0 ? satins.reduce((least, mm) => Math.min(least, mm)) : null,
    remarks: frame.remarks.slice(0, ARTWORK_BOUNDS.remarks),
  };
}

/**
 * Reads an SVG file at its true size: outline, colour stops in drawing order, visible centre against the
 * file's centre, and the stitches it would take. Lengths in mm, 96 px to the inch. Nothing in the file is
 * run or fetched; a file that cannot be used comes back as a coded refusal. Never throws on any text.
 */
export function readSvg(text: string, fileName: string, figures: StitchFigures): ReadSvg | SvgRefusal {
  const refused = whySvgTextIsRefused(text);
  if (refused) return refused;
  const root = parseTree(text);
  if (root === null) return REFUSALS.notSvg;
  const [width, height] = [svgLengthMm(root.attributes.width), svgLengthMm(root.attributes.height)];
  if (!width || !height || width <= 0 || height <= 0) return REFUSALS.noSize;
  const perPx = root.attributes.viewBox ? viewBoxTransform(root, width, height) : `scale(${25.4 / 96})`;
  const walked = walkDrawing(root, perPx);
  if (walked.tooMany) return REFUSALS.tooComplex;
  const shapes = walked.shapes.map(flatShape);
  // Far points are refused before anything is reckoned with them: the clipping of such shapes takes no end.
  if (!shapes.every(({ lines }) => lines.every(({ points }) => points.every(isNear)))) return REFUSALS.tooBig;
  const parts = shapes.flatMap((shape) => stitchedParts(shape, figures));
  const extent = extentOf(parts);
  const box = boxOf(extent);
  if (parts.length === 0 || !(widthOf(box) > 0) || !(heightOf(box) > 0)) return REFUSALS.empty;
  const off = subtract({ x: width / 2, y: height / 2 }, centreOf(box));
  const sides = [widthOf(box), heightOf(box), width, height, Math.abs(off.x), Math.abs(off.y)];
  if (!sides.every((side) => side <= MOST_DESIGN_MM)) return REFUSALS.tooBig;
  const stitches = parts.reduce((sum, { estimate }) => sum + estimate.stitches, 0);
  if (stitches > MOST_STITCHES) return REFUSALS.tooManyStitches;
  const { colours, stopOf } = colourStops(parts);
  if (colours.length > ARTWORK_BOUNDS.stops) return REFUSALS.tooManyStops;
  const frame = { box, width, height, extent, fileName, remarks: [...walked.remarks] };
  const artwork = artworkOf(parts, stopOf, frame);
  if (!artwork) return REFUSALS.tooComplex;
  return {
    ok: true,
    widthMm: rounded(widthOf(box)),
    heightMm: rounded(heightOf(box)),
    stitches,
    colours,
    artwork,
  };
}
