import { BELIEFS } from '../../stages/layers/beliefs';
import { HOUSE_NUMBERS } from './numbers';
import { answersTo, textOfBelief, textOfNumber } from './search';

const rules = (sought: string) => BELIEFS.filter((b) => answersTo(textOfBelief(b), sought)).map((b) => b.id);
const numbers = (sought: string) =>
  HOUSE_NUMBERS.filter((number) => answersTo(textOfNumber(number), sought)).map(({ id }) => id);

describe('searching the house rules', () => {
  it.each([
    ['terry', 'terry'],
    ['linen', 'linen-sticky'],
    ['hoodie', 'sweatshirt'],
    ['towel needle', 'needle-usual', false],
    ['worn wash-away', 'wearable-wash-away'],
  ])('“%s” finds the rule %s', (sought, id, there = true) => {
    expect(rules(sought).includes(id)).toBe(there);
  });

  it('finds numbers by their unit, and rules by the tickets they decide', () => {
    expect(numbers('hours')).toContain('needleHours');
    expect(numbers('spray')).toContain('sheetsACan');
    const [belief] = BELIEFS;
    if (!belief) throw new Error('there are rules');
    expect(answersTo(textOfBelief(belief, ['Rowing club crest']), 'rowing')).toBe(true);
    expect(answersTo(textOfBelief(belief), 'rowing')).toBe(false);
  });

  it('finds everything by nothing, and nothing by nonsense', () => {
    expect(rules('')).toHaveLength(BELIEFS.length);
    expect(rules('zzz')).toEqual([]);
  });
});
