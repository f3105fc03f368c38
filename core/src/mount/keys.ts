import type { DesignFacts } from '../design/planDesign';
import { minus, type Point, plus, turn } from '../geometry/point';

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
  return turn({ x: mirror ? -x : x, y }, turnDeg);
}

/** The keys that bring the visible centre to `designAt` in the hoop frame, mm, not rounded. */
export const keysTo = (
  facts: DesignFacts,
  designAt: Point,
  { turnDeg, mirror }: Pick<Keys, 'turnDeg' | 'mirror'>,
): Keys => ({ turnDeg, mirror, move: plus(designAt, fileCentreAs(facts, turnDeg, mirror)) });

/** Where the visible centre lies once the keys are pressed, hoop frame, mm: what `keysTo` turns round. */
export const designAtKeys = (facts: DesignFacts, { turnDeg, mirror, move }: Keys): Point =>
  minus(move, fileCentreAs(facts, turnDeg, mirror));
