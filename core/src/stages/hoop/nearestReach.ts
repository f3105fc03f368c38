import { boxOf, clampTo, heightOf, widthOf } from '../../base/geometry/box';
import { add, distance, ORIGIN, type Point, rotate, subtract } from '../../base/geometry/point';
import { numberFor } from '../../catalogue/houseNumber';
import { HOOP_NUMBERS } from '../../catalogue/numbers/hoop';
import type { Hoop } from '../../model/shelf';
import type { QuarterTurn } from '../../model/ticket/hoop';
import { allowedCentres } from './fit';
import { fieldOf, type HoopVerdict } from './judgeHoop';
import { hoopCentre, inHoopFrame, ringLies, ringOnPiece } from './ring';
import type { HoopSetting } from './setting';

const COARSE = 24;
const FINE_MM = 0.5;

/** A place of the hoop in which it reaches a design moved by so much. */
export interface NearestReach {
  /** The design's move on the piece. */
  by: Point;
  turnDeg: QuarterTurn;
  /** The design's centre in the hoop frame, once moved. */
  designAt: Point;
}

/**
 * How far the design must at least be moved on the piece, mm, for this hoop to close with its ring lying clear and
 * the design inside its field; null when the ring lies nowhere on the face. Places of the ring are tried on a grid
 * over the face and finely about the best, so the answer may be a grid step too long and is never too short.
 */
export function nearestReach(verdict: HoopVerdict, setting: HoopSetting): NearestReach | null {
  const found = verdict.turns
    .filter(({ miss, turnDeg }) => miss === null && turnDeg < 180)
    .flatMap(({ turnDeg }) => reachInTurn(verdict.hoop, turnDeg, setting) ?? [])
    .sort((a, b) => distance(a.by, ORIGIN) - distance(b.by, ORIGIN));
  return found[0] ?? null;
}

function reachInTurn(hoop: Hoop, turnDeg: QuarterTurn, setting: HoopSetting): NearestReach | null {
  const clearance = numberFor(setting.rules, HOOP_NUMBERS.ringClearanceMm);
  const face = boxOf(setting.outline.hoopable);
  const onPieceDeg = setting.designTurnDeg + turnDeg;
  const allowed = allowedCentres(setting.facts.hull, fieldOf(hoop), -turnDeg);
  if (!allowed) return null;
  let best = null as NearestReach | null;
  const tryAt = (centre: Point): void => {
    const wanted = inHoopFrame(setting.designCentre, { centre, onPieceDeg });
    const designAt = clampTo(allowed, wanted);
    const by = rotate(subtract(designAt, wanted), onPieceDeg);
    if (best && distance(by, ORIGIN) >= distance(best.by, ORIGIN)) return;
    const ring = ringOnPiece(hoop, { centre, turnDeg: onPieceDeg });
    if (ringLies(ring, setting.outline, clearance, face)) best = { by, turnDeg, designAt };
  };
  const step = { x: widthOf(face) / COARSE, y: heightOf(face) / COARSE };
  for (let i = 0; i <= COARSE; i++)
    for (let j = 0; j <= COARSE; j++) tryAt({ x: face.left + i * step.x, y: face.top + j * step.y });
  if (!best) return null;
  const about = hoopCentre(add(setting.designCentre, best.by), onPieceDeg, best.designAt);
  for (let x = -step.x; x <= step.x; x += FINE_MM)
    for (let y = -step.y; y <= step.y; y += FINE_MM) tryAt(add(about, { x, y }));
  return best;
}
