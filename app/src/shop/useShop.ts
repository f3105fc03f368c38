import type { DisplayUnits } from '@zt/core/base/units/length';
import type { HouseRules } from '@zt/core/model/houseRules';
import type { Shelf } from '@zt/core/model/shelf';
import { useCallback } from 'react';
import { useRulesQuery } from '../services/rulesApi';
import { useShelfQuery } from '../services/shelfApi';
import { setRules as queueRules } from '../store/shopActs';
import { type ShopSaveState, saveStateOf, selectRules, selectShelf } from '../store/shopNow';
import { useAppDispatch, useAppSelector } from '../store/store';

export interface Shop {
  shelf: Shelf;
  rules: HouseRules;
  units: DisplayUnits;
  /** Whether both are here; once they are, they stay, whatever a later request comes to. */
  ready: boolean;
  failed: boolean;
  /** Whether this device has yet to be paired with the shop's computer. */
  isStranger: boolean;
  /** Asks for both again. */
  retry: () => void;
  /** How the last change of the rules stands. */
  rulesSave: ShopSaveState;
  setRules: (rules: HouseRules) => void;
  setUnits: (units: DisplayUnits) => void;
}

const isNotPaired = (error: unknown): boolean => (error as { status?: unknown } | undefined)?.status === 401;
const rulesSaveState = saveStateOf('saveRules');

/** The shelf and the house rules, with the units that everything is shown in. */
export function useShop(): Shop {
  const dispatch = useAppDispatch();
  const kept = { shelf: useShelfQuery(), rules: useRulesQuery() };
  const shelf = useAppSelector(selectShelf);
  const rules = useAppSelector(selectRules);
  const setRules = useCallback((next: HouseRules) => dispatch(queueRules(next)), [dispatch]);
  const setUnits = useCallback((units: DisplayUnits) => setRules({ ...rules, units }), [setRules, rules]);
  return {
    shelf,
    rules,
    units: rules.units,
    ready: kept.shelf.data !== undefined && kept.rules.data !== undefined,
    failed: kept.shelf.isError || kept.rules.isError,
    isStranger: isNotPaired(kept.shelf.error) || isNotPaired(kept.rules.error),
    retry: () => {
      void kept.shelf.refetch();
      void kept.rules.refetch();
    },
    rulesSave: useAppSelector(rulesSaveState),
    setRules,
    setUnits,
  };
}
