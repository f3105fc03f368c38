import { types } from 'node:util';
import fc from 'fast-check';
import isEqual from 'fast-deep-equal';
import { STAGES } from '../model/stages';
import type { Ticket } from '../model/ticket';
import { exampleA, SAMPLE_RULES, SAMPLE_SHELF } from '../testing/samples';
import { variedJob } from '../testing/variedTickets';
import { makePlanner, planTicket } from './plan';
import { shared } from './remember';

/** Jobs after one another that differ in one part, as they do while a ticket is worked on. */
function jobsInTurn(numbers: readonly [number, number][]) {
  const jobs = [variedJob(numbers[0]?.[0] ?? 0)];
  for (const [other, part] of numbers) {
    const last = jobs.at(-1);
    const next = variedJob(other);
    if (!last) continue;
    const stage = STAGES[part];
    if (stage) jobs.push({ ...last, ticket: { ...last.ticket, [stage]: next.ticket[stage] } as Ticket });
    else jobs.push({ ...last, ...(part % 2 === 0 ? { rules: next.rules } : { shelf: next.shelf }) });
  }
  return jobs;
}

/** Whether something in it is not a plain value, but what it was watched through. */
const holdsProxy = (value: unknown): boolean =>
  types.isProxy(value) ||
  (typeof value === 'object' && value !== null && Object.values(value).some(holdsProxy));

/** Frozen, as what a store keeps is. */
function deepFrozen<T>(value: T): T {
  if (typeof value === 'object' && value !== null) Object.values(value).forEach(deepFrozen);
  return Object.freeze(value);
}

describe('a planner that remembers', () => {
  it('gives what planTicket gives, whatever is changed before', () => {
    const turns = fc.array(fc.tuple(fc.nat(2000), fc.nat(STAGES.length + 1)), { minLength: 1, maxLength: 8 });
    fc.assert(
      fc.property(turns, (numbers) => {
        const plan = makePlanner();
        // Not toEqual: -0 is 0 here.
        for (const { ticket, shelf, rules } of jobsInTurn(numbers).map(deepFrozen)) {
          const planned = plan(ticket, shelf, rules);
          expect(isEqual(planned, planTicket(ticket, shelf, rules))).toBe(true);
          expect(holdsProxy(planned)).toBe(false);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('gives the very same plan for a ticket that only got another name', () => {
    const plan = makePlanner();
    const before = plan(exampleA(), SAMPLE_SHELF, SAMPLE_RULES);
    expect(plan({ ...exampleA(), name: 'Another name' }, SAMPLE_SHELF, SAMPLE_RULES)).toBe(before);
  });

  it('lays no hoop anew for a design that only got another name', () => {
    const plan = makePlanner();
    const ticket = exampleA();
    const before = plan(ticket, SAMPLE_SHELF, SAMPLE_RULES);
    const design = { ...ticket.design, name: 'Another name' };
    const after = plan({ ...ticket, design }, SAMPLE_SHELF, SAMPLE_RULES);
    expect(after.hoop).toBe(before.hoop);
    expect(after.place).toBe(before.place);
  });

  it('keeps what lies before a change, and what comes out the same after it', () => {
    const plan = makePlanner();
    const ticket = exampleA();
    const before = plan(ticket, SAMPLE_SHELF, SAMPLE_RULES);
    const place = { ...ticket.place, offset: { x: 3, y: 0 } };
    const after = plan({ ...ticket, place }, SAMPLE_SHELF, SAMPLE_RULES);
    expect(after.place).not.toBe(before.place);
    expect(after.piece).toBe(before.piece);
    expect(after.design).toBe(before.design);
    expect(after.layers).toBe(before.layers);
    expect(after.finish).toBe(before.finish);
  });
});

describe('shared parts', () => {
  it('are those of before where they are equal, and equal to those of after in all', () => {
    fc.assert(
      fc.property(fc.jsonValue(), fc.jsonValue(), (before, after) => {
        const copy = JSON.parse(JSON.stringify(after));
        expect(shared(before, after)).toEqual(after);
        expect(shared(after, copy)).toBe(after);
      }),
    );
  });

  it('changes nothing in place', () => {
    const before = { a: { b: [1, 2] }, c: { d: 1 } };
    const after = { a: { b: [1, 2] }, c: { d: 2 } };
    const result = shared(before, after);
    expect(result.a).toBe(before.a);
    expect(result).not.toBe(after);
    expect([before.c.d, after.c.d]).toEqual([1, 2]);
  });
});
