import { TZDate } from '@date-fns/tz';
import { count, money, type Phrase, percent, phrase } from '../../base/units/phrase';
import type { ChangedNumber, Earned, Week } from '../../model/weeks';
import { isoOfMs } from '../day/calendar';

/** One entry of the logbook, as far as a week counts it. */
export interface MadeThen {
  atMs: number;
  pieces: number;
  spoilt: number;
  /** Minutes at the machine; null where they were not taken. */
  plannedMinutes: number | null;
  wasMinutes: number | null;
}

/** When the last so many weeks begin, on Mondays by the clocks of the shop, the latest last; with the end of that one. */
export function mondays(nowMs: number, count: number, zone: string): number[] {
  const now = new TZDate(nowMs, zone);
  const sinceMonday = (now.getDay() + 6) % 7;
  return Array.from({ length: count + 1 }, (_, i) => {
    const day = now.getDate() - sinceMonday + (i - count + 1) * 7;
    return new TZDate(now.getFullYear(), now.getMonth(), day, zone).getTime();
  });
}

/** Which week a time falls in, from 0; −1 before the first, and after the last. */
function weekAt(begins: readonly number[], atMs: number): number {
  if (atMs < (begins[0] ?? Number.POSITIVE_INFINITY) || atMs >= (begins.at(-1) ?? 0)) return -1;
  let [low, high] = [0, begins.length - 2];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((begins[middle] ?? 0) <= atMs) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** What was made and earned week by week; a week in which nothing was is there with nothing in it. */
export function weeksOf(
  { made, earned }: { made: readonly MadeThen[]; earned: readonly Earned[] },
  begins: readonly number[],
  zone: string,
): Week[] {
  const weeks = begins.slice(0, -1).map(
    (ms): Week => ({
      monday: isoOfMs(ms, zone),
      pieces: 0,
      spoilt: 0,
      plannedMinutes: 0,
      wasMinutes: 0,
      timed: 0,
      orders: 0,
      promisedMinor: 0,
      countedMinor: 0,
      costMinor: 0,
    }),
  );
  for (const { atMs, pieces, spoilt, plannedMinutes, wasMinutes } of made) {
    const week = weeks[weekAt(begins, atMs)];
    if (!week) continue;
    week.pieces += pieces;
    week.spoilt += spoilt;
    if (plannedMinutes === null || wasMinutes === null) continue;
    week.plannedMinutes += plannedMinutes;
    week.wasMinutes += wasMinutes;
    week.timed += 1;
  }
  for (const { day, promisedMinor, costMinor } of earned) {
    const week = weeks.findLast(({ monday }) => monday <= day);
    if (!week) continue;
    week.orders += 1;
    week.promisedMinor += promisedMinor;
    if (costMinor === null) continue;
    week.countedMinor += promisedMinor;
    week.costMinor += costMinor;
  }
  return weeks;
}

/** What is left of an order’s price when its cost is paid, smallest coins; null where nobody worked out what it cost. */
export const leftOfEarned = ({ promisedMinor, costMinor }: Earned): number | null =>
  costMinor === null ? null : promisedMinor - costMinor;

const sumOf = (weeks: readonly Week[], of: (week: Week) => number): number =>
  weeks.reduce((sum, week) => sum + of(week), 0);

/** Weeks in two sentences: what was made, and how much longer than planned the machine took. */
export function sayWeeks(weeks: readonly Week[]): Phrase {
  const pieces = sumOf(weeks, (week) => week.pieces);
  const spoilt = sumOf(weeks, (week) => week.spoilt);
  const planned = sumOf(weeks, (week) => week.plannedMinutes);
  const was = sumOf(weeks, (week) => week.wasMinutes);
  const made = phrase`${count(pieces)} ${pieces === 1 ? 'piece' : 'pieces'}, ${count(spoilt)} spoilt.`;
  if (planned === 0) return phrase`${made} No minutes at the machine were taken.`;
  const by = Math.round((was / planned - 1) * 100);
  if (by === 0) return phrase`${made} The machine took as long as it was planned to.`;
  return phrase`${made} The machine took ${percent(Math.abs(by))} ${by > 0 ? 'longer' : 'shorter'} than it was planned to.`;
}

/** An order that was handed over, in words: what was promised, what it cost, and what is left. */
export function sayEarned(earned: Earned, currency: string): Phrase {
  const promised = phrase`${money(earned.promisedMinor, currency)} promised`;
  const left = leftOfEarned(earned);
  if (left === null) return phrase`${promised}; what it cost was not worked out`;
  return phrase`${promised}, ${money(earned.costMinor ?? 0, currency)} cost: ${money(Math.abs(left), currency)} ${left < 0 ? 'put in' : 'left'}`;
}

/** What is left of a price when its cost is paid, percent of the price; null where nothing was promised. */
export const marginOf = (promisedMinor: number, costMinor: number): number | null =>
  promisedMinor === 0 ? null : ((promisedMinor - costMinor) / promisedMinor) * 100;

/** Numbers of the house that were changed, most often first; `states` are the shop's own figures as they came one after the other. */
export function changedNumbers(states: readonly Readonly<Record<string, number>>[]): ChangedNumber[] {
  const times = new Map<string, number>();
  for (const [i, now] of states.entries()) {
    const before = states[i - 1];
    if (!before) continue;
    for (const id of new Set([...Object.keys(before), ...Object.keys(now)]))
      if (before[id] !== now[id]) times.set(id, (times.get(id) ?? 0) + 1);
  }
  const last = states.at(-1) ?? {};
  return [...times]
    .map(([id, count]) => ({ id, times: count, value: last[id] ?? null }))
    .sort((a, b) => b.times - a.times || a.id.localeCompare(b.id));
}
