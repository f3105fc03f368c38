import { type HouseRules, planTicket, titleOf, whatChanges } from '@zt/core';
import { useMemo, useState } from 'react';
import { useBenchTickets } from '../../hooks/useBenchTickets';
import { useShop } from '../../shop/useShop';

/** What the tickets on the bench say of the rules: which rule decides which, and what a change of school changed. */
export function useBenchPlans() {
  const { shelf, rules, setRules } = useShop();
  const tickets = useBenchTickets();
  const [switched, setSwitched] = useState<{
    question: string;
    before: HouseRules;
    after: HouseRules;
  } | null>(null);
  const decided = useMemo(() => {
    const names = new Map<string, string[]>();
    for (const ticket of tickets) {
      const { layers } = planTicket(ticket, shelf, rules);
      if (!layers) continue;
      const ids = [layers.supportRule, ...Object.values(layers.parts).map((part) => part.rule)];
      for (const id of ids) names.set(id, [...(names.get(id) ?? []), titleOf(ticket)]);
    }
    return names;
  }, [tickets, shelf, rules]);
  const changed = useMemo(
    () => (switched ? { question: switched.question, tickets: whatChanges(tickets, shelf, switched) } : null),
    [switched, tickets, shelf],
  );
  const follow = (question: string, after: HouseRules) => {
    setSwitched({ question, before: rules, after });
    setRules(after);
  };
  return { decided, changed, follow };
}
