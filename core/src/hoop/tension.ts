import { type Reason, schoolReason } from '../findings/reason';
import type { Fabric } from '../piece/schema';
import { type HouseRules, schoolFor } from '../rules/schema';
import { type Phrase, phrase } from '../units/phrase';
import { isKnit } from './chooseMethod';
import type { Method } from './schema';

/** How taut what is in the ring should be, with the school where the shop has one. */
export function tensionFor(fabric: Fabric, method: Method, rules: HouseRules): Reason {
  const about = 'tension';
  const plain = (text: Phrase): Reason => ({ about, text, arithmetic: [] });
  if (method === 'floated')
    return plain(
      phrase`The stabilizer alone in the ring, taut like a drum; the piece lies on it without a pull.`,
    );
  if (!isKnit(fabric)) return plain(phrase`Taut like a drum: it cannot be pinched.`);
  const school = schoolFor(rules, 'knitTension');
  const text =
    school === 'bond'
      ? phrase`Smooth and flat, bonded to its support first, never stretched: what is pulled now springs back and puckers.`
      : phrase`Snug it after closing, no further than flat: what is stretched springs back and puckers.`;
  return { about, text, arithmetic: [], school: schoolReason('knitTension', school) };
}
