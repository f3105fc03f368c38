import { type Phrase, phrase } from '../../base/units/phrase';
import { schoolReason } from '../../catalogue/schools';
import { schoolFor } from '../../model/houseRules';
import type { Reason } from '../../model/reason';
import type { Method } from '../../model/ticket/hoop';
import { densityRank } from '../design/designFacts';
import { isKnit } from '../piece/isKnit';
import type { HoopVerdict } from './judgeHoop';
import type { HoopSetting } from './setting';

export interface MethodChoice {
  method: Method;
  reason: Reason;
}

/**
 * Hooped or floated, by the shop's school and by what the hoops allow.
 * `usable` are the hoops the design fits; without one the answer is to float.
 */
export function chooseMethod(
  usable: readonly HoopVerdict[],
  { facts, fabric, rules }: Pick<HoopSetting, 'facts' | 'fabric' | 'rules'>,
): MethodChoice {
  const school = schoolFor(rules, 'method');
  const decided = (method: Method, text: Phrase, arithmetic: Phrase[] = []): MethodChoice => ({
    method,
    reason: { about: 'method', text, arithmetic, school: schoolReason('method', school) },
  });
  const heavyKnit = isKnit(fabric, rules) && densityRank(facts.densityClass) >= 3;
  const canHoop = usable.some((v) => v.whyNotHooped.length === 0);
  if (!canHoop) {
    const why = usable[0]?.whyNotHooped ?? [];
    return decided(
      'floated',
      phrase`Floated: ${why[0] ?? phrase`no hoop on the shelf can close on it`}.`,
      why.slice(1),
    );
  }
  if (heavyKnit)
    return decided(
      'hooped',
      phrase`Hooped: the cloth stretches and the design is heavy; floated it would pucker.`,
    );
  if (school === 'float') return decided('floated', phrase`Floated, as this shop does by default.`);
  if (school === 'floatLight' && densityRank(facts.densityClass) <= 1)
    return decided(
      'floated',
      phrase`Floated: the design is ${facts.densityClass}, and this shop floats light designs.`,
    );
  return decided('hooped', phrase`Hooped: the ring lies clear on the cloth and does not mark it.`);
}
