import type { HouseRules } from '@zt/core';
import type { Transaction } from '../../db/client';
import { houseRules } from '../../db/schema/houseRules';

export async function saveRules(tx: Transaction, rules: HouseRules): Promise<void> {
  const row = { id: 'shop', rules };
  await tx.insert(houseRules).values(row).onConflictDoUpdate({ target: houseRules.id, set: row });
}
