import { type Phrase, phrase } from '../../base/units/phrase';
import { schoolReason } from '../../catalogue/schools';
import { type HouseRules, schoolFor } from '../../model/houseRules';
import type { Reason } from '../../model/reason';
import type { Method } from '../../model/ticket/hoop';
import type { Fabric } from '../../model/ticket/piece';
import { isKnit } from '../piece/isKnit';

/** Whether a knit is smoothed once more after closing, as some shops hold; never further than flat. */
export const isSnugged = (fabric: Fabric, method: Method, rules: HouseRules): boolean =>
  method === 'hooped' && isKnit(fabric, rules) && schoolFor(rules, 'knitTension') === 'snug';

/** How taut what is in the ring should be, with the school where the shop has one; `bonded` to a sheet or not. */
export function tensionFor(fabric: Fabric, method: Method, bonded: boolean, rules: HouseRules): Reason {
  const about = 'tension';
  const plain = (text: Phrase): Reason => ({ about, text, arithmetic: [] });
  if (method === 'floated')
    return plain(
      phrase`The stabilizer alone in the ring, taut like a drum; the piece lies on it without a pull.`,
    );
  if (!isKnit(fabric, rules)) return plain(phrase`Taut like a drum: it cannot be pinched.`);
  const text = isSnugged(fabric, method, rules)
    ? phrase`Snug it after closing, no further than flat: what is stretched springs back and puckers.`
    : phrase`Smooth and flat${bonded ? ', bonded to its support first' : ''}, never stretched: what is pulled now springs back and puckers.`;
  return {
    about,
    text,
    arithmetic: [],
    school: schoolReason('knitTension', schoolFor(rules, 'knitTension')),
  };
}
