import { TZDate } from '@date-fns/tz';
import { MONTHS } from '../../base/units/months';
import { type OpeningHours, readDays, readHours, WEEKDAYS } from '../../model/openingHours';
import { EPSILON } from './work';

/** A stretch of time in which somebody is there to work, ms since 1970. */
export interface Open {
  fromMs: number;
  toMs: number;
}

const MS_A_SECOND = 1000;
/** A pause longer than this is a night: what is then in a hoop stays in it. */
const NIGHT_MS = 3 * 3600 * MS_A_SECOND;
/** So many days are looked ahead, open or not. */
export const DAYS_AHEAD = 60;

const isoOf = (date: TZDate): string =>
  `${date.getFullYear()}-${String(date.getMonth() + 1).padStart(2, '0')}-${String(date.getDate()).padStart(2, '0')}`;

/** A day of the calendar in the shop’s time zone, so many days after the one that a time falls on. */
const dayAfter = (ms: number, days: number, zone: string): TZDate => {
  const on = new TZDate(ms, zone);
  return new TZDate(on.getFullYear(), on.getMonth(), on.getDate() + days, zone);
};

/** The day of the calendar on which a time falls in a time zone, ISO. */
export const isoOfMs = (ms: number, zone: string): string => isoOf(new TZDate(ms, zone));

/**
 * When the shop is open from a time on, by its own clocks: where these are put forward in the night an hour is missing,
 * where they are put back it is there twice. A time that a clock leaves out is the one after the gap.
 */
export function openFrom(hours: OpeningHours, fromMs: number, zone: string): Open[] {
  const closed = readDays(hours.closed) ?? [];
  const all: Open[] = [];
  for (let i = -1; i < DAYS_AHEAD; i += 1) {
    const day = dayAfter(fromMs, i, zone);
    if (closed.includes(isoOf(day))) continue;
    const weekday = WEEKDAYS[(day.getDay() + 6) % 7] ?? 'Monday';
    for (const { fromMin, toMin } of readHours(hours.week[weekday]) ?? []) {
      const at = (minutes: number) =>
        new TZDate(day.getFullYear(), day.getMonth(), day.getDate(), 0, minutes, zone).getTime();
      const open = { fromMs: Math.max(fromMs, at(fromMin)), toMs: at(toMin) };
      if (open.toMs > open.fromMs) all.push(open);
    }
  }
  return all;
}

/** A shop's working time: seconds in which it is open, counted from the beginning of a plan. */
export class WorkingTime {
  /** Working seconds at the beginning of each stretch. */
  private readonly beginsS: readonly number[];

  constructor(readonly open: readonly Open[]) {
    let at = 0;
    this.beginsS = open.map(({ fromMs, toMs }) => {
      const begins = at;
      at += (toMs - fromMs) / MS_A_SECOND;
      return begins;
    });
  }

  private lengthS(i: number): number {
    const one = this.open[i];
    return one ? (one.toMs - one.fromMs) / MS_A_SECOND : 0;
  }

  /** All of it, seconds. */
  get totalS(): number {
    return (this.beginsS.at(-1) ?? 0) + this.lengthS(this.open.length - 1);
  }

  /** Working seconds until a time. */
  until(ms: number): number {
    let sum = 0;
    for (const { fromMs, toMs } of this.open) {
      if (ms <= fromMs) break;
      sum += (Math.min(ms, toMs) - fromMs) / MS_A_SECOND;
    }
    return sum;
  }

  /** When the shop closes for the night, working seconds. */
  closes(): number[] {
    return this.open.flatMap(({ toMs }, i) => {
      const next = this.open[i + 1];
      return next && next.fromMs - toMs <= NIGHT_MS ? [] : [(this.beginsS[i] ?? 0) + this.lengthS(i)];
    });
  }

  /** A stretch of working time as it is on the clock: parted where the shop is closed. What lies past the end has no time. */
  onClock(fromS: number, toS: number): Open[] {
    return this.open.flatMap(({ fromMs }, i): Open[] => {
      const begins = this.beginsS[i] ?? 0;
      const from = Math.max(fromS, begins);
      const to = Math.min(toS, begins + this.lengthS(i));
      if (to - from <= EPSILON) return [];
      const ms = (seconds: number) => Math.round(fromMs + (seconds - begins) * MS_A_SECOND);
      return [{ fromMs: ms(from), toMs: ms(to) }];
    });
  }

  /** When something of the plan ends on the clock; null where that lies further ahead than is looked. */
  endsAt(seconds: number): number | null {
    const i = this.beginsS.findIndex((begins, at) => seconds <= begins + this.lengthS(at) + EPSILON);
    const open = this.open[i];
    return open ? Math.round(open.fromMs + (seconds - (this.beginsS[i] ?? 0)) * MS_A_SECOND) : null;
  }
}

const two = (figure: number): string => String(figure).padStart(2, '0');

/** A time as the shop’s clocks show it: `14:05`. */
export function clockTime(ms: number, zone: string): string {
  const at = new TZDate(ms, zone);
  return `${at.getHours()}:${two(at.getMinutes())}`;
}

/** A day as it is called in the shop: `Friday 27 November`. */
export function clockDay(ms: number, zone: string): string {
  const at = new TZDate(ms, zone);
  return `${WEEKDAYS[(at.getDay() + 6) % 7]} ${at.getDate()} ${MONTHS[at.getMonth()]}`;
}

/** The end of a day of the calendar, ms: until then what is promised for it may be handed over. */
export function endOfDay(iso: string, zone: string): number {
  const [year = 1970, month = 1, day = 1] = iso.split('-').map(Number);
  return new TZDate(year, month - 1, day + 1, zone).getTime();
}
