import { phrase } from '../../../base/units/phrase';
import { whyNotIn } from '../judgeHoop';
import type { Asked, Rescue } from './rescue';
/** Where the opening is too tight: open the seam nearest at hand. */
export function openSeam({ verdict, setting }: Asked): Rescue[] {
  if (!verdict.whyNotUsed || whyNotIn(verdict.hoop, { ...setting, opened: ['a seam'] })) return [];
  const seams = setting.outline.seams.filter((s) => s.style === 'seam');
  const [seam] = [...seams.filter((s) => s.id.startsWith('sideSeam')), ...seams];
  if (!seam) return [];
  return [
    {
      label: phrase`Open the ${seam.name}`,
      result: phrase`lets ${verdict.hoop.name} in`,
      cost: phrase`closed again by hand; Finish lists it`,
      change: { stage: 'piece', set: { opened: [seam.name] } },
      removes: ['opening'],
    },
  ];
}
