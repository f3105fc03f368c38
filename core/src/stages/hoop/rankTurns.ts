import { boxOf } from '../../base/geometry/box';
import type { Point } from '../../base/geometry/point';
import type { Machine } from '../../model/shelf';
import type { QuarterTurn } from '../../model/ticket/hoop';
import { inHoopFrame } from './ring';

/** How the piece lies about the needle in one turn of the hoop. Extents in mm from the hoop's centre. */
export interface TurnRank {
  turnDeg: QuarterTurn;
  /** Cloth reaching towards the machine's body. */
  inThroatMm: number;
  /** How much of it does not fit between needle and body. */
  overMm: number;
  /** Where the piece's top points, as the operator sees it. */
  topPoints: 'away from you' | 'to the right' | 'towards you' | 'to the left';
}

/** Where the piece's top points when the hoop lies turned so on it. */
export const TOPS: Record<QuarterTurn, TurnRank['topPoints']> = {
  0: 'away from you',
  90: 'to the left',
  180: 'towards you',
  270: 'to the right',
};

/**
 * Ranks the turns in which a hoop works: the least cloth over the throat first, then the least in the
 * throat, then upright. Without a machine the order given is kept.
 */
export function rankTurns(
  turns: readonly QuarterTurn[],
  lie: { outline: readonly Point[]; centre: Point; designTurnDeg: number },
  machine: Machine | null,
): TurnRank[] {
  const ranks = turns.map((turnDeg): TurnRank => {
    const box = boxOf(
      lie.outline.map((p) => inHoopFrame(p, { centre: lie.centre, onPieceDeg: lie.designTurnDeg + turnDeg })),
    );
    const inThroatMm = Math.max(0, machine?.bodySide === 'back' ? -box.top : box.right);
    return {
      turnDeg,
      inThroatMm,
      overMm: Math.max(0, inThroatMm - (machine?.throatMm ?? Infinity)),
      topPoints: TOPS[turnDeg],
    };
  });
  if (!machine) return ranks;
  return ranks.sort((a, b) => a.overMm - b.overMm || a.inThroatMm - b.inThroatMm || a.turnDeg - b.turnDeg);
}
