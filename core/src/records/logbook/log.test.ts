import { FAULT_IDS, FAULTS } from '../../model/faults';
import { FrozenPlanSchema } from '../../model/frozenPlan';
import { LogEntrySchema, LogSummarySchema, summaryOf } from '../../model/logEntry';
import { outcomeOf, worstFault } from '../../model/ticket/log';
import { newTicket } from '../../planner/newTicket';
import { planTicket } from '../../planner/plan';
import { exampleA, SAMPLE_RULES, SAMPLE_SHELF } from '../../testing/samples';
import { drawnFrom, frozenPlan, PLANNER_VERSION } from './frozenPlan';

describe('the outcome', () => {
  it.each([
    [{}, 'good', 0],
    [{ puckering: 0 }, 'good', 0],
    [{ puckering: 1 }, 'slight', 1],
    [{ puckering: 1, gaps: 2 }, 'plain', 2],
    [{ 'needle-break': 3 }, 'spoilt', 3],
  ] as const)('%j is %s', (faults, outcome, worst) => {
    expect(outcomeOf({ faults, others: [] })).toBe(outcome);
    expect(worstFault({ faults })).toBe(worst);
  });
});

describe('faults', () => {
  it('each have causes and something to do next time', () => {
    expect(FAULTS.map((f) => f.id)).toEqual([...FAULT_IDS]);
    for (const fault of FAULTS) expect(fault.causes.length > 5 && fault.nextTime.length > 5).toBe(true);
  });
});

describe('an entry', () => {
  const ticket = exampleA();
  const entry = {
    id: 'entry-example-a',
    loggedAt: '2026-05-04T10:00:00.000Z',
    ticket,
    plan: frozenPlan(planTicket(ticket, SAMPLE_SHELF, SAMPLE_RULES)),
    log: { ...ticket.log, faults: { puckering: 1 }, misplacementMm: 2 },
  };

  it('is plain data of its schema, come back as it went', () => {
    expect(LogEntrySchema.parse(JSON.parse(JSON.stringify(entry)))).toEqual(entry);
  });

  it('is summed up in a line: planned method, gravest fault', () => {
    const summary = summaryOf(entry);
    expect(LogSummarySchema.safeParse(summary).success).toBe(true);
    expect(summary).toMatchObject({
      ticketId: ticket.id,
      kind: 't-shirt',
      fabricId: 'jersey-tee',
      method: 'hooped',
      outcome: 'slight',
      misplacementMm: 2,
    });
  });

  it('puts what was really used before what was planned', () => {
    const floated = {
      ...entry,
      log: { ...entry.log, used: { ...entry.log.used, method: 'floated' as const } },
    };
    expect(summaryOf(floated).method).toBe('floated');
  });

  it('tells which planner made its plan, the first where none was counted yet', () => {
    expect(entry.plan.planner).toBe(PLANNER_VERSION);
    const { planner: _, ...uncounted } = entry.plan;
    expect(FrozenPlanSchema.parse(uncounted).planner).toBe(1);
  });

  it('leaves out what another planner made otherwise, and keeps all the rest', () => {
    const old = { ...entry.plan, hoop: { method: 'glued' }, stitch: undefined, ofOld: { kept: true } };
    const read = FrozenPlanSchema.parse(JSON.parse(JSON.stringify(old)));
    expect([read.hoop, read.stitch, read.ofOld]).toEqual([null, null, { kept: true }]);
    expect(read.place?.marks).toEqual(entry.plan.place?.marks);
    expect(drawnFrom(read)?.piece.sketch.outline.length).toBeGreaterThan(3);
    expect(drawnFrom(FrozenPlanSchema.parse({}))).toBeNull();
  });

  it('survives a plan without a hoop', () => {
    const bare = newTicket('a-bare-ticket', 'bath-towel');
    expect(
      summaryOf({ ...entry, ticket: bare, plan: FrozenPlanSchema.parse({}), log: bare.log }).method,
    ).toBe('hooped');
  });
});
