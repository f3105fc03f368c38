import { mm, phrase } from '../../../base/units/phrase';
import { numberFor } from '../../../catalogue/houseNumber';
import { LAYER_NUMBERS } from '../../../catalogue/numbers/layers';
import { SMALL_LETTERS } from '../conditions';
import type { RuleGroup } from '../orderOfRules';
import { type ChoiceRule, choiceRule } from '../rule';

/** Which thread goes on top. */
export const THREAD_RULES: RuleGroup<ChoiceRule> = {
  id: 'thread',
  rules: [
    choiceRule('thread', 'polyester-60', {
      id: 'thread-small-letters',
      on: [SMALL_LETTERS],
      reason: ({ rules }) =>
        phrase`Letters under ${mm(numberFor(rules, LAYER_NUMBERS.smallLetterMm))} close up in 40 wt.`,
    }),
    choiceRule('thread', 'polyester-40', {
      id: 'thread-usual',
      on: [],
      reason: (f) =>
        f.worn || f.looped ? phrase`It is washed often.` : phrase`Holds its colour in the wash.`,
    }),
    choiceRule('thread', 'rayon-40', {
      id: 'thread-sheen',
      on: [],
      givesWayTo: ['thread-usual'],
      reason: () => phrase`For sheen, where it is washed gently.`,
    }),
    choiceRule('thread', 'matte-40', {
      id: 'thread-aged',
      on: [],
      givesWayTo: ['thread-sheen'],
      reason: () => phrase`For an aged look.`,
    }),
    choiceRule('thread', 'metallic-40', {
      id: 'thread-metallic',
      on: [],
      givesWayTo: ['thread-aged'],
      reason: () => phrase`For glitter: run it slower.`,
    }),
  ],
};

/** Which thread goes in the bobbin. */
export const BOBBIN_RULES: RuleGroup<ChoiceRule> = {
  id: 'bobbin',
  rules: [
    choiceRule('bobbin', 'bobbin-60', {
      id: 'bobbin-usual',
      on: [],
      reason: () =>
        phrase`What most machines are set for: on the back it fills the middle third of a satin column.`,
    }),
    choiceRule('bobbin', 'bobbin-90', {
      id: 'bobbin-fine',
      on: [],
      givesWayTo: ['bobbin-usual'],
      reason: () => phrase`Finer: check the top tension first.`,
    }),
  ],
};
