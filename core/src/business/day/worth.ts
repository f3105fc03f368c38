import { count, minutes, type Phrase, percent, phrase } from '../../base/units/phrase';
import type { DayPlan } from './dayPlan';

const S_A_MINUTE = 60;

/** How much later than promised pieces are, all together, and how much of that no order could spare; nothing where none is late. */
function sayLate({ lateS, leastLateS }: Pick<DayPlan, 'lateS' | 'leastLateS'>): Phrase {
  if (lateS < S_A_MINUTE) return phrase``;
  const least =
    leastLateS < S_A_MINUTE ? phrase`` : phrase`, at least ${minutes(leastLateS / S_A_MINUTE)} in any order`;
  return phrase` Late by ${minutes(lateS / S_A_MINUTE)} of work in all${least}.`;
}

/**
 * How good a plan is, in words. What is promised comes first: where pieces are late, the best order is the least late, and
 * another may well be done sooner.
 */
export function sayWorth({
  isExact,
  gap,
  lateS,
  leastLateS,
  rethreads,
}: Pick<DayPlan, 'isExact' | 'gap' | 'lateS' | 'leastLateS' | 'rethreads'>): Phrase {
  const threads = phrase`${count(rethreads)} ${rethreads === 1 ? 'thread' : 'threads'} put on.`;
  const isLate = lateS >= S_A_MINUTE;
  if (isExact && isLate)
    return phrase`No other order is less late.${sayLate({ lateS, leastLateS: 0 })} ${threads}`;
  if (isExact || (gap === 0 && !isLate)) return phrase`No other order is done sooner. ${threads}`;
  return phrase`At most ${percent(Math.ceil(gap * 100))} longer than any order could be.${sayLate({ lateS, leastLateS })} ${threads}`;
}
