import { boxOf, heightOf, widthOf } from '../../base/geometry/box';
import { leanDegOf } from '../../base/geometry/fitLine';
import { add, distance, ORIGIN, type Point } from '../../base/geometry/point';
import { mm, type Phrase, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { PLACE_NUMBERS } from '../../catalogue/numbers/place';
import { type Finding, finding } from '../../model/finding';
import { type HouseRules, schoolFor } from '../../model/houseRules';
import type { PieceKindId } from '../../model/pieceKindIds';
import type { Reason } from '../../model/reason';
import type { OwnPlacement } from '../../model/shelf';
import type { MarkMethod, PlaceInput } from '../../model/ticket/place';
import type { DesignFacts } from '../design/designFacts';
import type { PieceKind, PieceOutline, PieceView } from '../piece/geometry';
import { PIECE_KINDS } from '../piece/kinds';
import type { PiecePlan } from '../piece/planPiece';
import type { UsualPlacement } from '../piece/usualPlacement';
import { checkPlace } from './checkPlace';
import { markCautions, prepareFor } from './clothToMark';
import { type Copies, type Copy, copiesFor } from './copies';
import { depthLandmarks } from './depths';
import { footprintOf, nearestThings } from './footprint';
import { markSteps, methodsFor } from './marks';
import { axisEnds } from './marks/axis';
import type { MarkStep } from './marks/markStep';
import { arithmetic, type ChestSchool, type Extents, landmark, type RuledSpot } from './placement';
import { spotFor } from './spotFor';

/** Where the design lies on the piece: piece frame, mm, clockwise degrees. */
export interface PlacePlan {
  placement: UsualPlacement;
  school: ChestSchool;
  /** The rule's own spot, before the maker's offset. */
  ruled: Point;
  centre: Point;
  turnDeg: number;
  footprint: Point[];
  axisEnds: [Point, Point];
  /** Distance of the centre from the used centre line, positive to the viewer's right. */
  acrossMm: number;
  /** Where the tape across starts: the centre line, or an edge. */
  acrossFrom: Point;
  /** Depth of the centre below its landmark, or height above it. */
  depthMm: number;
  depthFrom: Point;
  /** What the depth is read from, in words. */
  depthName: string;
  /** All copies, the first being the design itself; empty when there is one only. */
  copies: Copy[];
  /** Repeats along a hem. */
  run: Copies['run'];
  /** The smallest stabilizer patch that serves one copy, mm. */
  patch: { widthMm: number; heightMm: number };
  /** The ways of finding the spot that serve here, and the one followed. */
  methods: MarkMethod[];
  method: MarkMethod;
  marks: MarkStep[];
  /** What is done to the cloth before it is marked. */
  prepare: Phrase;
  cautions: Phrase[];
  nearest: { name: string; mm: number } | null;
  findings: Finding[];
  reasons: Reason[];
}

/** The placements a kind of piece has, the usual one first, then those the shop made from one of them. */
export function placementsFor(
  kindId: PieceKindId,
  own: readonly OwnPlacement[] = [],
): [UsualPlacement, ...UsualPlacement[]] {
  const [first, ...rest] = PIECE_KINDS[kindId].placements;
  const usual = [first, ...rest];
  const made = own.flatMap(({ id, name, base, offset, turnDeg, atWidthMm, school }) => {
    const from = usual.find((p) => p.id === base);
    return from ? [{ ...from, id, name, moved: { ...offset, turnDeg, atWidthMm, school } }] : [];
  });
  return [first, ...rest, ...made];
}

/** The placement asked for, or the kind's usual one when the kind has no such place. */
export function placementOf(
  input: Pick<PlaceInput, 'placement'>,
  kindId: PieceKindId,
  own: readonly OwnPlacement[] = [],
): UsualPlacement {
  const known = placementsFor(kindId, own);
  return known.find((p) => p.id === input.placement) ?? known[0];
}

/** The width that a placement of the shop's own grows with: the face's, between its halving landmarks. */
export function faceWidthOf(view: PieceView, outline: PieceOutline): number {
  const { left, right } = view.span ?? view.halving;
  return distance(landmark(outline, left), landmark(outline, right));
}

/** The shop's own move at this size: it grows with the width it was made at. */
function ownMove({ moved }: UsualPlacement, width: number): { offset: Point; turnDeg: number } {
  if (!moved) return { offset: ORIGIN, turnDeg: 0 };
  const grow = width / moved.atWidthMm;
  return { offset: { x: moved.x * grow, y: moved.y * grow }, turnDeg: moved.turnDeg };
}

/** How far the design reaches from its centre at a turn. */
function reachOf(facts: DesignFacts, turnDeg: number): Extents {
  const box = boxOf(footprintOf(facts, ORIGIN, turnDeg));
  return { left: -box.left, right: box.right, top: -box.top, bottom: box.bottom };
}

function unknownPlacement(input: PlaceInput, kind: PieceKind, used: UsualPlacement): Finding[] {
  if (used.id === input.placement) return [];
  const text = phrase`${kind.name} has no placement “${input.placement}”; ${used.name} is shown.`;
  return [finding('place', 'place-unknown', 'warn', text, { field: 'placement' })];
}

/** One finding per code: what is wrong with several copies is said once, with the first place it is met. */
function checkAll(
  copies: readonly Copy[],
  check: (centre: Point, turnDeg: number, ruleTurn: number) => Finding[],
): Finding[] {
  const seen = new Map<string, Finding>();
  copies.forEach((copy, i) => {
    for (const found of check(copy.centre, copy.turnDeg, copy.turnDeg)) {
      const text = phrase`No. ${String(i + 1)}: ${found.text}`;
      if (!seen.has(found.code)) seen.set(found.code, { ...found, text, mends: [] });
    }
  });
  return [...seen.values()];
}

interface Laying {
  placement: UsualPlacement;
  input: PlaceInput;
  piece: PiecePlan & { geometry: PieceOutline };
  facts: DesignFacts;
  rules: HouseRules;
}

/** The rule's spot at the depth that the maker asked for from a landmark; a spot along a crease keeps its own. */
function atAskedDepth(
  spot: RuledSpot,
  on: {
    input: PlaceInput;
    piece: PiecePlan;
    outline: PieceOutline;
    reachAt: (turnDeg: number) => Extents;
  },
): RuledSpot {
  const { depth: asked } = on.input;
  const from =
    asked && depthLandmarks(on.piece.kind, on.piece.view, on.outline).find((d) => d.id === asked.from);
  if (!asked || !from || spot.corner) return spot;
  const reach = on.reachAt(spot.turnDeg);
  const toPart = { top: -reach.top, centre: 0, bottom: reach.bottom }[asked.part];
  const y = from.at.y + (from.way === 'down' ? asked.mm : -asked.mm) - toPart;
  const below = from.way === 'down' ? 'below' : 'above';
  return {
    ...spot,
    y,
    depth: from,
    reason: arithmetic(
      'place',
      phrase`Its ${asked.part} ${mm(asked.mm)} ${below} ${from.name}, as you set it.`,
      asked.part === 'centre'
        ? []
        : [
            phrase`half its height ${mm(Math.abs(toPart))}: its centre ${mm(Math.abs(y - from.at.y))} ${below} ${from.name}`,
          ],
    ),
  };
}

/** The school by which a chest is placed: the ticket's, the shop's own place's, the shop's. */
export const chestSchoolOf = (
  { moved }: UsualPlacement,
  { school }: Pick<PlaceInput, 'school'>,
  rules: HouseRules,
): ChestSchool => school ?? moved?.school ?? schoolFor(rules, 'chest');

/** Where rule and maker put it, before anything is said about it. */
function lay({ placement, input, piece, facts, rules }: Laying) {
  const school = chestSchoolOf(placement, input, rules);
  const line = piece.centreLine.used;
  const own = ownMove(placement, faceWidthOf(piece.view, piece.geometry));
  const extra = input.turnDeg + own.turnDeg + leanDegOf(line);
  const reachAt = (ruleTurn: number) => reachOf(facts, ruleTurn + extra);
  const outline = piece.geometry;
  const ruledSpot: RuledSpot = spotFor(
    {
      view: piece.view,
      readings: piece.readings,
      outline,
      reachAt,
      edgeGapMm: input.edgeGapMm,
      school,
      rules,
    },
    placement.rule,
  );
  const spot = atAskedDepth(ruledSpot, { input, piece, outline, reachAt });
  const turnDeg = spot.turnDeg + extra;
  const lineAt = (y: number) => line.offset + line.slope * y;
  const ruled = add({ x: (spot.edge ? 0 : lineAt(spot.y)) + spot.across, y: spot.y }, own.offset);
  const centre = add(ruled, input.offset);
  const { readings } = piece;
  const many = copiesFor({
    placement,
    spot,
    centre,
    turnDeg,
    facts,
    outline,
    readings,
    reachAt,
    input,
    rules,
  });
  const first = many.copies[0];
  return {
    placement,
    school,
    spot,
    ruled,
    centre: first?.centre ?? centre,
    turnDeg: first?.turnDeg ?? turnDeg,
    lineX: lineAt((first?.centre ?? centre).y),
    many,
  };
}

/** Where the design's centre comes to lie on the piece, and nothing else. */
export const centreOn = (laying: Laying): Point => lay(laying).centre;

/** Works out the spot, its marks and its clearances. Needs a piece that can be drawn and a known design. */
export function planPlace(laying: Laying): PlacePlan {
  const { placement, input, piece, facts, rules } = laying;
  const { school, spot, ruled, centre, turnDeg, lineX, many } = lay(laying);
  const outline = piece.geometry;
  const footprint = footprintOf(facts, centre, turnDeg);
  const nearest = nearestThings(footprint, outline, 0)[0];
  const allowance = 2 * numberFor(rules, PLACE_NUMBERS.patchAllowanceMm);
  const box = boxOf(footprint);
  const patch = { widthMm: widthOf(box) + allowance, heightMm: heightOf(box) + allowance };
  const methods = methodsFor(piece, spot);
  const method = methods.includes(input.method) ? input.method : (methods[0] ?? 'tape');
  const { copies, run } = many;
  const check = (at: Point, turned: number, ruleTurnDeg: number) =>
    checkPlace(
      {
        facts,
        outline,
        centre: at,
        turnDeg: turned,
        ruleTurnDeg,
        space: spot.space,
        aboveWaist: spot.aboveWaist,
        input,
      },
      piece,
      rules,
    );
  const findings = copies.length > 0 ? checkAll(copies, check) : check(centre, turnDeg, spot.turnDeg);
  return {
    placement,
    school,
    ruled,
    centre,
    turnDeg,
    footprint,
    axisEnds: axisEnds({ facts, centre, turnDeg }),
    acrossMm: centre.x - lineX,
    acrossFrom: { x: spot.edge?.x ?? lineX, y: centre.y },
    depthMm: Math.abs(centre.y - spot.depth.at.y),
    depthFrom: spot.depth.at,
    depthName: spot.depth.name.replace(/,$/, ''),
    copies,
    run,
    patch,
    methods,
    method,
    marks: markSteps(
      { piece, outline, facts, spot, centre, turnDeg, lineX, copies, patch, units: rules.units },
      method,
    ),
    prepare: prepareFor(piece, schoolFor(rules, 'prepare')),
    cautions: markCautions(piece),
    nearest: nearest ? { name: nearest.name, mm: nearest.crossed ? 0 : nearest.clearance.mm } : null,
    findings: [...unknownPlacement(input, piece.kind, placement), ...many.findings, ...findings],
    reasons: [spot.reason, ...many.reasons],
  };
}
