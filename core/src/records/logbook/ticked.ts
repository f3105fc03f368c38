import type { Stage } from '../../model/stages';
import { STAGES } from '../../model/stages';
import { type LogInput, MOST_TICKS } from '../../model/ticket/log';

/** Between two ticks that are further apart the hands were elsewhere, s. */
const AWAY_S = 30 * 60;

/** A tick of the deck as it is kept: when, ms since 1970, and at which stage. */
export const tickAt = (ms: number, stage: Stage): string => `${Math.floor(ms / 1000)} ${stage}`;

/** The ticks with one more; the earliest go where there would be too many. */
export const withTick = (ticks: readonly string[], tick: string): string[] =>
  [...new Set([...ticks, tick])].sort().slice(-MOST_TICKS);

/**
 * The minutes that each stage took by the ticks of the deck: between a tick and the one before it the hands were at the
 * stage of the later. Of a pause nothing counts, and nothing of the first tick. Whole minutes; stages without any are left out.
 */
export function minutesTicked(ticks: readonly string[]): Partial<Record<Stage, number>> {
  const read = [...ticks].sort().flatMap((tick) => {
    const [at = '', name = ''] = tick.split(' ');
    const stage = STAGES.find((one) => one === name);
    const seconds = Number.parseInt(at, 10);
    return stage && Number.isFinite(seconds) ? [{ seconds, stage }] : [];
  });
  const sums = new Map<Stage, number>();
  read.forEach(({ seconds, stage }, i) => {
    const before = read[i - 1];
    if (!before || seconds - before.seconds > AWAY_S) return;
    sums.set(stage, (sums.get(stage) ?? 0) + seconds - before.seconds);
  });
  return Object.fromEntries(
    STAGES.flatMap((stage) => {
      const minutes = Math.round((sums.get(stage) ?? 0) / 60);
      return minutes > 0 ? [[stage, minutes]] : [];
    }),
  );
}

/** The minutes of a report: as they were typed, else by the ticks. */
export const minutesOf = ({ minutes, ticks }: Pick<LogInput, 'minutes' | 'ticks'>): LogInput['minutes'] => ({
  ...minutesTicked(ticks),
  ...minutes,
});
