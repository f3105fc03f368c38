import { say } from '../../base/units/phrase';
import { applyMend } from '../../model/finding';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import { planTicket } from '../../planner/plan';
import { wayFrom } from '../../stages/layers/ways';
import { exampleA, SAMPLE_SHELF } from '../../testing/samples';
import { adviceFor, conditionsOf } from './advice';
import { taughtBy } from './chances';
import { tableOf } from './likeness';
import { NO_RISK, type PieceRecord } from './pieceRecord';

const RULES = DEFAULT_HOUSE_RULES;
const MM = { system: 'mm' } as const;
const ask = (records: readonly PieceRecord[], { rules = RULES, ticket = exampleA() } = {}) => {
  const plan = planTicket(ticket, SAMPLE_SHELF, rules);
  const advice = adviceFor(
    { ticket, plan, shelf: SAMPLE_SHELF, rules },
    { pieces: tableOf(records), taught: taughtBy(records, rules) },
  );
  if (!advice) throw new Error('a plan with layers is advised on');
  return advice;
};

/** So many pieces like the example, each in a stack. */
function like(n: number, rest: Partial<PieceRecord>): PieceRecord[] {
  const conditions = conditionsOf(exampleA(), planTicket(exampleA(), SAMPLE_SHELF, RULES));
  if (!conditions) throw new Error('the example has layers');
  return Array.from({ length: n }, (_, i) => ({
    ...conditions,
    id: `like-${JSON.stringify(rest)}-${i}`,
    loggedAt: new Date(Date.UTC(2026, 0, 1 + i)).toISOString(),
    name: 'Crew tee',
    pieces: 1,
    who: 'Ottilie',
    faults: {},
    risks: NO_RISK,
    ...rest,
  }));
}

it('without pieces says nothing in counts, and the rules’ chances for every stack of the shelf', () => {
  const { text, near, stacks, methods, against } = ask([]);
  expect([text, near, against]).toEqual([null, [], null]);
  expect(stacks.filter(({ planned }) => planned)).toHaveLength(1);
  expect(stacks.length).toBeGreaterThan(2);
  for (const { any, pieces } of stacks) {
    expect(any.percent).toBeCloseTo(any.believed, 1);
    expect(any.low).toBeLessThan(any.percent);
    expect(any.high).toBeGreaterThan(any.percent);
    expect(pieces).toBe(0);
  }
  expect(methods.map(({ method }) => method)).toEqual(['hooped', 'floated']);
});

it('advises no stack that must never be, nor one that is not on the shelf', () => {
  // Sticky tear-away stuck to a baby's skin never went wrong here; it stays a never.
  const sticky = like(40, { stack: ['tear-away-sticky sticky'] });
  const names = ask(sticky)
    .stacks.map(({ name }) => name)
    .join('; ');
  expect(names).not.toMatch(/sticky/i);
  expect(names).not.toMatch(/wash-away/i);
});

describe('where our own pieces speak against the rule', () => {
  const plan = planTicket(exampleA(), SAMPLE_SHELF, RULES);
  const puckered = like(20, { faults: { puckering: 2 } });
  const clean = like(20, { stack: ['mesh-fusible fused'] });

  it('says so, with how many, what goes wrong, and a way out that takes the other stack', () => {
    const { against, stacks } = ask([...puckered, ...clean]);
    expect(plan.layers?.sheets.map(({ stabilizer }) => stabilizer)).toEqual(['cut-away']);
    const said = say(against?.finding.text ?? [], MM);
    expect(said).toMatch(
      /^Our own pieces speak against the rule: Cut-away.* goes wrong in \d+ % of pieces \(20 on cloth like this\)/,
    );
    expect(said).toMatch(/most of it puckering\.$/);
    expect(stacks[0]?.name).toMatch(/mesh/i);
    const [mend] = against?.finding.mends ?? [];
    if (!mend || !against) throw new Error('a way out is offered');
    const mended = applyMend(exampleA(), mend);
    expect(planTicket(mended, SAMPLE_SHELF, RULES).layers?.sheets).toEqual(against.sheets);
    expect(ask([...puckered, ...clean], { ticket: mended }).against).toBeNull();
  });

  it('a way of the shop’s own made of it is followed, and no longer when it is switched off', () => {
    const { against } = ask([...puckered, ...clean]);
    if (!against) throw new Error('something speaks against it');
    const way = wayFrom(
      { id: 'way-of-pieces', name: 'tee', why: 'our own pieces', since: '2026-05-04' },
      { sheets: against.sheets, choices: {} },
      against.applies,
    );
    const withWay: HouseRules = { ...RULES, ways: [way] };
    expect(planTicket(exampleA(), SAMPLE_SHELF, withWay).layers?.sheets).toEqual(against.sheets);
    const off: HouseRules = { ...RULES, ways: [{ ...way, on: false }] };
    expect(planTicket(exampleA(), SAMPLE_SHELF, off).layers?.sheets).toEqual(plan.layers?.sheets);
  });

  it('says nothing of fewer pieces than evidence begins with, nor of a difference that may be chance', () => {
    expect(ask([...puckered.slice(0, 4), ...clean]).against).toBeNull();
    expect(ask([...puckered, ...clean.slice(0, 4)]).against).toBeNull();
    const half = [...like(10, {}), ...like(3, { faults: { puckering: 1 } })];
    const other = [
      ...like(10, { stack: ['mesh-fusible fused'] }),
      ...like(2, { stack: ['mesh-fusible fused'], faults: { puckering: 1 } }),
    ];
    expect(ask([...half, ...other]).against).toBeNull();
  });
});

it('the worse the planned stack is known to be, the fewer clean pieces of another decide for it', () => {
  const others = (records: readonly PieceRecord[]) => ask(records).stacks.filter(({ planned }) => !planned);
  const fewest = (of: ReturnType<typeof others>) => Math.min(...of.map(({ decides }) => decides.clean ?? 99));
  const [good, bad] = [others(like(40, {})), others(like(40, { faults: { puckering: 2 } }))];
  expect(fewest(bad)).toBeLessThanOrEqual(2);
  expect(fewest(good)).toBeGreaterThan(12);
  // Against one that never fails, a few bad pieces decide.
  expect(Math.min(...good.map(({ decides }) => decides.bad ?? 99))).toBeLessThanOrEqual(3);
  const { stacks, methods } = ask(like(40, {}));
  expect(stacks.find(({ planned }) => planned)?.decides).toEqual({ clean: null, bad: null });
  expect(methods.map(({ method, planned }) => [method, planned])).toEqual([
    ['hooped', true],
    ['floated', false],
  ]);
});

it('tells how pieces like it came out, the nearest first, and what they differ in', () => {
  const { text, near } = ask([...like(6, {}), ...like(1, { method: 'floated', faults: { puckering: 1 } })]);
  expect(text && say(text, MM)).toBe('7 like this: 6 clean, 1 with puckering, the one that was floated.');
  expect(near.at(-1)).toMatchObject({ differs: ['method'], faults: { puckering: 1 } });
  expect(near[0]?.distance).toBe(0);
});
