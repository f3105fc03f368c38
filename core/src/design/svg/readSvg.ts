import { ramerDouglasPeucker } from 'clipper2-ts';
import { type INode, parseSync } from 'svgson';
import { nameOfColour } from '../../colour/colour';
import { type Box, boxOf, centreOf, heightOf, widthOf } from '../../geometry/box';
import { minus, type Point } from '../../geometry/point';
import { hullOf } from '../../geometry/polygon';
import type { Artwork, ColourStop } from '../schema';
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

/** The fill and the line of one shape, each as it would be stitched. */
function stitchedParts(shape: DrawnShape, figures: StitchFigures): Stitched[] {
  const lines = flattenPath(shape.d, shape.transforms);
  if (lines === null || lines.length === 0) return [];
  const parts: Stitched[] = [];
  if (shape.style.fill !== null) {
    const filled = lines.map((line) => ({ ...line, closed: true }));
    const estimate = estimateFilled(filled, shape.style.fillRule === 'evenodd', figures);
    if (estimate) parts.push({ lines: filled, hex: shape.style.fill, strokeMm: null, estimate });
  }
  if (shape.style.stroke !== null) {
    const strokeMm = Number.parseFloat(shape.style.strokeWidth) * scaleOf(shape.transforms);
    if (strokeMm > 0) {
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

function pathData(lines: readonly Polyline[], centre: Point): string {
  return lines
    .map((line) => {
      const thinned = ramerDouglasPeucker(
        line.points.map((p) => ({ x: (p.x - centre.x) * 1000, y: (p.y - centre.y) * 1000 })),
        50,
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

function artworkOf(
  parts: readonly Stitched[],
  stopOf: readonly number[],
  frame: { box: Box; width: number; height: number; extent: Point[]; fileName: string; remarks: string[] },
): Artwork {
  const { box } = frame;
  const centre = centreOf(box);
  const satins = parts.flatMap(({ estimate }) => estimate.satinMm ?? []);
  return {
    fileName: frame.fileName,
    paths: parts.map(({ lines, strokeMm }, i) => ({
      d: pathData(lines, centre),
      stop: stopOf[i] ?? 0,
      strokeMm,
    })),
    hull: hullOf(frame.extent).map((p) => ({ x: rounded(p.x - centre.x), y: rounded(p.y - centre.y) })),
    fileCentre: minus({ x: frame.width / 2, y: frame.height / 2 }, centre),
    mostCover: Math.max(0, ...parts.map(({ estimate }) => estimate.cover ?? 0)),
    narrowestSatinMm: satins.length > 0 ? Math.min(...satins) : null,
    remarks: frame.remarks,
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
  const parts = walked.shapes.flatMap((shape) => stitchedParts(shape, figures));
  const extent = extentOf(parts);
  const box = boxOf(extent);
  if (parts.length === 0 || !(widthOf(box) > 0) || !(heightOf(box) > 0)) return REFUSALS.empty;
  const { colours, stopOf } = colourStops(parts);
  return {
    ok: true,
    widthMm: rounded(widthOf(box)),
    heightMm: rounded(heightOf(box)),
    stitches: parts.reduce((sum, { estimate }) => sum + estimate.stitches, 0),
    colours,
    artwork: artworkOf(parts, stopOf, { box, width, height, extent, fileName, remarks: [...walked.remarks] }),
  };
}
