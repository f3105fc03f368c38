import { planCutting } from '@zt/core/business/cutPlan/planCutting';
import { shoppingList } from '@zt/core/business/shopping/shopping';
import { shoppingToCsv } from '@zt/core/business/shopping/toCsv';
import type { DayTicket } from '@zt/core/model/day';
import { type CardPaperId, cutPages } from '@zt/core/paper/index';
import { spoiltAmong } from '@zt/core/records/evidence/advice';
import type { Db } from '../../db/client';
import { ApiError } from '../../errors';
import { inTurns } from '../../inTurns';
import type { LogMemory } from '../logbook/memory';
import { pagesToPdf } from '../paper/drawingToPdf';
import { readShop } from '../shop';
import { readDay, readOpen } from './reader';

type Reads = Pick<Db, 'select'>;

/** Either takes seconds for hundreds of tickets; what takes longer is stuck. */
const LIMIT_MS = 60_000;

/** Long work over the bench to its end; others are answered between. Throws a refusal in words where it takes too long. */
async function overBench<T>(work: Iterator<unknown, T, undefined>): Promise<T> {
  const done = await inTurns(work, LIMIT_MS);
  if (done === null)
    throw new ApiError(503, 'too-long', 'There is too much on the bench to be gone through at once.');
  return done;
}

/** How tickets are cut together. */
async function planned(db: Reads, tickets: readonly DayTicket[], memory: LogMemory) {
  const { shelf, rules } = await readShop(db);
  const { pieces } = await memory.learned(rules);
  const plan = await overBench(planCutting({ tickets, shelf, rules, seen: spoiltAmong(pieces.records) }));
  return { plan, shelf, rules };
}

/** The cut plan of the tickets that are due first, on paper. Throws a refusal in words where there is nothing to cut. */
export async function cutToPdf(db: Reads, paper: CardPaperId, memory: LogMemory): Promise<Uint8Array> {
  const { tickets } = await readDay(db);
  const { plan, rules } = await planned(db, tickets, memory);
  if (plan.sources.length === 0)
    throw new ApiError(
      409,
      'nothing-to-cut',
      'There is nothing to cut: no ticket has its layers and hoop, or the shelf has nothing to cut them from.',
    );
  return pagesToPdf((measure) => cutPages(plan, { paper, units: rules.units, measure }), 'Cut plan');
}

/** What to buy for the whole bench, as the shelf lists it, and its bare pieces, as a table. */
export async function buyingToCsv(db: Reads, memory: LogMemory): Promise<string> {
  const tickets = await readOpen(db);
  const { plan, shelf, rules } = await planned(db, tickets, memory);
  const dated = tickets.map(({ ticket, due }) => ({ ...ticket, due }));
  return shoppingToCsv(await overBench(shoppingList(dated, shelf, rules)), plan.blanks);
}
