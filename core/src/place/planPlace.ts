import type { DesignFacts } from '../design/planDesign';
import type { Finding } from '../findings/finding';
import type { Reason } from '../findings/reason';
import { boxOf, heightOf } from '../geometry/box';
import { leanDegOf } from '../geometry/fitLine';
import { ORIGIN, type Point, plus } from '../geometry/point';
import type { PieceOutline } from '../piece/geometry';
import type { PiecePlan } from '../piece/planPiece';
import { type HouseRules, schoolFor } from '../rules/schema';
import type { Phrase } from '../units/phrase';
import { checkPlace } from './checkPlace';
import { footprintOf, nearestThings } from './footprint';
import { axisEnds, type MarkStep, markCautions, markSteps } from './marks';
import { type ChestSchool, landmark, type Placement } from './placement';
import { placementsFor } from './placements';
import type { PlaceInput } from './schema';

/** Where the design lies on the piece: piece frame, mm, clockwise degrees. */
export interface PlacePlan {
  placement: Placement;
  school: ChestSchool;
  /** The rule's own spot, before the maker's offset. */
  ruled: Point;
  centre: Point;
  turnDeg: number;
  footprint: Point[];
  axisEnds: [Point, Point];
  /** Distance of the centre from the used centre line, positive to the viewer's right. */
  acrossMm: number;
  /** Depth of the centre below the high point of shoulder, the collar seam, or height above the hem. */
  depthMm: number;
  depthFrom: Point;
  marks: MarkStep[];
  cautions: Phrase[];
  nearest: { name: string; mm: number } | null;
  findings: Finding[];
  reasons: Reason[];
}

/** The placement asked for, or the kind's usual one when the kind has no such place. */
export function placementOf(input: PlaceInput, piece: PiecePlan): Placement {
  const known = placementsFor(piece.kind.id);
  const found = known.find((p) => p.id === input.placement) ?? known[0];
  if (!found) throw new Error(`assertion failed: no placement for ${piece.kind.id}`);
  return found;
}

function depthOf(
  placement: Placement,
  outline: PieceOutline,
  centre: Point,
): { depthMm: number; depthFrom: Point } {
  if (placement.from === 'shoulderPoint') {
    const point = landmark(outline, centre.x >= 0 ? 'neckPointRight' : 'neckPointLeft');
    return { depthMm: centre.y - point.y, depthFrom: point };
  }
  return { depthMm: Math.abs(centre.y), depthFrom: ORIGIN };
}

/** Works out the spot, its marks and its clearances. Needs a piece that can be drawn and a known design. */
export function planPlace(
  input: PlaceInput,
  piece: PiecePlan & { geometry: PieceOutline },
  facts: DesignFacts,
  rules: HouseRules,
): PlacePlan {
  const placement = placementOf(input, piece);
  const school = input.school ?? schoolFor(rules, 'chest');
  const line = piece.centreLine.used;
  const turnDeg = input.turnDeg + leanDegOf(line);
  const halfHeight = heightOf(boxOf(footprintOf(facts, ORIGIN, turnDeg))) / 2;
  const spot = placement.spotOf({
    kind: piece.kind.id,
    readings: piece.readings,
    outline: piece.geometry,
    halfHeight,
    school,
    rules,
  });
  const lineAt = (y: number) => line.offset + line.slope * y;
  const ruled = { x: lineAt(spot.y) + spot.across, y: spot.y };
  const centre = plus(ruled, input.offset);
  const laid = { facts, outline: piece.geometry, centre, turnDeg, input };
  const footprint = footprintOf(facts, centre, turnDeg);
  const nearest = nearestThings(footprint, piece.geometry)[0];
  const lineX = lineAt(centre.y);
  return {
    placement,
    school,
    ruled,
    centre,
    turnDeg,
    footprint,
    axisEnds: axisEnds({ facts, centre, turnDeg }),
    acrossMm: centre.x - lineX,
    ...depthOf(placement, piece.geometry, centre),
    marks: markSteps(
      { piece, outline: piece.geometry, facts, placement, centre, turnDeg, lineX, units: rules.units },
      input.method,
    ),
    cautions: markCautions(piece, schoolFor(rules, 'prepare')),
    nearest: nearest ? { name: nearest.name, mm: nearest.crossed ? 0 : nearest.clearance.mm } : null,
    findings: checkPlace(laid, piece, rules),
    reasons: [spot.reason],
  };
}
