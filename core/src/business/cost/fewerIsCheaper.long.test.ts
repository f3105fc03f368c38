import { applyChange } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { casesOf } from '../../testing/cases';
import { priced } from '../../testing/priced';
import { variedJob } from '../../testing/variedTickets';
import type { CostOf } from './costLine';
import { costOfOne } from './price';
import { spoiltShare } from './spoilt';
import { type TrueCost, trueCost } from './trueCost';

/** What one piece costs, smallest coins, not rounded; null where it cannot be costed. */
function costed(of: CostOf): TrueCost | null {
  return trueCost(of, spoiltShare({ pieces: 8, spoilt: 1 }, of.rules));
}
const LEAST = 1e-6;

/** Every varied job that can be costed, with everything priced. */
function* jobs(count: number): Generator<{ of: CostOf; cost: TrueCost }> {
  for (let seed = 1; seed <= count; seed += 1) {
    const { ticket, shelf: bare, rules } = variedJob(seed * 37);
    const shelf = priced(bare);
    const of = {
      ticket: { ...ticket, blankMinor: 400 },
      plan: planTicket(ticket, shelf, rules),
      shelf,
      rules,
    };
    const cost = costed(of);
    if (cost) yield { of, cost };
  }
}

it('the total is the sum of its lines to the smallest coin, and lies between its bounds', () => {
  let seen = 0;
  for (const { cost } of jobs(casesOf(400, 100))) {
    seen += 1;
    expect(cost.lines.reduce((sum, { minor }) => sum + minor, 0)).toBe(cost.totalMinor);
    expect(
      cost.lines.every(
        ({ minor, exact }) => Number.isInteger(minor) && Math.abs(minor - exact) <= 0.5 + LEAST,
      ),
    ).toBe(true);
    expect(cost.lowMinor <= cost.totalMinor && cost.totalMinor <= cost.highMinor).toBe(true);
    expect(Math.abs(cost.onceExact + cost.eachExact * cost.pieces - cost.totalMinor)).toBeLessThan(
      cost.lines.length,
    );
  }
  expect(seen).toBeGreaterThan(casesOf(150, 37));
});

it('a larger run never costs more a piece, planned anew in every size', () => {
  let seen = 0;
  for (const { of } of jobs(casesOf(120, 30))) {
    if (of.ticket.design.names) continue;
    const sizes = [1, 2, 3, 5, 9, 20, 60].map((quantity) => {
      const ticket = applyChange(of.ticket, { stage: 'piece', set: { quantity, sizes: [] } });
      const cost = costed({ ...of, ticket, plan: planTicket(ticket, of.shelf, of.rules) });
      return cost ? costOfOne(cost, quantity) : Number.NaN;
    });
    for (const [i, one] of sizes.entries())
      if (i > 0) expect(one).toBeLessThanOrEqual((sizes[i - 1] ?? 0) + LEAST);
    seen += 1;
  }
  expect(seen).toBeGreaterThan(casesOf(40, 10));
});

it('a colour less never costs more', () => {
  let seen = 0;
  for (const { of, cost } of jobs(casesOf(600, 150))) {
    const [part] = of.ticket.design.parts;
    const [first, second] = part?.colours ?? [];
    if (!part || !first || !second || of.ticket.design.order) continue;
    const parts = of.ticket.design.parts.map((one) => ({
      ...one,
      colours: one.colours.map((stop) => ({ ...stop, hex: stop.hex === second.hex ? first.hex : stop.hex })),
    }));
    const ticket = applyChange(of.ticket, { stage: 'design', set: { parts, order: null } });
    const less = costed({ ...of, ticket, plan: planTicket(ticket, of.shelf, of.rules) });
    // With another colour it may want other sheets: then it is another piece.
    if (
      !less ||
      less.lines.find(({ id }) => id === 'sheets')?.exact !==
        cost.lines.find(({ id }) => id === 'sheets')?.exact
    )
      continue;
    expect(less.eachExact).toBeLessThanOrEqual(cost.eachExact + LEAST);
    seen += 1;
  }
  expect(seen).toBeGreaterThan(casesOf(50, 12));
});

it('a sheet less never costs more', () => {
  let seen = 0;
  for (const { of, cost } of jobs(casesOf(300, 75))) {
    const sheets = of.plan.layers?.sheets ?? [];
    if (sheets.length < 2 || !of.plan.hoop) continue;
    const held = applyChange(of.ticket, {
      stage: 'hoop',
      set: { method: of.plan.hoop.method, hoopId: of.plan.hoop.laid?.verdict.hoop.id ?? null },
    });
    const ticket = applyChange(held, {
      stage: 'layers',
      set: { support: { sheets: sheets.slice(0, -1), why: '' } },
    });
    const less = costed({ ...of, ticket, plan: planTicket(ticket, of.shelf, of.rules) });
    if (!less) continue;
    expect(less.eachExact).toBeLessThanOrEqual(cost.eachExact + LEAST);
    seen += 1;
  }
  expect(seen).toBeGreaterThan(casesOf(30, 7));
});
