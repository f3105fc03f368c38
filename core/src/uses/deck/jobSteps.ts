import type { Act, DeedName, Phase } from '../../model/deed';
import type { HouseRules } from '../../model/houseRules';
import type { Stage } from '../../model/stages';
import { jobActs } from '../../planner/hands/jobActs';
import type { Plan } from '../../planner/planned';
import { type Step, stepOf, type Words } from './step';
import { SAY_BEFORE } from './words/before';
import { SAY_FINISH } from './words/finish';
import { SAY_HOOP } from './words/hoop';
import { SAY_MACHINE } from './words/machine';
import type { Said, SayDeeds } from './words/say';

const SAY: SayDeeds<DeedName> = { ...SAY_BEFORE, ...SAY_HOOP, ...SAY_MACHINE, ...SAY_FINISH };

/** What is said and shown of an act. */
function wordsOf(act: Act, plan: Plan, rules: HouseRules): Words {
  const say = SAY[act.deed.do] as (said: Said<DeedName>) => Words;
  return say({ act, deed: act.deed, plan, rules });
}

/** The whole job as one ordered list: every act of it with its words. */
export const jobSteps = (plan: Plan, rules: HouseRules): Step[] =>
  jobActs(plan, rules).map((act) => stepOf(act, wordsOf(act, plan, rules)));

/** The phases that a stage's deck shows: the hoop's begins with what must be done before it closes. */
const SLICES: Partial<Record<Stage, readonly Phase[]>> = {
  piece: ['measure'],
  place: ['prepare', 'mark', 'transfer'],
  hoop: ['measure the rest', 'cut', 'bond', 'hoop'],
  layers: ['cut', 'bond'],
  mount: ['check'],
  stitch: ['stitch', 'further copies'],
  finish: ['finish'],
};

/** The deck of a stage: its slice of the job. Empty where the stage has no steps, or waits for an earlier one. */
export function deckOf(stage: Stage, plan: Plan, rules: HouseRules): Step[] {
  const phases = SLICES[stage];
  return phases ? jobSteps(plan, rules).filter(({ phase }) => phases.includes(phase)) : [];
}
