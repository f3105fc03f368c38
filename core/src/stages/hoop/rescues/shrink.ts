import { percent, phrase } from '../../../base/units/phrase';
import { numberFor } from '../../../catalogue/houseNumber';
import { DESIGN_NUMBERS } from '../../../catalogue/numbers/design';
import type { Rescue, RescueQuestion } from './rescue';
import { canClose, forHoop, judgeChanged, scaledBy, set, WHERE_IT_LIES, works } from './rescue';
/** Shrink the design, as far as its stitches stand it. */
export function shrink(asked: RescueQuestion): Rescue[] {
  const { verdict, setting, method } = asked;
  const { scalePercent } = setting.design;
  if (works(verdict, method) || (method === 'hooped' && !canClose(asked))) return [];
  const least = numberFor(setting.rules, DESIGN_NUMBERS.resizeLeastPercent);
  const freely = numberFor(setting.rules, DESIGN_NUMBERS.resizeFreelyPercent);
  const from = Math.min(scalePercent - 1, Math.floor(verdict.largestScale * scalePercent));
  for (let to = from; to >= least; to--) {
    const facts = scaledBy(setting.facts, to / scalePercent);
    if (!works(judgeChanged(asked, facts), method)) continue;
    const denser = ((100 / to) ** 2 - 1) * 100;
    return [
      {
        label: phrase`Shrink to ${percent(to)}`,
        result: phrase`fits ${verdict.hoop.name}`,
        cost: phrase`${percent(denser)} denser with the same stitches${to < freely ? ': watch for a stiff patch' : ''}`,
        change: { stage: 'design', set: { scalePercent: to } },
        also: set(forHoop(asked, { turnDeg: null, shift: null })),
        removes: WHERE_IT_LIES,
      },
    ];
  }
  return [];
}
