import type { Act } from '../../model/deed';
import type { HouseRules } from '../../model/houseRules';
import type { Results } from '../planned';
import { actOf } from './actOf';
import { bondActs, clothCutActs, cutActs, markActs, measureActs } from './acts/before';
import { furtherActs } from './acts/further';
import { hoopActs, hoopFacts } from './acts/hoop';
import { checkActs, stitchActs } from './acts/machine';

/** Closing the hoop; of a split design the part in hand is taken up with it. */
function firstHooping(results: Results, rules: HouseRules): Act[] {
  const facts = hoopFacts(results, rules);
  if (!facts) return [];
  const { split } = facts.hoop.laid;
  const of = split?.split.parts.length ?? 1;
  const part = (split?.index ?? 0) + 1;
  return [
    ...hoopActs(facts),
    ...(of < 2 ? [] : [actOf('hoop', `part ${part - 1}`, { do: 'take up part', part, of })]),
  ];
}

/**
 * The whole job as one ordered list: measure, prepare, mark, transfer, measure what could wait, cut, bond, hoop, check,
 * stitch, hoop and stitch each further copy and part, finish.
 * What waits for an earlier stage is left out.
 */
export const jobActs = (results: Results, rules: HouseRules): Act[] => [
  ...measureActs(results, 'measure'),
  ...markActs(results),
  ...(results.place ? measureActs(results, 'measure the rest') : []),
  ...cutActs(results, rules),
  ...clothCutActs(results),
  ...bondActs(results),
  ...(results.layers ? [actOf('bond', 'needle and thread', { do: 'choose needle and thread' })] : []),
  ...firstHooping(results, rules),
  ...checkActs(results),
  ...stitchActs(results),
  ...furtherActs(results, rules),
  ...(results.finish?.steps ?? []).map(({ id, deed }) => actOf('finish', `finish ${id}`, deed)),
];
