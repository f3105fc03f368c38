import fc from 'fast-check';
import { FABRICS } from '../../catalogue/fabrics';
import { RISK_WEIGHTS, RISKS, type Risk } from '../../catalogue/riskWeights';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { applyChange } from '../../model/ticket';
import { BONDS, FASTENINGS, STABILIZER_IDS, WHERES } from '../../model/ticket/layers';
import { planTicket } from '../../planner/plan';
import { exampleA, exampleB, SAMPLE_SHELF, sheet } from '../../testing/samples';
import { type LayerFacts, layerFacts } from './facts';
import type { Stack } from './never';
import { riskSum, risksOf } from './risk';

function factsFor(fabricId: string, floated: boolean, rank: number): LayerFacts {
  const base = applyChange(exampleA(), { stage: 'piece', set: { fabricId, fabricChanges: {} } });
  const plan = planTicket(base, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
  if (!plan.design.facts) throw new Error('the example has a design');
  const method = floated ? ('floated' as const) : ('hooped' as const);
  return { ...layerFacts(plan.piece, plan.design.facts, { method }, DEFAULT_HOUSE_RULES), rank };
}
const ALL = FABRICS.flatMap((fabric) =>
  [false, true].flatMap((floated) => [0, 2, 4].map((rank) => factsFor(fabric.id, floated, rank))),
);
const facts = fc.constantFrom(...ALL);
const anySheet = fc.record({
  stabilizer: fc.constantFrom(...STABILIZER_IDS),
  where: fc.constantFrom(...WHERES),
  bond: fc.constantFrom(...BONDS),
  fastening: fc.constantFrom(...FASTENINGS),
});
const stack = fc.record({
  sheets: fc.array(anySheet, { maxLength: 3 }),
  topper: fc.constantFrom('none', 'soluble-film', 'heat-away-film', 'permanent-film'),
  cover: fc.constantFrom('none', 'soft-cover'),
  trim: fc.constantFrom('rounded', 'tear-all'),
});
const points = (f: LayerFacts, s: Stack, risk: Risk) =>
  risksOf(f, s).find((bar) => bar.risk === risk)?.points ?? -1;
const holds = (risk: Risk, change: (f: LayerFacts, s: Stack) => [LayerFacts, Stack], sign: 1 | -1) =>
  fc.assert(
    fc.property(facts, stack, (f, s) => {
      const [changedFacts, changedStack] = change(f, s);
      return sign * (points(changedFacts, changedStack, risk) - points(f, s, risk)) >= -1e-9;
    }),
    { numRuns: 400 },
  );

it('the word for a bar is that of its points, from 30 some and from 60 high', () => {
  fc.assert(
    fc.property(facts, stack, (f, s) =>
      risksOf(f, s).every(
        ({ points: of, level }) => level === (of >= 60 ? 'high' : of >= 30 ? 'some' : 'low'),
      ),
    ),
  );
});

describe('the risk model', () => {
  it.each(STABILIZER_IDS)('never raises puckering by adding a sheet of %s', (stabilizer) => {
    holds(
      'puckering',
      (f, s) => [f, { ...s, sheets: [...s.sheets, sheet(stabilizer, 'under the ring', 'none', 'tape')] }],
      -1,
    );
  });

  it.each<[string, Risk, (f: LayerFacts, s: Stack) => [LayerFacts, Stack], 1 | -1]>([
    ['floating never lowers shifting', 'shifting', (f, s) => [{ ...f, floated: true }, s], 1],
    ['floating never raises ring marks', 'ring marks', (f, s) => [{ ...f, floated: true }, s], -1],
    [
      'more stretch never lowers puckering',
      'puckering',
      (f, s) => [{ ...f, stretchPercent: f.stretchPercent + 7 }, s],
      1,
    ],
    [
      'more stretch never lowers shifting',
      'shifting',
      (f, s) => [{ ...f, stretchPercent: f.stretchPercent + 7 }, s],
      1,
    ],
    [
      'a denser design never lowers puckering',
      'puckering',
      (f, s) => [{ ...f, rank: Math.min(4, f.rank + 1) }, s],
      1,
    ],
    [
      'a denser design never lowers stiffness',
      'stiffness',
      (f, s) => [{ ...f, rank: Math.min(4, f.rank + 1) }, s],
      1,
    ],
    ['a topper never raises sinking', 'sinking', (f, s) => [f, { ...s, topper: 'soluble-film' }], -1],
    ['a cover never raises skin', 'skin', (f, s) => [f, { ...s, cover: 'soft-cover' }], -1],
    [
      'another sheet never lowers stiffness',
      'stiffness',
      (f, s) => [f, { ...s, sheets: [...s.sheets, sheet('cut-away')] }],
      1,
    ],
    [
      'fusing never raises shifting',
      'shifting',
      (f, s) => [f, { ...s, sheets: [...s.sheets, sheet('mesh-fusible', 'in the ring', 'fused')] }],
      -1,
    ],
  ])('%s', (_, risk, change, sign) => holds(risk, change, sign));

  it('stays between 0 and 100, and is the sum of what it opens into', () => {
    fc.assert(
      fc.property(facts, stack, (f, s) =>
        risksOf(f, s).every((bar) => {
          const sum = bar.parts.reduce((total, part) => total + part.points, 0);
          return (
            bar.points >= 0 &&
            bar.points <= 100 &&
            Math.abs(bar.points - Math.min(100, Math.max(0, sum))) < 1e-9
          );
        }),
      ),
    );
  });

  it('sums to what stacks are ordered by', () => {
    fc.assert(
      fc.property(facts, stack, (f, s) => {
        const sum = risksOf(f, s).reduce((total, bar) => total + bar.points, 0);
        return Math.abs(riskSum(f, s) - sum) < 1e-9;
      }),
    );
  });

  it('gives every weight a reason, and every risk a bar', () => {
    for (const { reason } of Object.values(RISK_WEIGHTS)) expect(reason.length).toBeGreaterThan(10);
    const plan = planTicket(exampleB(), SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
    expect(plan.layers?.risks.map((bar) => bar.risk)).toEqual([...RISKS]);
  });

  it('sees what an overruled stack risks: wash-away under a dense design on a knit puckers more than cut-away', () => {
    const jersey = factsFor('jersey-tee', false, 2);
    const on = (stabilizer: 'cut-away' | 'wash-away-cloth'): Stack => ({
      sheets: [sheet(stabilizer)],
      topper: 'none',
      cover: 'none',
      trim: 'rounded',
    });
    expect(points(jersey, on('wash-away-cloth'), 'puckering')).toBeGreaterThan(
      points(jersey, on('cut-away'), 'puckering'),
    );
    expect(points(jersey, on('wash-away-cloth'), 'stiffness')).toBeLessThan(
      points(jersey, on('cut-away'), 'stiffness'),
    );
  });
});
