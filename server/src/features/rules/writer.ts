import type { SaveRules } from '@zt/core/model/api';
import { type HouseRules, HouseRulesSchema } from '@zt/core/model/houseRules';
import type { Transaction } from '../../db/client';
import { houseRules } from '../../db/schema/houseRules';
import { puttingTogether } from '../together';
import { readRules, rulesOfToday } from './reader';

/** The one row of the shop's rules. */
const SHOP = 'shop';

/** Saves the rules, put together with what others made of them meanwhile; returns them as they are kept. */
export async function saveRules(
  tx: Transaction,
  { rules, base, sending }: SaveRules,
  now: string,
): Promise<HouseRules> {
  const theirs = await readRules(tx);
  const saved = { mine: rules, base, theirs, schema: HouseRulesSchema, today: rulesOfToday };
  const of = { noun: 'rules' as const, id: SHOP };
  const together = await puttingTogether<HouseRules>(tx, saved, { sent: { sending, now }, of });
  if (!together) return theirs;
  const row = { id: SHOP, rules: together, deletedAt: null };
  await tx.insert(houseRules).values(row).onConflictDoUpdate({ target: houseRules.id, set: row });
  return together;
}
