import { add, ORIGIN, type Point, rotate, subtract } from '../../base/geometry/point';
import type { DesignFacts } from '../design/designFacts';
import { type Field, type Miss, whyDesignDoesNotFit } from '../hoop/fit';

/** What to key in, relative to "design centred, upright": clockwise degrees, mm right and towards you. */
export interface Keys {
  turnDeg: number;
  mirror: boolean;
  move: Point;
}

/** Whether the keys differ from "centred, upright". */
export const keysNeeded = (keys: Keys): boolean =>
  keys.turnDeg !== 0 || keys.mirror || keys.move.x !== 0 || keys.move.y !== 0;

/** The file's own centre seen from the visible one, as keyed: a machine centres the file and turns about it. */
function fileCentreAs({ fileCentre: { x, y } }: DesignFacts, turnDeg: number, mirror: boolean): Point {
  return rotate({ x: mirror ? -x : x, y }, turnDeg);
}

/** The keys that bring the visible centre to `designAt` in the hoop frame, mm, not rounded. */
export const keysTo = (
  facts: DesignFacts,
  designAt: Point,
  { turnDeg, mirror }: Pick<Keys, 'turnDeg' | 'mirror'>,
): Keys => ({ turnDeg, mirror, move: add(designAt, fileCentreAs(facts, turnDeg, mirror)) });

/** Where the visible centre lies once the keys are pressed, hoop frame, mm: what `keysTo` turns round. */
export const designAtKeys = (facts: DesignFacts, { turnDeg, mirror, move }: Keys): Point =>
  subtract(move, fileCentreAs(facts, turnDeg, mirror));

/** The design's hull in the hoop frame as the keys will have it. */
export function hullAsKeyed(facts: DesignFacts, keys: Keys): Point[] {
  const at = designAtKeys(facts, keys);
  return facts.hull.map((p) => add(rotate(keys.mirror ? { x: -p.x, y: p.y } : p, keys.turnDeg), at));
}

/** Rounding in turning and adding; far below a step of any machine. */
export const HAIR_MM = 1e-6;

/** By how much the design as keyed leaves a field, mm; null where it is inside, a hair forgiven. */
export function missAsKeyed(facts: DesignFacts, keys: Keys, field: Field): Miss | null {
  const miss = whyDesignDoesNotFit(hullAsKeyed(facts, keys), field, { turnDeg: 0, ...ORIGIN });
  return miss && Math.max(miss.widthMm, miss.heightMm) > HAIR_MM ? miss : null;
}

/** A move below this is lost in laying the hoop on its marks, mm. */
const LEAST_MOVE_MM = 0.8;

/** A figure to the machine's tenth: the nearest, and the neighbours on either side. */
const tenths = (v: number): number[] => {
  const at = Math.round(v * 10);
  const other = v * 10 > at ? at + 1 : at - 1;
  return [at, other].map((n) => n / 10 + 0);
};

/** What one figure of a move may be keyed as: nothing where it is lost, then its tenths. */
const optionsFor = (v: number): number[] => (Math.abs(v) < LEAST_MOVE_MM ? [0, ...tenths(v)] : tenths(v));

/**
 * The keys as they are shown, to a tenth of a millimetre, for a design whose visible centre belongs at `designAt`:
 * a move too small to matter is left out, unless the design then leaves the field; rounded so that it stays inside
 * where it can. With by how much it misses the field once they are pressed; null when it is inside.
 */
export function keysShown(
  facts: DesignFacts,
  field: Field,
  designAt: Point,
  { turnDeg, mirror }: Pick<Keys, 'turnDeg' | 'mirror'>,
): { keys: Keys; miss: Miss | null } {
  const { move } = keysTo(facts, designAt, { turnDeg, mirror });
  const candidates = optionsFor(move.x).flatMap((x) =>
    optionsFor(move.y).map((y): Keys => ({ turnDeg, mirror, move: { x, y } })),
  );
  const inside = candidates.find((keys) => missAsKeyed(facts, keys, field) === null);
  if (inside) return { keys: inside, miss: null };
  const keys: Keys = { turnDeg, mirror, move: { x: tenths(move.x)[0] ?? 0, y: tenths(move.y)[0] ?? 0 } };
  return { keys, miss: missAsKeyed(facts, keys, field) };
}

/** One press at the machine: a turn, the mirror, or a move. */
export type KeyStep = 'turn' | 'mirror' | 'move';

const ORDERS: readonly (readonly KeyStep[])[] = [
  ['turn', 'mirror', 'move'],
  ['move', 'turn', 'mirror'],
  ['mirror', 'turn', 'move'],
  ['mirror', 'move', 'turn'],
  ['turn', 'move', 'mirror'],
  ['move', 'mirror', 'turn'],
];

const CENTRED: Keys = { turnDeg: 0, mirror: false, move: ORIGIN };
const pressed = (keys: Keys, step: KeyStep, to: Keys): Keys => ({
  ...keys,
  ...(step === 'turn'
    ? { turnDeg: to.turnDeg }
    : step === 'mirror'
      ? { mirror: to.mirror }
      : { move: to.move }),
});
const isNeeded = (step: KeyStep, keys: Keys): boolean =>
  step === 'turn'
    ? keys.turnDeg !== 0
    : step === 'mirror'
      ? keys.mirror
      : keys.move.x !== 0 || keys.move.y !== 0;

/** The greatest miss met on the way through an order of presses, mm. */
function worstOnTheWay(facts: DesignFacts, to: Keys, field: Field, order: readonly KeyStep[]): number {
  let [keys, worst] = [CENTRED, 0];
  for (const step of order) {
    keys = pressed(keys, step, to);
    const miss = missAsKeyed(facts, keys, field);
    worst = Math.max(worst, miss?.widthMm ?? 0, miss?.heightMm ?? 0);
  }
  return worst;
}

/** The presses that are needed, in the order in which the design leaves the field least on the way. */
export function keyOrder(facts: DesignFacts, keys: Keys, field: Field): KeyStep[] {
  const [best = ORDERS[0] ?? []] = ORDERS.map((order) => ({
    order,
    worst: worstOnTheWay(facts, keys, field, order),
  }))
    .sort((a, b) => a.worst - b.worst)
    .map(({ order }) => order);
  return best.filter((step) => isNeeded(step, keys));
}
