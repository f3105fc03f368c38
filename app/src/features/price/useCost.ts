import { type Cheaper, cheaperSoFar } from '@zt/core/business/cost/cheaper';
import type { CostOf } from '@zt/core/business/cost/costLine';
import { type SpoiltShare, spoiltShare } from '@zt/core/business/cost/spoilt';
import { type TrueCost, trueCost } from '@zt/core/business/cost/trueCost';
import { useEffect, useMemo, useState } from 'react';
import { useIsExample } from '../../example/useExample';
import { useAtRest } from '../../hooks/useAtRest';
import { usePlan, useRules, useShelf, useTicket } from '../../hooks/useTicket';
import { useAdviceQuery } from '../../services/logbookApi';

const NOTHING_SEEN = { pieces: 0, spoilt: 0 };

export interface Costed {
  of: CostOf;
  spoilt: SpoiltShare;
  /** Null while it is not known how it is held or stitched. */
  cost: TrueCost | null;
}

/** What the open ticket costs, with what its own logbook says of spoilt pieces like it. */
export function useCost(): Costed {
  const [ticket, plan, shelf, rules] = [useTicket(), usePlan(), useShelf(), useRules()];
  const asked = useAtRest();
  const isExample = useIsExample();
  const { currentData: advice } = useAdviceQuery(asked, { skip: isExample });
  const seen = advice?.spoilt ?? NOTHING_SEEN;
  return useMemo(() => {
    const of = { ticket, plan, shelf, rules };
    const spoilt = spoiltShare(seen, rules);
    return { of, spoilt, cost: trueCost(of, spoilt) };
  }, [ticket, plan, shelf, rules, seen]);
}

/** What would be cheaper, found one by one between other work; null while it is still looked for. */
export function useCheaper({ of, spoilt }: Costed): { found: Cheaper[]; isDone: boolean } {
  const [state, setState] = useState<{ found: Cheaper[]; isDone: boolean }>({ found: [], isDone: false });
  useEffect(() => {
    const work = cheaperSoFar(of, spoilt);
    let timer: ReturnType<typeof setTimeout>;
    const go = () => {
      const { value, done = false } = work.next();
      setState({ found: value, isDone: done });
      if (!done) timer = setTimeout(go);
    };
    timer = setTimeout(go);
    return () => clearTimeout(timer);
  }, [of, spoilt]);
  return state;
}
