import { DEFAULT_HOUSE_RULES, type HouseRules } from '@zt/core';
import type { Db } from '../../db/client';
import { houseRules } from '../../db/schema/houseRules';

/** This shop's rules; the defaults until some were saved. */
export async function readRules(db: Pick<Db, 'select'>): Promise<HouseRules> {
  const [row] = await db.select({ rules: houseRules.rules }).from(houseRules);
  return { ...DEFAULT_HOUSE_RULES, ...row?.rules };
}
