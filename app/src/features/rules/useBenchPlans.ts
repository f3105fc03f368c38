import type { HouseRules } from '@zt/core/model/houseRules';
import { whatDecides } from '@zt/core/table/houseRules/decides';
import { whatChanges } from '@zt/core/table/houseRules/whatChanges';
import { useCallback, useMemo, useState } from 'react';
import { useBenchTickets } from '../../hooks/useBenchTickets';
import { useInSlices } from '../../hooks/useInSlices';
import { useShop } from '../../shop/useShop';

const NOTHING: ReadonlyMap<string, readonly string[]> = new Map();

interface Switched {
  question: string;
  before: HouseRules;
  after: HouseRules;
}

/** What the tickets on the bench say of the rules: which rule decides which, and what a change of school changed. */
export function useBenchPlans() {
  const { shelf, rules, setRules } = useShop();
  const tickets = useBenchTickets();
  const [switched, setSwitched] = useState<Switched | null>(null);
  const deciding = useCallback(() => whatDecides(tickets ?? [], shelf, rules), [tickets, shelf, rules]);
  const decided = useInSlices(tickets && deciding);
  const changing = useMemo(
    () =>
      switched && tickets
        ? function* () {
            const changed = yield* whatChanges(tickets, shelf, switched);
            return { of: switched, tickets: changed };
          }
        : null,
    [switched, tickets, shelf],
  );
  const { result, howFar } = useInSlices(changing);
  const follow = (question: string, after: HouseRules) => {
    setSwitched({ question, before: rules, after });
    setRules(after);
  };
  return {
    decided: decided.result ?? NOTHING,
    /** Of the question that was answered otherwise last: what that changes, null until it is known. */
    changed: switched
      ? {
          question: switched.question,
          tickets: result?.of === switched ? result.tickets : null,
          howFar,
        }
      : null,
    follow,
  };
}
