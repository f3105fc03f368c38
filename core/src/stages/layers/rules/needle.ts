import { phrase } from '../../../base/units/phrase';
import {
  CANVAS,
  FINE,
  FINE_THREAD,
  KNIT,
  OPEN_WEAVE,
  SMALL_LETTERS,
  THICK_THREAD,
  TIGHT,
} from '../conditions';
import type { RuleGroup } from '../orderOfRules';
import { type ChoiceRule, choiceRule } from '../rule';

/** Which needle goes through. */
export const NEEDLE_RULES: RuleGroup<ChoiceRule> = {
  id: 'needle',
  rules: [
    choiceRule('needle', '90-large-eye', {
      id: 'needle-large-eye',
      on: [THICK_THREAD],
      before: ['needle-small-letters', 'needle-fine', 'needle-canvas', 'needle-knit', 'needle-tight'],
      reason: () => phrase`This thread shreds in a narrow eye.`,
    }),
    choiceRule('needle', '65', {
      id: 'needle-fine-thread',
      on: [FINE_THREAD],
      before: ['needle-small-letters', 'needle-fine', 'needle-canvas', 'needle-knit', 'needle-tight'],
      reason: () => phrase`Thin thread wants a thin needle: in a larger hole it lies loose.`,
    }),
    choiceRule('needle', '65', {
      id: 'needle-small-letters',
      on: [SMALL_LETTERS],
      before: ['needle-fine', 'needle-canvas', 'needle-knit', 'needle-tight'],
      reason: () => phrase`Small letters need fine holes.`,
    }),
    choiceRule('needle', '65', {
      id: 'needle-fine',
      on: [FINE],
      before: ['needle-tight'],
      reason: () => phrase`A fine needle leaves no holes in fine cloth.`,
    }),
    choiceRule('needle', '90', {
      id: 'needle-canvas',
      on: [CANVAS],
      reason: () => phrase`A 75 bends in canvas.`,
    }),
    choiceRule('needle', '75-ballpoint', {
      id: 'needle-knit',
      on: [KNIT],
      reason: () => phrase`A ballpoint parts the loops of a knit; a sharp one cuts them.`,
    }),
    choiceRule('needle', '75-sharp', {
      id: 'needle-tight',
      on: [TIGHT],
      reason: () => phrase`A sharp point pierces tight cloth cleanly.`,
    }),
    choiceRule('needle', '75-embroidery', {
      id: 'needle-usual',
      on: [],
      reason: () => phrase`The usual needle for 40 wt thread.`,
    }),
    choiceRule('needle', 'wing', {
      id: 'needle-wing',
      on: [OPEN_WEAVE],
      givesWayTo: ['needle-usual'],
      reason: () => phrase`For decorative holes, in heirloom work.`,
    }),
  ],
};
