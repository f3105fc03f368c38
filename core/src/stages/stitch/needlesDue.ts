import { count, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { STITCH_NUMBERS } from '../../catalogue/numbers/stitch';
import type { HouseRules } from '../../model/houseRules';
import type { Machine } from '../../model/shelf';
import { needlesOf } from '../../stock/supplies';
import { minuteIn, type StopTime, type Timeline } from './timeline';

interface NeedleStop {
  needle: number;
  time: Pick<StopTime, 'sewing'>;
}

/** A needle that comes to its hours while one design is stitched: in which stop, and after what share of it, 0 to 1. */
export interface NeedleDue {
  needle: number;
  stop: number;
  share: number;
}

const MINUTES_AN_HOUR = 60;

/** The needles that come to their hours in one design, in the order they do; at its first stop where one has them already. */
export function needlesDue(
  stops: readonly NeedleStop[],
  { machine, rules }: { machine: Machine | null; rules: HouseRules },
): NeedleDue[] {
  if (!machine) return [];
  const mostMinutes = numberFor(rules, STITCH_NUMBERS.needleHours) * MINUTES_AN_HOUR;
  const minutes = needlesOf(machine).map(({ hours }) => hours * MINUTES_AN_HOUR);
  const due: NeedleDue[] = [];
  for (const [stop, { needle, time }] of stops.entries()) {
    const before = minutes[needle] ?? 0;
    minutes[needle] = before + time.sewing;
    if (before + time.sewing < mostMinutes || due.some((one) => one.needle === needle)) continue;
    const share = Math.max(0, (mostMinutes - before) / Math.max(1e-9, time.sewing));
    due.push({ needle, stop, share });
  }
  return due;
}

/** The timeline with whoever changes those needles in it. */
export function withNeedles(timeline: Timeline, due: readonly NeedleDue[], rules: HouseRules): Timeline {
  const most = numberFor(rules, STITCH_NUMBERS.needleHours);
  const presences = due.map(({ needle, stop, share }) => ({
    at: minuteIn(timeline, stop, share),
    what: phrase`change needle ${String(needle + 1)}, it has its ${count(most)} hours: power off first`,
  }));
  return { ...timeline, presences: [...timeline.presences, ...presences].sort((a, b) => a.at - b.at) };
}
