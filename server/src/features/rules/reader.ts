import { mendKept } from '@zt/core/model/fields/mendKept';
import { DEFAULT_HOUSE_RULES, type HouseRules, HouseRulesSchema } from '@zt/core/model/houseRules';
import type { Db } from '../../db/client';
import { readKept, textOf } from '../../db/kept';
import { houseRules } from '../../db/schema/houseRules';

/** Rules that an older version kept, with what was added since. */
export const rulesOfToday = (raw: object): object => ({ ...DEFAULT_HOUSE_RULES, ...raw });

/** Each of the rules that can be read alone, beside the defaults. */
function whatCanBeRead(raw: unknown): HouseRules {
  const own = Object.entries(typeof raw === 'object' && raw !== null ? raw : {}).filter(
    ([key, value]) => HouseRulesSchema.safeParse({ ...DEFAULT_HOUSE_RULES, [key]: value }).success,
  );
  return { ...DEFAULT_HOUSE_RULES, ...Object.fromEntries(own) };
}

/** This shop's rules; the defaults until some were saved, and in place of what cannot be read. */
export async function readRules(db: Pick<Db, 'select'>): Promise<HouseRules> {
  const [row] = await db.select({ rules: textOf(houseRules.rules) }).from(houseRules);
  if (!row) return DEFAULT_HOUSE_RULES;
  const kept = readKept<HouseRules>(row.rules, HouseRulesSchema, rulesOfToday);
  if (kept.ok) return kept.value;
  return (
    mendKept<HouseRules>(HouseRulesSchema, { ...DEFAULT_HOUSE_RULES, ...(kept.raw as object) }) ??
    whatCanBeRead(kept.raw)
  );
}
