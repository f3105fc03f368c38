import { createHash } from 'node:crypto';
import { planTicket } from '../plan';
import { STAGES } from '../stages';
import { jobSteps } from '../steps/jobSteps';
import { variedJob } from './variedTickets';

/** What a plan is printed in: the stages, what is said over all of them, and the steps at the table. */
export const PRINTED = [...STAGES.filter((s) => s !== 'log'), 'findings', 'reasons', 'deck'] as const;
export type Printed = (typeof PRINTED)[number];

/** Figures are told apart from 1e-6 on: below lies the order in which sums were made. */
const figure = (value: number): string => (Math.abs(value) < 5e-7 ? '0' : value.toFixed(6));

/** Every word, figure and yes or no in a value, wherever it stands: renaming or moving a field changes nothing. */
function leavesOf(value: unknown, seen: Map<object, string[]>): string[] {
  if (typeof value === 'number') return [figure(value)];
  if (typeof value === 'string' || typeof value === 'boolean') return [String(value)];
  if (typeof value !== 'object' || value === null) return [];
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
