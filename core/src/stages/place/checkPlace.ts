import { boxOf, widthOf } from '../../base/geometry/box';
import { add, fullTurnDeg, type Point } from '../../base/geometry/point';
import { mm, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { PLACE_NUMBERS } from '../../catalogue/numbers/place';
import type { Finding, Mend } from '../../model/finding';
import type { HouseRules } from '../../model/houseRules';
import type { PlaceInput } from '../../model/ticket/place';
import type { DesignFacts } from '../design/designFacts';
import type { PieceOutline } from '../piece/geometry';
import type { PiecePlan } from '../piece/planPiece';
import { footprintOf, isClear, nearestThings, offPiece } from './footprint';
import type { RuledSpot } from './placement';

interface PlacedDesign {
  facts: DesignFacts;
  outline: PieceOutline;
  centre: Point;
  turnDeg: number;
  /** The turn the rule gives of itself: a design facing out of a corner is not upside down. */
  ruleTurnDeg: number;
  space: RuledSpot['space'];
  aboveWaist: boolean;
  input: PlaceInput;
}

const WAYS = [
  { name: 'up', x: 0, y: -1 },
  { name: 'down', x: 0, y: 1 },
  { name: 'to your left', x: -1, y: 0 },
  { name: 'to your right', x: 1, y: 0 },
] as const;
const MOST_MOVE_MM = 80;

interface Move {
  way: string;
  by: number;
  offset: Point;
}

/** Coarse step of the search, mm; the last step is looked through mm by mm. */
const STRIDE_MM = 4;

/**
 * The shortest straight move, in whole mm, that leaves the least clearance all round; null when none is near.
 * Searched outwards in strides, then refined, so that dragging through trouble stays quick.
 */
function shortestMove(laid: PlacedDesign, leastMm: number): Move | null {
  const offsetBy = (way: (typeof WAYS)[number], by: number) => ({ x: way.x * by, y: way.y * by });
  const clear = (way: (typeof WAYS)[number], by: number) =>
    isClear(
      footprintOf(laid.facts, add(laid.centre, offsetBy(way, by)), laid.turnDeg),
      laid.outline,
      leastMm,
    );
  for (let reach = STRIDE_MM; reach <= MOST_MOVE_MM; reach += STRIDE_MM) {
    const found = WAYS.filter((way) => clear(way, reach)).map((way): Move => {
      let by = reach;
      while (by - 1 > reach - STRIDE_MM && clear(way, by - 1)) by--;
      return { way: way.name, by, offset: add(laid.input.offset, offsetBy(way, by)) };
    });
    const [best] = found.sort((a, b) => a.by - b.by);
    if (best) return best;
  }
  return null;
}

function mendsOf(laid: PlacedDesign, leastMm: number): Mend[] {
  const mends: Mend[] = [];
  const move = shortestMove(laid, leastMm);
  if (move) {
    mends.push({
      label: phrase`Move ${mm(move.by)} ${move.way}`,
      result: phrase`at least ${mm(leastMm)} clear all round`,
      change: { stage: 'place', set: { offset: move.offset } },
    });
  }
  const moved = laid.input.offset.x !== 0 || laid.input.offset.y !== 0;
  if (
    moved &&
    isClear(
      footprintOf(
        laid.facts,
        add(laid.centre, { x: -laid.input.offset.x, y: -laid.input.offset.y }),
        laid.turnDeg,
      ),
      laid.outline,
      leastMm,
    )
  ) {
    mends.push({
      label: phrase`Back to the rule`,
      result: phrase`clear all round`,
      change: { stage: 'place', set: { offset: { x: 0, y: 0 } } },
    });
  }
  return mends;
}

function clearanceFindings(laid: PlacedDesign, leastMm: number): Finding[] {
  const footprint = footprintOf(laid.facts, laid.centre, laid.turnDeg);
  const out = offPiece(footprint, laid.outline);
  if (out) {
    return [
      {
        code: 'place-off-piece',
        stage: 'place',
        severity: 'stop',
        text: laid.outline.within
          ? phrase`The design hangs ${mm(out.mm)} over the ${laid.outline.within.name}.`
          : phrase`The design hangs ${mm(out.mm)} over the edge of the piece.`,
        at: out.at,
        mends: mendsOf(laid, leastMm),
      },
    ];
  }
  return nearestThings(footprint, laid.outline, leastMm)
    .filter((t) => t.crossed || t.clearance.mm < leastMm)
    .slice(0, 2)
    .map((t, i) => ({
      code: t.crossed ? 'place-crosses' : 'place-close',
      stage: 'place',
      severity: t.crossed ? 'stop' : 'warn',
      text: t.crossed
        ? phrase`The design lies over the ${t.name}.`
        : phrase`Only ${mm(t.clearance.mm)} from the ${t.name}; keep ${mm(leastMm)}.`,
      at: t.clearance.at,
      mends: i === 0 ? mendsOf(laid, leastMm) : [],
    }));
}

function upsideDown(laid: PlacedDesign): Finding[] {
  const turn = fullTurnDeg(laid.turnDeg - laid.ruleTurnDeg);
  if (!laid.facts.hasUp || turn <= 90 || turn >= 270) return [];
  return [
    {
      code: 'place-upside-down',
      stage: 'place',
      severity: 'warn',
      text: phrase`The design stands on its head.`,
      at: laid.centre,
      mends: [
        {
          label: phrase`Set it upright`,
          result: phrase`its top towards the top of the piece`,
          change: { stage: 'place', set: { turnDeg: 0 } },
        },
      ],
    },
  ];
}

function belowWaist(laid: PlacedDesign, piece: PiecePlan, rules: HouseRules): Finding[] {
  if (!laid.aboveWaist || piece.readings.length === undefined) return [];
  const waist = (piece.readings.length * numberFor(rules, PLACE_NUMBERS.waistPercent)) / 100;
  const bottom = boxOf(footprintOf(laid.facts, laid.centre, laid.turnDeg)).bottom;
  if (bottom <= waist) return [];
  return [
    {
      code: 'place-below-waist',
      stage: 'place',
      severity: 'warn',
      text: phrase`Its bottom lies ${mm(bottom - waist)} below the waist.`,
      at: { x: laid.centre.x, y: bottom },
      mends: [],
    },
  ];
}

function widerThanSpace({ space, facts, centre, turnDeg }: PlacedDesign): Finding[] {
  if (!space) return [];
  const width = widthOf(boxOf(footprintOf(facts, centre, turnDeg)));
  if (width <= space.widthMm + 1e-6) return [];
  return [
    {
      code: 'place-wider-than-space',
      stage: 'place',
      severity: 'warn',
      text: phrase`${mm(width)} wide: ${mm(width - space.widthMm)} more than the ${space.name}, ${mm(space.widthMm)}.`,
      at: centre,
      mends: [],
    },
  ];
}

/** Everything that is wrong with where the design lies. */
export function checkPlace(laid: PlacedDesign, piece: PiecePlan, rules: HouseRules): Finding[] {
  return [
    ...clearanceFindings(laid, numberFor(rules, PLACE_NUMBERS.leastClearanceMm)),
    ...widerThanSpace(laid),
    ...upsideDown(laid),
    ...belowWaist(laid, piece, rules),
  ];
}
