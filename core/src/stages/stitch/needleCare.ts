import { count, type Phrase, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { STITCH_NUMBERS } from '../../catalogue/numbers/stitch';
import type { HouseRules } from '../../model/houseRules';

/** When a needle is changed, how, and what to mind after it struck something. */
export interface NeedleCare {
  when: Phrase;
  steps: Phrase[];
  afterStrike: Phrase;
}

/** Changing the needle; the machine's own manual comes first. */
export const needleCare = (rules: HouseRules): NeedleCare => ({
  when: phrase`After ${count(numberFor(rules, STITCH_NUMBERS.needleHours))} hours, after any strike, when a ball of adhesive comes back after it was wiped off, when thread frays or it thuds.`,
  steps: [
    phrase`Power off, or locked as its manual says, before a hand goes near the needle.`,
    phrase`Loosen the clamp, take the old needle out, put the new one in as far as it goes: its flat, and with it the scarf above the eye, as the manual shows.`,
    phrase`Turn the wheel by hand once: it must clear plate and foot.`,
  ],
  afterStrike: phrase`After a strike: glasses on, power off, and find every piece of the needle before you go on.`,
});
