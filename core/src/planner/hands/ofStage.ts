import type { Phase } from '../../model/deed';
import type { HouseRules } from '../../model/houseRules';
import type { Stage } from '../../model/stages';
import type { Results } from '../planned';
import { jobActs } from './jobActs';

/** The phases that a stage has in hand: the hoop's begin with what must be done before it closes. */
const PHASES_OF: Partial<Record<Stage, readonly Phase[]>> = {
  piece: ['measure'],
  place: ['prepare', 'mark', 'transfer'],
  hoop: ['measure the rest', 'cut', 'bond', 'hoop'],
  layers: ['cut', 'bond'],
  mount: ['check'],
  stitch: ['stitch', 'further copies'],
  finish: ['finish'],
};

/** Whether a phase of the job is in a stage's hand. */
export const isOfStage = (phase: Phase, stage: Stage): boolean => PHASES_OF[stage]?.includes(phase) ?? false;

/** Whether hands have anything to do in a stage, as far as it is planned. */
export const hasActs = (stage: Stage, results: Results, rules: HouseRules): boolean =>
  jobActs(results, rules).some(({ phase }) => isOfStage(phase, stage));
