import type { FinishDeed } from '../../../model/deed';
import type { Words } from '../step';
import type { AnySaid, SayDeeds } from './say';

/** As the finish has it, where its sheets and cloth are known. */
function finished({ act, plan: { finish } }: AnySaid): Words {
  const step = finish?.steps.find(({ id }) => act.id === `finish ${id}`);
  return { text: step?.text ?? [], caution: step?.caution ?? null };
}

export const SAY_FINISH: SayDeeds<FinishDeed['do']> = {
  'take off': finished,
  'pick out crosses': finished,
  'pick out basting': finished,
  'pull topper': finished,
  'trim threads': finished,
  'trim appliqué': finished,
  tear: finished,
  'trim sheets': finished,
  soak: finished,
  'remove marks': finished,
  'iron topper': finished,
  'damp topper': finished,
  dry: finished,
  cover: finished,
  press: finished,
  'close seam': finished,
  'look over': finished,
};
