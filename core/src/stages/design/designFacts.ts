import { boxOf, centreOf, heightOf, widthOf } from '../../base/geometry/box';
import { ORIGIN, type Point, subtract } from '../../base/geometry/point';
import type { Polygon } from '../../base/geometry/polygon';
import { DENSITY_TABLE } from '../../catalogue/numbers/design';
import type { HouseRules } from '../../model/houseRules';
import type { DesignInput, Looks } from '../../model/ticket/design';
import type { Made } from '../../model/ticket/made';
import type { DensityClass } from '../../model/ticket/part';
import type { Fabric } from '../../model/ticket/piece';
import { type ClothShape, clothsOf } from './applique/cloths';
import { type DrawnPart, fileCentreOf, hullOfParts } from './parts/drawnPart';
import { lettersOf } from './parts/lettersOf';
import { type Drawing, mergedDrawing } from './parts/mergedDrawing';
import { isAsItCame } from './parts/pose';
import type { StopOrder } from './parts/stopsOfDesign';
import { type CountedStop, stopsAsMade } from './stitches/asMade';
import { stitchKey } from './stitches/question';

/** The design as it will be stitched, in mm about its visible centre. */
export interface DesignFacts {
  widthMm: number;
  heightMm: number;
  stitches: number;
  /** Stitches per cm² of the box. */
  density: number;
  densityClass: DensityClass;
  stops: CountedStop[];
  /** What its stitches come to, where they were made as it is now. */
  made: Made | null;
  /** Convex hull where the outline is known, else the box. */
  hull: Polygon;
  hullKnown: boolean;
  fileCentre: Point;
  /** The shapes as composed, mm at 100 %; null where only sizes are known. */
  artwork: Drawing | null;
  /** Its shapes that are of cloth, mm at 100 % about its visible centre. */
  cloths: ClothShape[];
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

/** How much the boxes of the parts cover, at the size of the machine. */
export const boxesCm2 = (parts: readonly DrawnPart[], scale: number): number =>
  (parts.reduce((sum, { widthMm, heightMm }) => sum + widthMm * heightMm, 0) * scale * scale) / 100;

/** What the facts of a design follow from beside what was entered of it. */
export interface FactsFrom {
  parts: readonly DrawnPart[];
  order: StopOrder;
  fabric: Fabric;
  rules: HouseRules;
}

/** Where the visible centre of parts lies in the frame they are arranged in. */
export const centreOfParts = (parts: readonly DrawnPart[]): Point => centreOf(boxOf(hullOfParts(parts)));

/** The parts as one design, about their common visible centre. */
export function factsOf(input: DesignInput, { parts, order, fabric, rules }: FactsFrom): DesignFacts {
  const scale = input.scalePercent / 100;
  const whole = hullOfParts(parts);
  const box = boxOf(whole);
  const centre = centreOf(box);
  const scaled = (p: Point): Point => ({ x: (p.x - centre.x) * scale, y: (p.y - centre.y) * scale });
  const key = stitchKey({ parts, stops: order.stops, centre, stitching: input.stitching, fabric, rules });
  const made = input.made?.madeFrom === key ? input.made : null;
  const stops = stopsAsMade(order.stops, { parts, made, rules, scale });
  const stitches = stops.reduce((sum, stop) => sum + stop.stitches, 0);
  const density = stitches / boxesCm2(parts, scale);
  const fileCentre = fileCentreIn(input, centre);
  return {
    widthMm: widthOf(box) * scale,
    heightMm: heightOf(box) * scale,
    stitches,
    density,
    densityClass: densityClassOf(density),
    stops,
    made,
    hull: whole.map(scaled),
    hullKnown: parts.every(({ part }) => part.artwork !== null),
    fileCentre: { x: fileCentre.x * scale, y: fileCentre.y * scale },
    artwork: mergedDrawing(parts, order.stops, centre),
    cloths: clothsOf(parts, centre),
    elements: parts.flatMap(({ elements }) => elements.map((hull) => hull.map(scaled))),
    centre,
    scale,
    hasUp: input.hasUp,
    ...lettersOf(parts, scale),
    looks: input.looks,
  };
}
