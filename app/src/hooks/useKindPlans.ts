import { PIECE_KIND_IDS, type PieceKindId } from '@zt/core/model/pieceKindIds';
import { newTicket } from '@zt/core/planner/newTicket';
import { planTicket } from '@zt/core/planner/plan';
import type { Plan } from '@zt/core/planner/planned';
import { useMemo } from 'react';
import { useShop } from '../shop/useShop';

/** A bare piece of each kind, planned: what its small pictures are drawn from. */
export function useKindPlans(): Readonly<Record<PieceKindId, Plan>> {
  const { shelf, rules } = useShop();
  return useMemo(
    () =>
      Object.fromEntries(
        PIECE_KIND_IDS.map((id) => [id, planTicket(newTicket('picture-of-a-kind', id), shelf, rules)]),
      ) as Record<PieceKindId, Plan>,
    [shelf, rules],
  );
}
