import type { Open } from '@zt/core/business/day/calendar';

const MS_A_MINUTE = 60_000;
/** As long as the narrowest thing that hands do is wide enough for its number. */
export const PX_A_MINUTE = 5;

/** Where times of one day lie along its tapes, px. */
export interface Scale {
  fromMs: number;
  toMs: number;
  widthPx: number;
  x: (ms: number) => number;
}

const QUARTER_MS = 15 * MS_A_MINUTE;

/** The scale of a day from the quarter of an hour before it opens to the one after it closes, or after the last of it. */
export function scaleOf(open: readonly Open[], lastMs: number): Scale {
  const fromMs = Math.floor((open[0]?.fromMs ?? 0) / QUARTER_MS) * QUARTER_MS;
  const ends = Math.min(open.at(-1)?.toMs ?? 0, Math.max(lastMs, fromMs));
  const toMs = Math.ceil(ends / QUARTER_MS) * QUARTER_MS;
  const x = (ms: number) => ((ms - fromMs) / MS_A_MINUTE) * PX_A_MINUTE;
  return { fromMs, toMs, widthPx: x(toMs), x };
}

/** Every quarter of an hour of a day. */
export const quartersOf = ({ fromMs, toMs }: Scale): number[] =>
  Array.from({ length: Math.round((toMs - fromMs) / QUARTER_MS) + 1 }, (_, i) => fromMs + i * QUARTER_MS);
