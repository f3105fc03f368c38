import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { planTicket } from '../../planner/plan';
import { exampleA, exampleB, SAMPLE_SHELF } from '../../testing/samples';

const MM = { system: 'mm' } as const;

describe('tension', () => {
  it.each([
    [exampleA(), {}, 'bonded to its support first', 'bond first, never stretch'],
    [exampleA(), { knitTension: 'snug' }, 'Snug it after closing', 'snug it after closing'],
    [exampleB(), {}, 'The stabilizer alone in the ring', undefined],
    [
      { ...exampleA(), piece: { ...exampleA().piece, fabricId: 'stable-cotton' } },
      {},
      'it cannot be pinched',
      undefined,
    ],
  ])('%#: by cloth, method and school', (ticket, schools, words, school) => {
    const plan = planTicket(ticket, SAMPLE_SHELF, { ...DEFAULT_HOUSE_RULES, schools });
    expect(say(plan.layers?.tension ?? [], MM)).toContain(words);
    expect(plan.layers?.reasons.find((r) => r.about === 'tension')?.school?.chosen).toBe(school);
  });
});
