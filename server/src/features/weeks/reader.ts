import { changedNumbers, leftOfEarned, type MadeThen, mondays, weeksOf } from '@zt/core/business/weeks/weeks';
import { HouseRulesSchema } from '@zt/core/model/houseRules';
import { type Order, OrderSchema } from '@zt/core/model/order';
import type { Earned, WeeksAnswer } from '@zt/core/model/weeks';
import { spoiltAmong } from '@zt/core/records/evidence/advice';
import type { LearnedFacts } from '@zt/core/records/find/entryFacts';
import { and, asc, eq, gte, inArray, isNull } from 'drizzle-orm';
import type { Db } from '../../db/client';
import { readKept, textOf } from '../../db/kept';
import { earlierStates } from '../../db/schema/earlierStates';
import { logFacts } from '../../db/schema/logFacts';
import { orders } from '../../db/schema/orders';
import { readRules } from '../rules/reader';

type Reads = Pick<Db, 'select'>;

function madeThen(loggedAt: string, learned: LearnedFacts | null): MadeThen {
  const { pieces, spoilt } = spoiltAmong(learned?.results ?? []);
  const minutes = learned?.figures.find(({ figure }) => figure === 'stitch minutes');
  return {
    atMs: Date.parse(loggedAt),
    pieces: Math.max(1, pieces),
    spoilt,
    plannedMinutes: minutes?.planned ?? null,
    wasMinutes: minutes?.was ?? null,
  };
}

const HANDED_OVER = ['handed over', 'paid'] as const;

/** An order that was handed over since a day; none of one that was before, or of which nobody knows when. */
function earnedOf({ id, name, since, promisedMinor, costMinor }: Order, from: string): Earned[] {
  const day = since['handed over'] ?? since.paid;
  return day === undefined || day < from
    ? []
    : [{ id, name, day, promisedMinor: promisedMinor ?? 0, costMinor }];
}

async function ordersSince(db: Reads, from: string): Promise<Earned[]> {
  const rows = await db
    .select({ order: textOf(orders.order) })
    .from(orders)
    .where(
      and(
        isNull(orders.deletedAt),
        inArray(orders.state, [...HANDED_OVER]),
        // What was handed over later was changed later.
        gte(orders.updatedAt, from),
      ),
    );
  return rows.flatMap(({ order }) => {
    const kept = readKept<Order>(order, OrderSchema);
    return kept.ok ? earnedOf(kept.value, from) : [];
  });
}

/** The shop's own figures as they came one after the other, the latest last. */
async function numbersOverTime(db: Reads, now: Record<string, number>) {
  const states = await db
    .select({ value: textOf(earlierStates.value) })
    .from(earlierStates)
    .where(eq(earlierStates.noun, 'rules'))
    .orderBy(asc(earlierStates.at), asc(earlierStates.id));
  const before = states.flatMap(({ value }) => {
    const kept = readKept(value, HouseRulesSchema);
    return kept.ok ? [kept.value.numbers] : [];
  });
  return [...before, now];
}

/** How the shop did in its last weeks, by its own clocks. */
export async function readWeeks(
  db: Reads,
  { weeks: count, now }: { weeks: number; now: string },
): Promise<WeeksAnswer> {
  const rules = await readRules(db);
  const zone = rules.hours.zone || Intl.DateTimeFormat().resolvedOptions().timeZone;
  const begins = mondays(Date.parse(now), count, zone);
  const from = new Date(begins[0] ?? 0).toISOString();
  const facts = await db
    .select({ loggedAt: logFacts.loggedAt, learned: logFacts.learned })
    .from(logFacts)
    .where(gte(logFacts.loggedAt, from));
  const made = facts.map(({ loggedAt, learned }) => madeThen(loggedAt, learned));
  const earned = await ordersSince(db, from.slice(0, 10));
  return {
    weeks: weeksOf({ made, earned }, begins, zone),
    earned: earned.sort((a, b) => (leftOfEarned(b) ?? 0) - (leftOfEarned(a) ?? 0)),
    numbers: changedNumbers(await numbersOverTime(db, rules.numbers)),
  };
}
