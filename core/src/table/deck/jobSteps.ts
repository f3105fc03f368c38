import type { Act, DeedName, FinishDeed, MachineDeed } from '../../model/deed';
import type { HouseRules } from '../../model/houseRules';
import type { Stage } from '../../model/stages';
import { jobActs } from '../../planner/hands/jobActs';
import { isOfStage } from '../../planner/hands/ofStage';
import type { Plan } from '../../planner/planned';
import { deckStep, type Step, type Words } from './step';
import { SAY_BEFORE } from './words/before';
import { SAY_HOOP } from './words/hoop';
import { checked, SAY_MACHINE } from './words/machine';
import type { Said, SayDeeds } from './words/say';

/** What has no words of its own is said as the checklist of the machine and the finish have it. */
const SAY: SayDeeds<Exclude<DeedName, MachineDeed['do'] | FinishDeed['do']>> &
  Partial<SayDeeds<MachineDeed['do'] | FinishDeed['do']>> = { ...SAY_BEFORE, ...SAY_HOOP, ...SAY_MACHINE };

/** What is said and shown of an act. */
function wordsOf(act: Act, plan: Plan, rules: HouseRules): Words {
  const say = (SAY[act.deed.do] ?? checked) as (said: Said<DeedName>) => Words;
  return say({ act, deed: act.deed, plan, rules });
}

/** The whole job as one ordered list: every act of it with its words. */
export const jobSteps = (plan: Plan, rules: HouseRules): Step[] =>
  jobActs(plan, rules).map((act) => deckStep(act, wordsOf(act, plan, rules)));

/** The deck of a stage: its slice of the job. Empty where the stage has no steps, or waits for an earlier one. */
export const deckOf = (stage: Stage, plan: Plan, rules: HouseRules): Step[] =>
  jobSteps(plan, rules).filter(({ phase }) => isOfStage(phase, stage));

/**
 * The colours that cloth is laid and covered with, of the first copy, and what hands do between them, in order. Empty where no
 * cloth is laid.
 */
export const clothSteps = (plan: Plan, rules: HouseRules): { step: Step; isByHand: boolean }[] =>
  jobActs(plan, rules).flatMap((act) => {
    const { phase, deed } = act;
    if (phase !== 'stitch' || (plan.design.facts?.cloths ?? []).length === 0) return [];
    const isByHand = deed.do !== 'stitch';
    const isOfCloth = isByHand || (deed.stop !== 'all' && plan.stitch?.stops[deed.stop]?.applique != null);
    return isOfCloth ? [{ step: deckStep(act, wordsOf(act, plan, rules)), isByHand }] : [];
  });
