import { DEFAULT_HOUSE_RULES, type DisplayUnits, EMPTY_SHELF, type HouseRules, type Shelf } from '@zt/core';
import { useCallback } from 'react';
import { useRulesQuery, useSaveRulesMutation, useShelfQuery } from '../services/api';

export interface Shop {
  shelf: Shelf;
  rules: HouseRules;
  units: DisplayUnits;
  ready: boolean;
  failed: boolean;
  setRules: (rules: HouseRules) => void;
  setUnits: (units: DisplayUnits) => void;
}

/** The shelf and the house rules, with the units that everything is shown in. */
export function useShop(): Shop {
  const shelf = useShelfQuery();
  const kept = useRulesQuery();
  const [save] = useSaveRulesMutation();
  const rules = kept.data ?? DEFAULT_HOUSE_RULES;
  const setRules = useCallback((next: HouseRules) => void save(next), [save]);
  const setUnits = useCallback((units: DisplayUnits) => void save({ ...rules, units }), [save, rules]);
  return {
    shelf: shelf.data ?? EMPTY_SHELF,
    rules,
    units: rules.units,
    ready: shelf.isSuccess && kept.isSuccess,
    failed: shelf.isError || kept.isError,
    setRules,
    setUnits,
  };
}
