import { toEnd } from '../base/inSteps';
import type { DayPlan } from '../business/day/dayPlan';
import type { DayAsked } from '../business/day/fromTickets';
import { planDay } from '../business/day/planDay';
import type { DaySheet, DayTicket } from '../model/day';
import { EMPTY_DAY } from '../model/day';
import type { Ticket } from '../model/ticket';
import { SAMPLE_RULES, SAMPLE_SHELF } from './samples';

/** A Friday morning, when the usual shop opens. */
export const FRIDAY_MS = Date.UTC(2026, 10, 27, 9, 0);

/** A day asked of the sample shelf, in universal time, from a Friday at nine. */
export const dayAsked = (
  tickets: readonly DayTicket[],
  more: Partial<DayAsked> & { sheet?: DaySheet } = {},
): DayAsked & { zone: string } => ({
  tickets,
  sheet: EMPTY_DAY,
  shelf: SAMPLE_SHELF,
  rules: SAMPLE_RULES,
  nowMs: FRIDAY_MS,
  zone: 'UTC',
  ...more,
});

/** A day planned to its end, without a rest. */
export const plannedDay = (asked: DayAsked & { zone: string }): DayPlan => toEnd(planDay(asked));

/** Tickets that are promised for a day, or for none. */
export const dueOn = (due: string | null, ...tickets: Ticket[]): DayTicket[] =>
  tickets.map((ticket) => ({ ticket, due, order: null }));
