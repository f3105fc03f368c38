import type { BenchCut } from '@zt/core/business/cutPlan/planCutting';
import { useEffect, useState } from 'react';
import { useShop } from '../../shop/useShop';
import { planningCuts } from '../../workers/planningDay';
import type { SharedDay } from '../useDaySheet';

/** How the bench is cut, or how far that has come. */
export type BenchCutting =
  | { state: 'planning'; read: number; of: number; stop: () => void }
  | { state: 'planned'; plan: BenchCut }
  | { state: 'failed'; message: string; again: () => void };

/** Plans the cutting of tickets in a worker, anew when they or the shelf change. */
export function useBenchCut({
  tickets,
  spoilt,
  isHere,
}: Pick<SharedDay, 'tickets' | 'spoilt' | 'isHere'>): BenchCutting {
  const { shelf, rules, ready } = useShop();
  const [cutting, setCutting] = useState<BenchCutting>({
    state: 'planning',
    read: 0,
    of: 0,
    stop: () => undefined,
  });
  const [round, setRound] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: each round plans anew
  useEffect(() => {
    if (!ready || !isHere) return;
    let over = false;
    const again = () => setRound((before) => before + 1);
    const job = planningCuts({ tickets, shelf, rules, seen: spoilt }, (progress) => {
      if (!over) setCutting({ state: 'planning', ...progress, stop: job.stop });
    });
    void job.done.then((worked) => {
      if (over) return;
      over = true;
      if (worked.state === 'done') setCutting({ state: 'planned', plan: worked.value });
      else if (worked.state === 'failed') setCutting({ state: 'failed', message: worked.message, again });
      else setCutting({ state: 'failed', message: 'Stopped.', again });
    });
    return () => {
      over = true;
      job.stop();
    };
  }, [tickets, spoilt, shelf, rules, ready, isHere, round]);
  return cutting;
}
