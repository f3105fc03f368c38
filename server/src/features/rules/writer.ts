import { type HouseRules, HouseRulesSchema, type SaveRules } from '@zt/core';
import { mergeFitting } from '@zt/core/uses/sharing/merge';
import type { Transaction } from '../../db/client';
import { houseRules } from '../../db/schema/houseRules';
import { keepEarlier } from '../history/writer';
import { takeOnce, whoSent } from '../sending';
import { readRules } from './reader';

/** The one row of the shop's rules. */
const SHOP = 'shop';
const fits = (rules: HouseRules) => HouseRulesSchema.safeParse(rules).success;

/** Saves the rules, put together with what others made of them meanwhile; returns them as they are kept. */
export async function saveRules(
  tx: Transaction,
  { rules, base, sending }: SaveRules,
  now: string,
): Promise<HouseRules> {
  const [sent, theirs] = [{ sending, now }, await readRules(tx)];
  if (!(await takeOnce(tx, sent))) return theirs;
  await keepEarlier(tx, { noun: 'rules', id: SHOP }, sent);
  const together = base ? mergeFitting({ base, mine: rules, theirs }, whoSent(sent), fits) : rules;
  const row = { id: SHOP, rules: together };
  await tx.insert(houseRules).values(row).onConflictDoUpdate({ target: houseRules.id, set: row });
  return together;
}
