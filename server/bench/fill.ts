import { DEFAULT_HOUSE_RULES } from '@zt/core/model/houseRules';
import type { Ticket } from '@zt/core/model/ticket';
import { planTicket } from '@zt/core/planner/plan';
import { frozenPlan } from '@zt/core/records/logbook/frozenPlan';
import { openStore } from '../src/db/client';
import { logEntries } from '../src/db/schema/logEntries';
import { NO_DAY, tickets } from '../src/db/schema/tickets';
import { DEMO_SHELF } from '../src/demo/shelf';
import { demoTickets } from '../src/demo/tickets';
import { keepFacts } from '../src/features/logbook/facts';
import { rowOf } from '../src/features/logbook/map';
import { changeShelf } from '../src/features/shelf/writer';

/** Fills a data file with so many logged tickets, each with its entry, and so many open ones: `fill.ts file logged open`. */
const [file = '', logged = '0', open = '0'] = process.argv.slice(2);
const store = await openStore(`file:${file}`);
const now = '2026-11-28T08:00:00.000Z';
const demo = demoTickets(DEFAULT_HOUSE_RULES, new Date(now));
const at = <T>(list: readonly T[], n: number): T => list[n % list.length] as T;
const plans = demo.map((ticket) => frozenPlan(planTicket(ticket, DEMO_SHELF, DEFAULT_HOUSE_RULES)));
const day = (n: number) => new Date(Date.parse(now) - n * 3_600_000).toISOString();
const AT_ONCE = 500;

await store.write((tx) =>
  changeShelf(
    tx,
    {
      put: Object.entries(DEMO_SHELF).flatMap(([noun, items]) =>
        items.map((item) => ({ noun, item })),
      ) as never,
    },
    now,
  ),
);
for (let from = 0; from < Number(logged) + Number(open); from += AT_ONCE)
  await store.write(async (tx) => {
    const until = Math.min(from + AT_ONCE, Number(logged) + Number(open));
    for (let n = from; n < until; n += 1) {
      const isLogged = n < Number(logged);
      const ticket: Ticket = {
        ...at(demo, n),
        id: `filled-ticket-${n}`,
        name: `Piece ${n}, ${at(demo, n).name}`,
      };
      const entryId = `filled-entry-${n}`;
      await tx.insert(tickets).values({
        id: ticket.id,
        ticket,
        rev: 3,
        updatedAt: day(n),
        due: ticket.due ?? NO_DAY,
        loggedAs: isLogged ? entryId : null,
      });
      if (isLogged) {
        const plan = at(plans, n);
        const entry = { id: entryId, loggedAt: day(n), ticket, plan, log: ticket.log };
        await tx.insert(logEntries).values(rowOf(entry));
        await keepFacts(tx, entry);
      }
    }
  });
await store.close();
