import type { DesignFacts } from '../design/planDesign';
import type { Finding, Mend } from '../findings/finding';
import { boxOf } from '../geometry/box';
import { type Point, plus } from '../geometry/point';
import type { PieceOutline } from '../piece/geometry';
import type { PiecePlan } from '../piece/planPiece';
import { numberFor } from '../rules/numbers';
import type { HouseRules } from '../rules/schema';
import { mm, phrase } from '../units/phrase';
import { footprintOf, isClear, nearestThings, offPiece } from './footprint';
import type { PlaceInput } from './schema';

interface Laid {
  facts: DesignFacts;
  outline: PieceOutline;
  centre: Point;
  turnDeg: number;
  input: PlaceInput;
}

const WAYS = [
  { name: 'up', x: 0, y: -1 },
  { name: 'down', x: 0, y: 1 },
  { name: 'to your left', x: -1, y: 0 },
  { name: 'to your right', x: 1, y: 0 },
] as const;
const MOST_MOVE_MM = 80;

/** The shortest straight move, in whole mm, that leaves the least clearance all round; null when none is near. */
function shortestMove(laid: Laid, leastMm: number): { way: string; by: number; offset: Point } | null {
  const nearest = nearestThings(footprintOf(laid.facts, laid.centre, laid.turnDeg), laid.outline)[0];
  const least = nearest && !nearest.crossed ? Math.ceil(leastMm - nearest.clearance.mm) : 1;
  for (let by = Math.max(1, least); by <= MOST_MOVE_MM; by++) {
    for (const way of WAYS) {
      const move = { x: way.x * by, y: way.y * by };
      if (!isClear(footprintOf(laid.facts, plus(laid.centre, move), laid.turnDeg), laid.outline, leastMm))
        continue;
      return { way: way.name, by, offset: plus(laid.input.offset, move) };
    }
  }
  return null;
}

function mendsOf(laid: Laid, leastMm: number): Mend[] {
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
        plus(laid.centre, { x: -laid.input.offset.x, y: -laid.input.offset.y }),
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

function clearanceFindings(laid: Laid, leastMm: number): Finding[] {
  const footprint = footprintOf(laid.facts, laid.centre, laid.turnDeg);
  const out = offPiece(footprint, laid.outline);
  if (out) {
    return [
      {
        code: 'place-off-piece',
        stage: 'place',
        severity: 'stop',
        text: phrase`The design hangs ${mm(out.mm)} over the edge of the piece.`,
        at: out.at,
        mends: mendsOf(laid, leastMm),
      },
    ];
  }
  return nearestThings(footprint, laid.outline)
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

function upsideDown(laid: Laid): Finding[] {
  const turn = ((laid.turnDeg % 360) + 360) % 360;
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

function belowWaist(laid: Laid, piece: PiecePlan, rules: HouseRules): Finding[] {
  if (!piece.kind.worn) return [];
  const waist = ((piece.readings.length ?? 0) * numberFor(rules, 'waistPercent')) / 100;
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

/** Everything that is wrong with where the design lies. */
export function checkPlace(laid: Laid, piece: PiecePlan, rules: HouseRules): Finding[] {
  return [
    ...clearanceFindings(laid, numberFor(rules, 'leastClearanceMm')),
    ...upsideDown(laid),
    ...belowWaist(laid, piece, rules),
  ];
}
