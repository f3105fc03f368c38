import { createHash } from 'node:crypto';
import type { HouseNumber } from '../catalogue/houseNumber';
import { STAGES } from '../model/stages';
import { planTicket } from '../planner/plan';
import { jobSteps } from '../table/deck/jobSteps';
import { variedJob } from './variedTickets';

/** What a plan is printed in: the stages, what is said over all of them, and the steps at the table. */
export const PRINTED = [...STAGES.filter((s) => s !== 'log'), 'findings', 'reasons', 'deck'] as const;
export type Printed = (typeof PRINTED)[number];

/** Figures are told apart from 1e-6 on: below lies the order in which sums were made. */
const figure = (value: number): string => (Math.abs(value) < 5e-7 ? '0' : value.toFixed(6));

const isHouseNumber = (value: object): value is HouseNumber => 'unit' in value && 'reason' in value;

/** Every word, figure and yes or no in a value, wherever it stands: renaming or moving a field changes nothing. A house number is printed by its id. */
function leavesOf(value: unknown, seen: Map<object, string[]>): string[] {
  if (typeof value === 'number') return [figure(value)];
  if (typeof value === 'string' || typeof value === 'boolean') return [String(value)];
  if (typeof value !== 'object' || value === null) return [];
  if (isHouseNumber(value)) return [value.id];
  const known = seen.get(value);
  if (known) return known;
  const leaves = Object.values(value).flatMap((one) => leavesOf(one, seen));
  seen.set(value, leaves);
  return leaves;
}

const digest = (text: string): string => createHash('sha256').update(text).digest('hex').slice(0, 10);

/** A short print of a value: equal where it holds the same figures and words. */
export const printOf = (value: unknown): string =>
  digest([...new Set(leavesOf(value, new Map()))].sort().join('\n'));

/** The plan of varied job n, printed stage by stage. */
export function planPrint(n: number): Record<Printed, string> {
  const { ticket, shelf, rules } = variedJob(n);
  const plan = planTicket(ticket, shelf, rules);
  const printed = { ...plan, deck: jobSteps(plan, rules) };
  return Object.fromEntries(PRINTED.map((part) => [part, printOf(printed[part])])) as Record<Printed, string>;
}
