import { boxOf, centreOf, heightOf, widthOf } from '../../base/geometry/box';
import { ORIGIN, type Point, subtract } from '../../base/geometry/point';
import type { Polygon } from '../../base/geometry/polygon';
import { DENSITY_TABLE } from '../../catalogue/numbers/design';
import type { DesignInput, Looks } from '../../model/ticket/design';
import type { DensityClass } from '../../model/ticket/part';
import { type DrawnPart, fileCentreOf, hullOfParts } from './parts/drawnPart';
import { lettersOf } from './parts/lettersOf';
import { type Drawing, mergedDrawing } from './parts/mergedDrawing';
import { isAsItCame } from './parts/pose';
import type { DesignStop, StopOrder } from './parts/stopsOfDesign';

/** The design as it will be stitched, in mm about its visible centre. */
export interface DesignFacts {
  widthMm: number;
  heightMm: number;
  stitches: number;
  /** Stitches per cm² of the box. */
  density: number;
  densityClass: DensityClass;
  stops: DesignStop[];
  /** Convex hull where the outline is known, else the box. */
  hull: Polygon;
  hullKnown: boolean;
  fileCentre: Point;
  /** The shapes as composed, mm at 100 %; null where only sizes are known. */
  artwork: Drawing | null;
  /** Hulls of what stands by itself, and is not cut or pulled apart: a leaf, a word. */
  elements: Polygon[];
  /** Where the visible centre lies in the frame that its parts are arranged in, mm at 100 %. */
  centre: Point;
  scale: number;
  hasUp: boolean;
  lettering: boolean;
  letterHeightMm: number | null;
  looks: Looks | null;
}

/** The class of a density in stitches per cm² of the box. */
export function densityClassOf(density: number): DensityClass {
  return DENSITY_TABLE.find((row) => density < row.below)?.name ?? 'very heavy';
}

/** How heavy a class is, 0 (open) to 4 (very heavy), for "medium or denser". */
export const densityRank = (name: DensityClass): number =>
  DENSITY_TABLE.findIndex((row) => row.name === name);

/** Where the file of a drawing that is the whole design has its centre; a composed design has its own. */
function fileCentreIn({ parts }: DesignInput, centre: Point): Point {
  const [only] = parts;
  return only && parts.length === 1 && isAsItCame(only) ? subtract(fileCentreOf(only), centre) : ORIGIN;
}

/** What is stitched on how much: stitches on the boxes of the parts, at the size of the machine. */
export function densityOf(parts: readonly DrawnPart[], scale: number): { areaCm2: number; density: number } {
  const areaMm2 = parts.reduce((sum, { widthMm, heightMm }) => sum + widthMm * heightMm, 0);
  const areaCm2 = (areaMm2 * scale * scale) / 100;
  return { areaCm2, density: stitchesOf(parts) / areaCm2 };
}

const stitchesOf = (parts: readonly DrawnPart[]): number =>
  parts.reduce((sum, { stitches }) => sum + stitches, 0);

/** The parts as one design, about their common visible centre. */
export function factsOf(input: DesignInput, parts: readonly DrawnPart[], order: StopOrder): DesignFacts {
  const scale = input.scalePercent / 100;
  const whole = hullOfParts(parts);
  const box = boxOf(whole);
  const centre = centreOf(box);
  const scaled = (p: Point): Point => ({ x: (p.x - centre.x) * scale, y: (p.y - centre.y) * scale });
  const { density } = densityOf(parts, scale);
  const fileCentre = fileCentreIn(input, centre);
  return {
    widthMm: widthOf(box) * scale,
    heightMm: heightOf(box) * scale,
    stitches: stitchesOf(parts),
    density,
    densityClass: densityClassOf(density),
    stops: order.stops,
    hull: whole.map(scaled),
    hullKnown: parts.every(({ part }) => part.artwork !== null),
    fileCentre: { x: fileCentre.x * scale, y: fileCentre.y * scale },
    artwork: mergedDrawing(parts, order.stops, centre),
    elements: parts.flatMap(({ elements }) => elements.map((hull) => hull.map(scaled))),
    centre,
    scale,
    hasUp: input.hasUp,
    ...lettersOf(parts, scale),
    looks: input.looks,
  };
}
