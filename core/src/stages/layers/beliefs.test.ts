import { toEnd } from '../../base/inSteps';
import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { planTicket } from '../../planner/plan';
import { whatChanges } from '../../table/houseRules/whatChanges';
import { exampleA, exampleB, SAMPLE_SHELF } from '../../testing/samples';
import { BELIEFS } from './beliefs';

const MM = { system: 'mm' } as const;
const TICKETS = [exampleA(), exampleB()];
const changed = (schools: Record<string, string>) =>
  toEnd(
    whatChanges(TICKETS, SAMPLE_SHELF, {
      before: DEFAULT_HOUSE_RULES,
      after: { ...DEFAULT_HOUSE_RULES, schools },
    }),
  ).map(({ id, changes }) => [id, changes.map((c) => say(c, MM)).join('; ')]);

describe('what this shop believes', () => {
  it('is every rule once, with when it speaks and what it concludes', () => {
    expect(new Set(BELIEFS.map((b) => b.id)).size).toBe(BELIEFS.length);
    expect(BELIEFS.length).toBeGreaterThan(50);
    for (const { on, concludes } of BELIEFS) {
      expect(on.length).toBeGreaterThan(3);
      expect(concludes.length).toBeGreaterThan(3);
    }
  });

  it('names the rule that decided each part of a plan', () => {
    const ids = new Set(BELIEFS.map((b) => b.id));
    const layers = planTicket(exampleB(), SAMPLE_SHELF, DEFAULT_HOUSE_RULES).layers;
    expect(layers?.supportRule).toBe('terry');
    for (const part of Object.values(layers?.parts ?? {})) expect(ids.has(part.rule)).toBe(true);
  });
});

describe('what changes with a school', () => {
  it('names the tickets it plans otherwise, and only those', () => {
    expect(changed({ layerCount: 'alwaysTwo' })).toEqual([
      [
        'ticket-example-a',
        'Cut-away, medium, in the ring, sprayed + Tear-away, medium, in the ring instead of Cut-away, medium, in the ring, sprayed',
      ],
    ]);
    expect(changed({ chest: 'armhole' })).toEqual([
      ['ticket-example-a', expect.stringMatching(/^the design lies [\d.]+ mm elsewhere$/)],
    ]);
    expect(changed({ jumps: 'atEnd' }).map(([id]) => id)).toEqual(['ticket-example-a', 'ticket-example-b']);
  });
});
