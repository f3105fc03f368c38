import { phrase } from '../../../base/units/phrase';
import { otherHoop } from '../../../model/ticket/hoop';
import { judgeHoop } from '../judgeHoop';
import type { Rescue, RescueQuestion } from './rescue';
import { ALL_FAULTS, set, works } from './rescue';

/**
 * Where the opening is too tight: open the seam nearest at hand. A hoop that is not in hand is taken too, and only where it
 * then stitches the design.
 */
export function openSeam({ verdict, setting, laid, input, method }: RescueQuestion): Rescue[] {
  if (verdict.whyNotUsed === null) return [];
  const opened = judgeHoop(verdict.hoop, { ...setting, opened: ['a seam'] });
  const isInHand = laid?.verdict === verdict;
  if (opened.whyNotUsed !== null || !(isInHand || works(opened, method))) return [];
  const seams = setting.outline.seams.filter((s) => s.style === 'seam');
  const [seam] = [...seams.filter((s) => s.id.startsWith('sideSeam')), ...seams];
  if (!seam) return [];
  return [
    {
      label: phrase`Open the ${seam.name}`,
      result: phrase`lets ${verdict.hoop.name} in`,
      cost: phrase`closed again by hand; Finish lists it`,
      change: { stage: 'piece', set: { opened: [seam.name] } },
      ...(isInHand || input.hoopId === null ? {} : { also: set(otherHoop(verdict.hoop.id)) }),
      removes: isInHand ? ['opening'] : ALL_FAULTS,
    },
  ];
}
