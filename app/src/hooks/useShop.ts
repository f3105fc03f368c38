import { DEFAULT_HOUSE_RULES, type DisplayUnits, EMPTY_SHELF, type HouseRules, type Shelf } from '@zt/core';
import { useCallback } from 'react';
import { useRulesQuery, useSaveRulesMutation, useShelfQuery } from '../services/api';

export type SaveState = 'saved' | 'saving' | 'failed';

/** Whether what was last sent has been kept. */
export const saveStateOf = (sent: { isLoading: boolean; isError: boolean }): SaveState =>
  sent.isLoading ? 'saving' : sent.isError ? 'failed' : 'saved';

export interface Shop {
  shelf: Shelf;
  rules: HouseRules;
  units: DisplayUnits;
  ready: boolean;
  failed: boolean;
  /** How the last change of the rules stands. */
  rulesSave: SaveState;
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
    ready: shelf.isSuccess && kept.isSuccess,
    failed: shelf.isError || kept.isError,
    rulesSave: saveStateOf(saving),
    setRules,
    setUnits,
  };
}
