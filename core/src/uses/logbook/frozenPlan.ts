import type { Plan } from '../../planner/planned';

/** The plan as plain data, for keeping: outline functions of the piece's kind drop out. */
export const frozenPlan = (plan: Plan): Record<string, unknown> =>
  JSON.parse(JSON.stringify(plan)) as Record<string, unknown>;
