import { phrase } from '../../../base/units/phrase';
import { type HoopVerdict, judgeHoop } from '../judgeHoop';
import type { HoopSetting } from '../setting';
import type { Asked, HoopState, Rescue } from './rescue';

/** Whether a hoop is of use once a seam is open, and was not before. */
const isLetIn = ({ hoop, whyNotUsed }: HoopVerdict, setting: HoopSetting): boolean =>
  whyNotUsed !== null && judgeHoop(hoop, { ...setting, opened: ['a seam'] }).whyNotUsed === null;

/** Where no hoop takes the design as the piece is: the smallest that would, once the seam nearest at hand is open. */
export function openSeamForAny({ verdicts, ...state }: Omit<HoopState, 'laid'>): Rescue[] {
  const area = ({ hoop }: HoopVerdict) => hoop.fieldWidthMm * hoop.fieldHeightMm;
  const [verdict] = verdicts
    .filter((one) => one.fits && isLetIn(one, state.setting))
    .sort((a, b) => area(a) - area(b));
  return verdict ? openSeam({ ...state, verdicts, verdict, laid: null }) : [];
}

/** Where the opening is too tight: open the seam nearest at hand. */
export function openSeam({ verdict, setting }: Asked): Rescue[] {
  if (!isLetIn(verdict, setting)) return [];
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
