import { count, phrase } from '../../../base/units/phrase';
import { MAY_GET_WET, SINKS, STAYS_DRY, STRONG_CONTRAST, TAKES_AN_IRON, TAKES_NO_IRON } from '../conditions';
import type { RuleGroup } from '../orderOfRules';
import { type ChoiceRule, choiceRule } from '../rule';

/** What goes on top. */
export const TOPPER_RULES: RuleGroup<ChoiceRule> = {
  id: 'topper',
  rules: [
    choiceRule('topper', 'permanent-film', {
      id: 'topper-contrast',
      on: [STRONG_CONTRAST],
      before: ['topper-sinks', 'topper-dry', 'topper-neither', 'topper-always'],
      reason: (f) =>
        phrase`Thread and ground differ by ${count(Math.round(f.contrast))} in lightness: ${f.looped ? 'between the loops' : 'through a pale fill'} the ground shows without a film that stays, or a denser fill.`,
    }),
    choiceRule('topper', 'soluble-film', {
      id: 'topper-sinks',
      on: [SINKS, MAY_GET_WET],
      before: ['topper-dry'],
      reason: (f) => phrase`Stitches sink into ${f.fabricName.toLowerCase()}: film keeps them on top.`,
    }),
    choiceRule('topper', 'heat-away-film', {
      id: 'topper-dry',
      on: [SINKS, TAKES_AN_IRON],
      before: ['topper-always'],
      reason: () => phrase`Heat-away film where it must stay dry.`,
    }),
    choiceRule('topper', 'permanent-film', {
      id: 'topper-neither',
      on: [SINKS, STAYS_DRY, TAKES_NO_IRON],
      reason: (f) =>
        phrase`Stitches sink into ${f.fabricName.toLowerCase()}, and no film may be washed or ironed out of it: one that stays.`,
    }),
    choiceRule('topper', 'soluble-film', {
      id: 'topper-always',
      on: [MAY_GET_WET],
      school: { question: 'topper', id: 'always' },
      reason: () => phrase`This shop lays a film on everything.`,
    }),
    choiceRule('topper', 'none', {
      id: 'topper-none',
      on: [],
      reason: (f) => phrase`On ${f.fabricName.toLowerCase()} nothing sinks.`,
    }),
  ],
};
