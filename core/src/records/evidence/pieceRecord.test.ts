import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import type { LogEntry } from '../../model/logEntry';
import { EMPTY_LOG, NOT_MEASURED } from '../../model/ticket/log';
import { planTicket } from '../../planner/plan';
import { exampleA, exampleB, SAMPLE_SHELF, sheet } from '../../testing/samples';
import { frozenPlan } from '../logbook/frozenPlan';
import { asMade, recordsOf } from './pieceRecord';
import { stackWord, stackWords } from './stackWords';

const entryOf = (ticket: ReturnType<typeof exampleA>, log: Partial<LogEntry['log']> = {}): LogEntry => ({
  id: 'entry-of-record',
  loggedAt: '2026-03-01T10:00:00.000Z',
  ticket,
  plan: frozenPlan(planTicket(ticket, SAMPLE_SHELF, DEFAULT_HOUSE_RULES)),
  log: { ...EMPTY_LOG, ...log },
});

it('takes cloth, design, method, stack and risks as they were planned', () => {
  const [tee, ...others] = recordsOf(
    entryOf(exampleA(), { by: ' Runa ', faults: { puckering: 2, gaps: 0 } }),
  );
  const plan = planTicket(exampleA(), SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
  expect(others).toEqual([]);
  expect(tee).toMatchObject({
    fabricId: 'jersey-tee',
    structure: 'knit',
    method: plan.hoop?.method,
    who: 'Runa',
    faults: { puckering: 2 },
    sizeMm: Math.max(plan.design.facts?.widthMm ?? 0, plan.design.facts?.heightMm ?? 0),
  });
  expect(tee?.stack).toEqual(
    stackWords(plan.layers?.sheets ?? [], plan.layers?.parts.topper.choice.id ?? 'none'),
  );
  for (const { risk, points } of plan.layers?.risks ?? []) expect(tee?.risks[risk]).toBeCloseTo(points, 9);
  expect(recordsOf(entryOf(exampleB()))[0]?.structure).toBe('pile');
});

it('puts what was really used before what was planned, in the stack and in what the rules hold of it', () => {
  const used = {
    ...EMPTY_LOG.used,
    method: 'floated' as const,
    sheets: [sheet('mesh')],
    topper: 'soluble-film' as const,
    needle: '90' as const,
  };
  const planned = asMade(entryOf(exampleA()));
  const made = asMade(entryOf(exampleA(), { used }));
  expect(made).toMatchObject({ conditions: { method: 'floated', stack: ['soluble-film on top', 'mesh'] } });
  expect(made?.needle).toBe('90');
  expect(made?.risks.shifting).toBeGreaterThan((planned?.risks.shifting ?? 0) + 20);
});

it('a run is as many pieces as came out alike, and each that came out otherwise', () => {
  const ticket = exampleA();
  const seven = { ...ticket, piece: { ...ticket.piece, sizes: [{ name: 'M', count: 6, readings: {} }] } };
  const other = { spots: [], off: NOT_MEASURED, note: '' };
  const others = [
    { piece: 2, faults: { gaps: 3 }, ...other },
    { piece: 5, faults: {}, ...other },
  ];
  const records = recordsOf(entryOf(seven as typeof ticket, { faults: { puckering: 1 }, others }));
  expect(records.map(({ pieces, faults }) => [pieces, faults])).toEqual([
    [5, { puckering: 1 }],
    [1, {}],
    [1, { gaps: 3 }],
  ]);
});

it('reads sheets as an older planner kept them, and learns nothing from half a plan', () => {
  const entry = entryOf(exampleA());
  const sheets = [
    { stabilizer: 'cut-away', hold: 'spray' },
    { stabilizer: 'mesh', hold: 'hooped' },
  ] as const;
  const layers = entry.plan.layers && { ...entry.plan.layers, sheets: [...sheets] };
  expect(recordsOf({ ...entry, plan: { ...entry.plan, layers } })[0]?.stack).toEqual([
    'cut-away sprayed',
    'mesh',
  ]);
  expect(recordsOf({ ...entry, plan: { ...entry.plan, layers: null } })).toEqual([]);
  expect(recordsOf({ ...entry, plan: { ...entry.plan, design: null } })).toEqual([]);
});

it('a stack is the same in whatever order its sheets are named', () => {
  expect(stackWord(['mesh', 'cut-away fused'])).toBe(stackWord(['cut-away fused', 'mesh']));
  expect(stackWord([])).toBe('nothing');
});
