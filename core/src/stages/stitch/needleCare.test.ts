import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { needleCare } from './needleCare';

const MM = { system: 'mm' } as const;

it('a needle is changed after the house’s hours, power off before anything else', () => {
  const care = needleCare({ ...DEFAULT_HOUSE_RULES, numbers: { needleHours: 6 } });
  expect(say(care.when, MM)).toMatch(/^After 6 hours, after any strike/);
  expect(say(care.steps[0] ?? [], MM)).toMatch(/^Power off, or locked as its manual says/);
  expect(say(care.afterStrike, MM)).toMatch(/glasses on, power off, and find every piece/);
});
