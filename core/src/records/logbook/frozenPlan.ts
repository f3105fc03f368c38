import { type FrozenPlan, FrozenPlanSchema } from '../../model/frozenPlan';
import type { Plan } from '../../planner/planned';

/** Counted up whenever the planner makes a plan of another shape, so that a kept one tells which made it. */
export const PLANNER_VERSION = 4;

/** The plan as plain data, for keeping: outline functions of the piece's kind drop out. */
export const frozenPlan = (plan: Plan): FrozenPlan =>
  FrozenPlanSchema.parse({ ...JSON.parse(JSON.stringify(plan)), planner: PLANNER_VERSION });

/**
 * A kept plan as one that can be drawn; null where it has no piece. Its outline was looked at when it was read; the
 * rest of a drawing leaves out what is not there.
 */
export const drawnFrom = (frozen: FrozenPlan): Plan | null =>
  frozen.piece ? (frozen as unknown as Plan) : null;
