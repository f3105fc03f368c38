const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;
const WEEK = 7 * DAY;

/** Of one sitting one state is kept: how it was when the sitting began. */
export const SITTING_MS = 10 * MINUTE;

/** How old states of one thing are thinned: up to this age, one to each span. */
const STEPS = [
  { upToMs: 3 * HOUR, spanMs: SITTING_MS },
  { upToMs: 2 * DAY, spanMs: HOUR },
  { upToMs: 30 * DAY, spanMs: DAY },
  { upToMs: Infinity, spanMs: WEEK },
] as const;

const spanOf = (ageMs: number): number =>
  (STEPS.find(({ upToMs }) => ageMs < upToMs) ?? STEPS[STEPS.length - 1])?.spanMs ?? WEEK;

/**
 * Which states of one thing go, by when each was kept (ms of the clock): of each span of its age the earliest stays,
 * and so does the very first. Thinning what was thinned takes no more while no time goes by.
 */
export function thinned<T extends { atMs: number }>(states: readonly T[], nowMs: number): T[] {
  const seen = new Set<string>();
  return [...states]
    .sort((a, b) => a.atMs - b.atMs)
    .filter(({ atMs }) => {
      const spanMs = spanOf(nowMs - atMs);
      const span = `${spanMs} ${Math.floor(atMs / spanMs)}`;
      const isFirst = !seen.has(span);
      seen.add(span);
      return !isFirst;
    });
}
