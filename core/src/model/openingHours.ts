import { z } from 'zod';
import { writtenAs } from '../base/units/schema';

/** When the shop is open on a day, minutes after midnight; over midnight the end is past 24 hours. */
export interface OpenStretch {
  fromMin: number;
  toMin: number;
}

const MINUTES_A_DAY = 24 * 60;
const TIME = /^(\d{1,2})(?:[:.](\d{2}))?$/;

function readTime(text: string): number | null {
  const [, hours, minutes = '0'] = TIME.exec(text.trim()) ?? [];
  if (hours === undefined || Number(minutes) > 59) return null;
  const at = Number(hours) * 60 + Number(minutes);
  return at <= MINUTES_A_DAY ? at : null;
}

function readStretch(text: string): OpenStretch | null {
  const [from, to, ...more] = text.split(/–|—|-|to/).map(readTime);
  if (from == null || to == null || more.length > 0 || from === to || from === MINUTES_A_DAY) return null;
  return { fromMin: from, toMin: to > from ? to : to + MINUTES_A_DAY };
}

/**
 * The hours of a day as people write them: `9:00–12:30, 13:30–17:00`; nothing, or `closed`, for a day off. What ends before
 * it begins ends on the next day. Null where it is not understood, or two of them overlap.
 */
export function readHours(text: string): OpenStretch[] | null {
  const plain = text.trim().toLowerCase();
  if (plain === '' || plain === 'closed') return [];
  const all = plain.split(',').map(readStretch);
  const read = all.flatMap((one) => one ?? []).sort((a, b) => a.fromMin - b.fromMin);
  if (read.length < all.length) return null;
  const ends = read.at(-1)?.toMin ?? 0;
  const isOver = ends - MINUTES_A_DAY > (read[0]?.fromMin ?? 0);
  return isOver || read.some(({ fromMin }, i) => i > 0 && fromMin < (read[i - 1]?.toMin ?? 0)) ? null : read;
}

/** Days of the calendar, apart by commas or spaces; null where one is none. */
export function readDays(text: string): string[] | null {
  const days = text.split(/[\s,;]+/).filter(Boolean);
  return days.every((day) => z.iso.date().safeParse(day).success) ? days : null;
}

/** Whether clocks of this machine know a time zone by that name. */
export function isZone(zone: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: zone }).resolvedOptions().timeZone !== '';
  } catch {
    return false;
  }
}

const HoursSchema = writtenAs(120, {
  takes: 'hours like 9:00–12:30, 13:30–17:00, or closed',
  isSo: (text) => readHours(text) !== null,
});

export const WEEKDAYS = [
  'Monday',
  'Tuesday',
  'Wednesday',
  'Thursday',
  'Friday',
  'Saturday',
  'Sunday',
] as const;
export type Weekday = (typeof WEEKDAYS)[number];

const usual = '9:00–12:30, 13:30–17:00';
export const USUAL_WEEK: Record<Weekday, string> = {
  Monday: usual,
  Tuesday: usual,
  Wednesday: usual,
  Thursday: usual,
  Friday: usual,
  Saturday: 'closed',
  Sunday: 'closed',
};

/** When somebody is there to work: by the days of the week, breaks between the stretches; and in which time zone. */
export const OpeningHoursSchema = z.object({
  /** By its name in the time zone database; empty for that of the device. */
  zone: writtenAs(60, {
    takes: 'a time zone like Europe/Lisbon',
    isSo: (text) => text === '' || isZone(text),
  }).default(''),
  week: z
    .object(
      Object.fromEntries(WEEKDAYS.map((day) => [day, HoursSchema])) as Record<Weekday, typeof HoursSchema>,
    )
    .default(USUAL_WEEK),
  /** Single days on which it is closed. */
  closed: writtenAs(2000, {
    takes: 'days like 2026-12-24, 2026-12-31',
    isSo: (text) => readDays(text) !== null,
  }).default(''),
});
export type OpeningHours = z.infer<typeof OpeningHoursSchema>;

export const USUAL_HOURS: OpeningHours = { zone: '', week: USUAL_WEEK, closed: '' };
