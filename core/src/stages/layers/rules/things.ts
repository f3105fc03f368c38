import { phrase } from '../../../base/units/phrase';
import { NO_CLOTH, PLAIN_LETTERING, TOY } from '../conditions';
import type { RuleGroup } from '../orderOfRules';
import type { SupportRule } from '../rule';

/** What a thing is for goes before what it is made of: lace and toys. */
export const THINGS_RULES: RuleGroup<SupportRule> = {
  id: 'things',
  before: ['worn', 'loops', 'knits', 'linen', 'canvas', 'wovens'],
  rules: [
    {
      id: 'lace',
      on: [NO_CLOTH],
      before: ['toy-lettering', 'toy-detailed'],
      sheets: ['wash-away-film-heavy', 'wash-away-film-heavy'],
      further: 'wash-away-film-heavy',
      most: 2,
      reason: () => phrase`Lace stands on two heavy films alone, and they wash out.`,
    },
    {
      id: 'toy-lettering',
      on: [TOY, PLAIN_LETTERING],
      sheets: ['tear-away'],
      further: 'tear-away',
      held: { where: 'under the ring' },
      reason: (f) =>
        f.floated
          ? phrase`Letters of one colour on a toy: a sheet that tears away is enough to lie on.`
          : phrase`Letters of one colour on a toy: a sheet slipped under the ring is enough.`,
    },
    {
      id: 'toy-detailed',
      on: [TOY],
      sheets: ['cut-away'],
      further: 'tear-away',
      reason: () =>
        phrase`A detailed or outlined design on a toy: cut-away in the ring, or its outlines wander.`,
    },
  ],
};
