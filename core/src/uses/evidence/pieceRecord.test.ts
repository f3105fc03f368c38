import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import type { LogEntry } from '../../model/logEntry';
import { EMPTY_LOG } from '../../model/ticket/log';
import { planTicket } from '../../planner/plan';
import { exampleA, exampleB, SAMPLE_SHELF } from '../../testing/samples';
import { frozenPlan } from '../logbook/frozenPlan';
import { recordOf, sheetWord, stackWord } from './pieceRecord';

const entryOf = (ticket: ReturnType<typeof exampleA>, log: Partial<LogEntry['log']> = {}): LogEntry => ({
  id: 'entry-of-record',
  loggedAt: '2026-03-01T10:00:00.000Z',
  ticket,
  plan: frozenPlan(planTicket(ticket, SAMPLE_SHELF, DEFAULT_HOUSE_RULES)),
  log: { ...EMPTY_LOG, ...log },
});

it('takes cloth, design, method and stack as they were planned', () => {
  const tee = recordOf(entryOf(exampleA(), { by: ' Runa ', faults: { puckering: 2, gaps: 0 } }));
  const plan = planTicket(exampleA(), SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
  expect(tee).toMatchObject({
    fabricId: 'jersey-tee',
    structure: 'knit',
    method: plan.hoop?.method,
    who: 'Runa',
    faults: { puckering: 2 },
    sizeMm: Math.max(plan.design.facts?.widthMm ?? 0, plan.design.facts?.heightMm ?? 0),
  });
  expect(tee?.stack).toEqual(plan.layers?.sheets.map(sheetWord));
  expect(recordOf(entryOf(exampleB()))?.structure).toBe('pile');
});

it('puts what was really used before what was planned', () => {
  const used = {
    ...EMPTY_LOG.used,
    method: 'floated' as const,
    sheets: [{ stabilizer: 'mesh', where: 'in the ring', bond: 'none', fastening: 'none' } as const],
  };
  expect(recordOf(entryOf(exampleA(), { used }))).toMatchObject({ method: 'floated', stack: ['mesh'] });
});

it('reads sheets as an older planner kept them, and learns nothing from half a plan', () => {
  const entry = entryOf(exampleA());
  const sheets = [
    { stabilizer: 'cut-away', hold: 'spray' },
    { stabilizer: 'mesh', hold: 'hooped' },
  ] as const;
  const layers = entry.plan.layers && { ...entry.plan.layers, sheets: [...sheets] };
  expect(recordOf({ ...entry, plan: { ...entry.plan, layers } })?.stack).toEqual([
    'cut-away sprayed',
    'mesh',
  ]);
  expect(recordOf({ ...entry, plan: { ...entry.plan, layers: null } })).toBeNull();
  expect(recordOf({ ...entry, plan: { ...entry.plan, design: null } })).toBeNull();
});

it('a stack is the same in whatever order its sheets are named', () => {
  expect(stackWord(['mesh', 'cut-away fused'])).toBe(stackWord(['cut-away fused', 'mesh']));
  expect(stackWord([])).toBe('nothing');
});
