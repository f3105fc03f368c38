import { toEnd } from '../../base/inSteps';
import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import { exampleA, exampleB, SAMPLE_SHELF } from '../../testing/samples';
import { whatChanges } from './whatChanges';

const MM = { system: 'mm' } as const;
const to = (schools: HouseRules['schools']) =>
  toEnd(
    whatChanges([exampleA(), exampleB()], SAMPLE_SHELF, {
      before: DEFAULT_HOUSE_RULES,
      after: { ...DEFAULT_HOUSE_RULES, schools },
    }),
  ).map(({ name, changes }) => `${name}: ${changes.map((change) => say(change, MM)).join('; ')}`);

describe('what a school changes', () => {
  it('is found in the steps too, and told by them', () => {
    expect(to({ prepare: 'press' })).toEqual([
      'Rowing club crest: now “Press it first; it stays unwashed.”',
      expect.stringMatching(/^Guesthouse monogram: now “Press it first; it stays unwashed/),
    ]);
    expect(to({ jumps: 'atEnd' })).toHaveLength(2);
    expect(to({ knitTension: 'snug' }).join()).toMatch(
      /Rowing club crest: Cut-away, medium, in the ring instead of/,
    );
  });

  it('is nothing where it changes nothing', () => {
    expect(to({})).toEqual([]);
    expect(to({ thickJacket: 'floated' })).toEqual([]);
  });
});
