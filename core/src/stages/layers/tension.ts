import { type Phrase, phrase } from '../../base/units/phrase';
import { schoolReason } from '../../catalogue/schools';
import type { Reason } from '../../model/reason';
import type { LayerFacts } from './facts';

/** What the tension depends on. */
type TensionFacts = Pick<LayerFacts, 'knit' | 'floated' | 'schools'>;

/** Whether a knit is smoothed once more after closing, as some shops hold; never further than flat. */
export const isSnugged = ({ knit, floated, schools }: TensionFacts): boolean =>
  knit && !floated && schools.knitTension === 'snug';

/** How taut what is in the ring should be, with the school where the shop has one; `bonded` to a sheet or not. */
export function tensionFor(facts: TensionFacts, bonded: boolean): Reason {
  const about = 'tension';
  const plain = (text: Phrase): Reason => ({ about, text, arithmetic: [] });
  if (facts.floated)
    return plain(
      phrase`The stabilizer alone in the ring, taut like a drum; the piece lies on it without a pull.`,
    );
  if (!facts.knit) return plain(phrase`Taut like a drum: it cannot be pinched.`);
  const text = isSnugged(facts)
    ? phrase`Snug it after closing, no further than flat: what is stretched springs back and puckers.`
    : phrase`Smooth and flat${bonded ? ', bonded to its support first' : ''}, never stretched: what is pulled now springs back and puckers.`;
  return { about, text, arithmetic: [], school: schoolReason('knitTension', facts.schools.knitTension) };
}
