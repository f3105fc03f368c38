import type { DayPlan } from '@zt/core/business/day/dayPlan';
import type { DayAsked } from '@zt/core/business/day/fromTickets';
import type { DayProgress } from '@zt/core/business/day/planDay';
import isEqual from 'fast-deep-equal';
import { planningDay } from '../workers/planningDay';

/** The plan of the day as far as it is known: the last one, and what is at work on the next. */
export interface Planning {
  plan: DayPlan | null;
  /** Null while nothing is at work. */
  working: { progress: DayProgress | null; stop: () => void } | null;
  failed: string | null;
}

type Asked = DayAsked & { zone: string };

let now: Planning = { plan: null, working: null, failed: null };
let asked: Asked | null = null;
const listeners = new Set<() => void>();

function become(next: Planning) {
  now = next;
  for (const changed of listeners) changed();
}

/** What a plan is made from, but for the time it begins. */
const askedOf = ({ nowMs: _nowMs, ...rest }: Asked) => rest;

/** Plans anew where anything it is made from has changed, or it is to be. What was planned before stands until then. */
export function askForPlan(next: Asked, { anew = false } = {}): void {
  if (!anew && asked && isEqual(askedOf(asked), askedOf(next))) return;
  now.working?.stop();
  asked = next;
  const job = planningDay(next, (progress) => {
    if (now.working?.stop === stop) become({ ...now, working: { progress, stop } });
  });
  const stop = () => job.stop();
  become({ ...now, working: { progress: null, stop }, failed: null });
  void job.done.then((worked) => {
    if (now.working?.stop !== stop) return;
    if (worked.state === 'done') become({ plan: worked.value, working: null, failed: null });
    else if (worked.state === 'failed') become({ ...now, working: null, failed: worked.message });
    else become({ ...now, working: null, failed: 'Stopped. What was planned before stands.' });
  });
}

export const planningNow = (): Planning => now;
export function onPlanning(changed: () => void): () => void {
  listeners.add(changed);
  return () => listeners.delete(changed);
}
