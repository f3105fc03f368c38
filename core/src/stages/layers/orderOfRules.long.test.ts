import fc from 'fast-check';
import { casesOf } from '../../testing/cases';
import { variedFacts } from '../../testing/variedFacts';
import { allHold, type Condition } from './conditions';
import type { LayerFacts } from './facts';
import { decidesBefore, inDecidingOrder, type RuleGroup } from './orderOfRules';
import { type ChoiceRule, decide, type SupportRule } from './rule';
import { RULE_GROUPS } from './rules';

type Rule = SupportRule | ChoiceRule;
const GROUPS = RULE_GROUPS as readonly (readonly RuleGroup<Rule>[])[];

const concludes = (rule: Rule): string => ('sheets' in rule ? rule.sheets.join(' + ') : rule.choice);
const areRivals = (a: Rule, b: Rule): boolean =>
  a.school !== undefined && a.school.question === b.school?.question && a.school.id !== b.school.id;

/** Whether the order leads from one rule to another, over others or straight. */
function leadsTo(order: ReturnType<typeof decidesBefore>, from: string, to: string): boolean {
  const seen = new Set<string>();
  const sought = [from];
  for (let id = sought.pop(); id !== undefined; id = sought.pop()) {
    if (id === to) return true;
    if (seen.has(id)) continue;
    seen.add(id);
    sought.push(...(order.get(id) ?? []));
  }
  return false;
}

describe('the order of the rules on layers', () => {
  it('is said for every two that can speak of one piece and conclude differently', () => {
    const orders = GROUPS.map((groups) => decidesBefore(groups));
    const together = new Set<string>();
    const unsaid = new Set<string>();
    fc.assert(
      fc.property(variedFacts, (facts) => {
        for (const [g, groups] of GROUPS.entries()) {
          const speaking = groups.flatMap(({ rules }) => rules).filter(({ on }) => allHold(on, facts));
          for (const a of speaking)
            for (const b of speaking) {
              if (a.id >= b.id || concludes(a) === concludes(b) || areRivals(a, b)) continue;
              together.add(`${a.id} ${b.id}`);
              const order = orders[g] ?? new Map();
              if (!leadsTo(order, a.id, b.id) && !leadsTo(order, b.id, a.id))
                unsaid.add(`${a.id} and ${b.id}`);
            }
        }
      }),
      { numRuns: casesOf(20_000, 4_000) },
    );
    expect([...unsaid]).toEqual([]);
    expect(together.size).toBeGreaterThan(120);
  });

  it('decides the same however the rules are listed', () => {
    const [support = []] = RULE_GROUPS;
    const listed = inDecidingOrder<SupportRule>(support);
    const turned = inDecidingOrder<SupportRule>(
      [...support].reverse().map((group) => ({ ...group, rules: [...group.rules].reverse() })),
    );
    const sheets = (rules: readonly SupportRule[], facts: LayerFacts) => decide(rules, facts)?.rule.sheets;
    fc.assert(
      fc.property(variedFacts, (facts) => expect(sheets(turned, facts)).toEqual(sheets(listed, facts))),
      { numRuns: casesOf(5_000, 1_500) },
    );
  });
});

describe('putting rules in order', () => {
  const [A, B]: [Condition, Condition] = [
    { words: 'a', holds: () => true },
    { words: 'b', holds: () => true },
  ];
  const order = (
    ...groups: RuleGroup<{ id: string; on: Condition[]; before?: string[]; givesWayTo?: string[] }>[]
  ) => inDecidingOrder(groups).map(({ id }) => id);

  it('puts the more particular rule first, and one that implies another’s condition', () => {
    const rules = [
      { id: 'any', on: [] },
      { id: 'a', on: [A] },
      { id: 'ab', on: [A, B] },
      { id: 'kind of a', on: [{ words: 'c', holds: () => true, implies: [A] }] },
    ];
    expect(order({ id: 'g', rules })).toEqual(['ab', 'kind of a', 'a', 'any']);
  });

  it('goes by what the rules say of each other before what their groups say, and by both before particularity', () => {
    const rules = [
      { id: 'ab', on: [A, B], givesWayTo: ['a'] },
      { id: 'a', on: [A] },
    ];
    expect(order({ id: 'g', rules })).toEqual(['a', 'ab']);
    const first = { id: 'first', rules: [{ id: 'one', on: [A, B] }] };
    const then = { id: 'then', before: ['first'], rules: [{ id: 'two', on: [] }] };
    expect(order(first, then)).toEqual(['two', 'one']);
    const kept = { ...first, rules: [{ id: 'one', on: [], before: ['two'] }] };
    expect(order(then, kept)).toEqual(['one', 'two']);
  });

  it('throws where rules go round in a circle, or name what is not there', () => {
    const round = [
      { id: 'a', on: [], before: ['b'] },
      { id: 'b', on: [], before: ['a'] },
    ];
    expect(() => order({ id: 'g', rules: [{ id: 'c', on: [A], before: ['d'] }] })).toThrow('names d');
    expect(() => order({ id: 'g', rules: [...round, { id: 'c', on: [] }] })).toThrow(/in a circle: a, b/);
  });
});
