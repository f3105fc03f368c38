import { createEvents, type EventAttributes } from 'ics';
import type { DisplayUnits } from '../../base/units/length';
import { say } from '../../base/units/phrase';
import { clockTime, isoOfMs } from './calendar';
import type { DayPlan, HandsOn } from './dayPlan';
import { sayHands } from './now';

/** What is done to one ticket on one day of the calendar. */
interface OnOneDay {
  ticketId: string;
  day: string;
  hands: HandsOn[];
}

function byTicketAndDay({ hands, works, zone }: DayPlan): OnOneDay[] {
  const all = new Map<string, OnOneDay>();
  for (const one of hands) {
    const ticketId = works[one.work]?.ticketId ?? '';
    const day = isoOfMs(one.fromMs, zone);
    const key = `${ticketId} ${day}`;
    const before = all.get(key) ?? { ticketId, day, hands: [] };
    all.set(key, { ...before, hands: [...before.hands, one] });
  }
  return [...all.values()];
}

/**
 * A plan as a calendar file (RFC 5545): an event for each ticket on each day, from when hands are first at it until they
 * are last, with every step by the clock. Times are universal, so that no calendar shifts them. Empty for an empty plan.
 */
export function dayToIcs(plan: DayPlan, units: DisplayUnits): string {
  const events = byTicketAndDay(plan).map(({ ticketId, day, hands }): EventAttributes => {
    const pieces = new Set(hands.map(({ work }) => plan.works[work]?.piece)).size;
    const title = plan.works.find((work) => work.ticketId === ticketId)?.title ?? '';
    const lines = hands.flatMap((one) => {
      const piece = plan.works[one.work];
      return piece ? [`${clockTime(one.fromMs, plan.zone)} ${say(sayHands(one, piece), units)}`] : [];
    });
    return {
      uid: `${ticketId}-${day}@zealous-thimble`,
      productId: 'zealous-thimble',
      title: pieces > 1 ? `${title}: ${pieces} pieces` : title,
      description: lines.join('\n'),
      start: Math.min(...hands.map(({ fromMs }) => fromMs)),
      end: Math.max(...hands.map(({ toMs }) => toMs)),
      startOutputType: 'utc',
      endOutputType: 'utc',
      timestamp: plan.fromMs,
    } as EventAttributes;
  });
  const { value, error } = createEvents(events);
  if (error || value == null) throw new Error(`assertion failed: a plan makes a calendar: ${error}`);
  return value;
}
