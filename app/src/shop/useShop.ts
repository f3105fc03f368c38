import { DEFAULT_HOUSE_RULES, type DisplayUnits, EMPTY_SHELF, type HouseRules, type Shelf } from '@zt/core';
import { useCallback } from 'react';
import { useRulesQuery, useSaveRulesMutation } from '../services/rulesApi';
import { useShelfQuery } from '../services/shelfApi';

export type ShopSaveState = 'saved' | 'saving' | 'failed';

/** Whether what was last sent has been kept. */
export const saveStateOf = (sent: { isLoading: boolean; isError: boolean }): ShopSaveState =>
  sent.isLoading ? 'saving' : sent.isError ? 'failed' : 'saved';

export interface Shop {
  shelf: Shelf;
  rules: HouseRules;
  units: DisplayUnits;
  /** Whether both are here; once they are, they stay, whatever a later request comes to. */
  ready: boolean;
  failed: boolean;
  /** Asks for both again. */
  retry: () => void;
  /** How the last change of the rules stands. */
  rulesSave: ShopSaveState;
  setRules: (rules: HouseRules) => void;
  setUnits: (units: DisplayUnits) => void;
}

/** The shelf and the house rules, with the units that everything is shown in. */
export function useShop(): Shop {
  const shelf = useShelfQuery();
  const kept = useRulesQuery();
  const [save, saving] = useSaveRulesMutation({ fixedCacheKey: 'rules' });
  const rules = kept.data ?? DEFAULT_HOUSE_RULES;
  const setRules = useCallback((next: HouseRules) => void save(next), [save]);
  const setUnits = useCallback((units: DisplayUnits) => void save({ ...rules, units }), [save, rules]);
  return {
    shelf: shelf.data ?? EMPTY_SHELF,
    rules,
    units: rules.units,
    ready: shelf.data !== undefined && kept.data !== undefined,
    failed: shelf.isError || kept.isError,
    retry: () => {
      void shelf.refetch();
      void kept.refetch();
    },
    rulesSave: saveStateOf(saving),
    setRules,
    setUnits,
  };
}
