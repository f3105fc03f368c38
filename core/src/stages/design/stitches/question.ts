import { v5 } from 'uuid';
import { type Point, subtract } from '../../../base/geometry/point';
import { numberFor } from '../../../catalogue/houseNumber';
import { DESIGN_NUMBERS as N } from '../../../catalogue/numbers/design';
import type { HouseRules } from '../../../model/houseRules';
import type { Applique, AppliqueStep } from '../../../model/ticket/applique';
import type { Artwork } from '../../../model/ticket/artwork';
import type { Stitching } from '../../../model/ticket/made';
import type { Part, StitchWay } from '../../../model/ticket/part';
import type { Fabric } from '../../../model/ticket/piece';
import type { DrawnPart } from '../parts/drawnPart';
import { type DesignStop, placesOf } from '../parts/stopsOfDesign';
import { mappedPath } from '../pathData';
import { stitchFigures } from '../stitchFigures';
import type { HowToStitch } from './howToStitch';

/** A shape of a design, mm about its visible centre, with the stop it is stitched in. */
export interface StitchShape {
  d: string;
  strokeMm: number | null;
  stop: number;
  part: string;
  /** Which colour of its part it is, and which step of an appliqué. */
  partStop: number;
  step: AppliqueStep | null;
  /** How the cloth is held of which it is; null for thread alone. */
  applique: HeldCloth | null;
  angleDeg: number | null;
  way: StitchWay | null;
}

/** How cloth is stitched down: at which lines, mm. */
export interface HeldCloth extends Pick<Applique, 'edge' | 'edgeMm'> {
  /** So far inside its outline it is tacked down. */
  tackInMm: number;
  blanketPitchMm: number;
}

/** All that the stitches of a design follow from. A later shape of another part lies on an earlier one. */
export interface StitchQuestion {
  /** The same text, the same stitches. */
  key: string;
  shapes: StitchShape[];
  stops: number;
  how: Omit<HowToStitch, 'angleDeg' | 'way'>;
  cutUnder: Stitching['cutUnder'];
}

/** Rows so much wider are tried where thread lies too thick. */
const WIDER = 1.25;
/** Rows as they are set wider, mm. */
export const wider = (rowMm: number): number => Math.round(rowMm * WIDER * 20) / 20;

/** What stitches are asked for. */
export interface StitchesAsked {
  parts: readonly DrawnPart[];
  stops: readonly DesignStop[];
  centre: Point;
  stitching: Stitching;
  fabric: Fabric;
  rules: HouseRules;
}

/** A knit stretches by so much, percent; a pile stands so high, mm. */
const KNIT_PERCENT = 8;
const PILE_MM = 1;

/** How far the thread draws a cloth in on either side, mm. */
export function pullOf({ stretchPercent, pileMm }: Fabric, rules: HouseRules): number {
  if (pileMm >= PILE_MM) return numberFor(rules, N.pullPileMm);
  return numberFor(rules, stretchPercent >= KNIT_PERCENT ? N.pullKnitMm : N.pullMm);
}

function howOf({ stitching, fabric, rules }: StitchesAsked): StitchQuestion['how'] {
  const figures = stitchFigures(rules);
  const fillRowMm = stitching.rowMm ?? figures.fillRowMm;
  return {
    ...figures,
    fillRowMm,
    satinPitchMm: (figures.satinPitchMm * fillRowMm) / figures.fillRowMm,
    underlay: stitching.underlay ? figures.underlay : 0,
    pullMm: pullOf(fabric, rules),
    edgeRuns: true,
  };
}

/** The namespace in which a text has its key: the same text always gets the same. */
const KEYS = '3b1f0a52-6c1d-4f0e-9a57-8b0d5f1e7c44';
const hashOf = (text: string): string => v5(text, KEYS);

const hashes = new WeakMap<Artwork['paths'], string>();
/** One text for the shapes of a part, worked out once for each. */
function pathsHash(paths: Artwork['paths']): string {
  const known = hashes.get(paths);
  if (known !== undefined) return known;
  const hash = hashOf(
    paths.map(({ d, stop, strokeMm, whole }) => `${stop} ${strokeMm ?? ''} ${d} ${whole ?? ''}`).join('\n'),
  );
  hashes.set(paths, hash);
  return hash;
}

const hundredth = (value: number): number => Math.round(value * 100) / 100 + 0;

/** What of a part its stitches follow from. */
function keyOfPart({ part }: DrawnPart, centre: Point): unknown[] {
  const { at, turnDeg, mirrored, scalePercent, elementMoves, ways, artwork, appliques } = part;
  const from = subtract(at, centre);
  return [
    artwork ? pathsHash(artwork.paths) : '',
    [hundredth(from.x), hundredth(from.y), turnDeg, mirrored, scalePercent],
    elementMoves,
    ways,
    appliques.map(({ cloth: _, ...held }) => held),
  ];
}

/** One text for all that the stitches of a design follow from; short, whatever the design. */
export function stitchKey(asked: StitchesAsked): string {
  const parts = asked.parts.map((part) => keyOfPart(part, asked.centre));
  const order = asked.stops.map(({ of }) => of);
  const { rules, stitching } = asked;
  const held = [N.tackInMm, N.rawInMm, N.blanketPitchMm].map((number) => numberFor(rules, number));
  return hashOf(JSON.stringify([parts, order, howOf(asked), stitching.cutUnder, held]));
}

/** How a cloth is held by the shop's figures. */
const heldOf = ({ way, edge, edgeMm }: Applique, rules: HouseRules): HeldCloth => ({
  edge,
  edgeMm,
  tackInMm: numberFor(rules, way === 'rawEdge' ? N.rawInMm : N.tackInMm),
  blanketPitchMm: numberFor(rules, N.blanketPitchMm),
});

/** The angle of rows in the design, of one in a part's own frame. */
const angleIn = ({ mirrored, turnDeg }: Part, angleDeg: number): number =>
  (mirrored ? -angleDeg : angleDeg) + turnDeg;

/** The shapes of a design to be stitched; sizes off a machine have none. */
export function stitchQuestion(asked: StitchesAsked): StitchQuestion {
  const { parts, stops, centre, stitching, rules } = asked;
  const stopOf = placesOf(stops);
  const shapes = parts.flatMap(({ part, paths }): StitchShape[] =>
    !part.artwork
      ? []
      : paths.map(({ d, strokeMm, stop, step, applique }) => {
          const way = part.ways.find((one) => one.stop === stop);
          return {
            d: mappedPath(d, (p) => subtract(p, centre)),
            strokeMm,
            stop: stopOf({ part: part.id, stop, step }) ?? stop,
            part: part.id,
            partStop: stop,
            step,
            applique: applique && heldOf(applique, rules),
            angleDeg: way?.angleDeg == null ? null : angleIn(part, way.angleDeg),
            way: way?.way ?? null,
          };
        }),
  );
  return {
    key: stitchKey(asked),
    shapes,
    stops: stops.length,
    how: howOf(asked),
    cutUnder: stitching.cutUnder,
  };
}
