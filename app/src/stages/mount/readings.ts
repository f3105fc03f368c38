import { MARK_IDS, type MarkFound, type MarkId } from '@zt/core';

const TAP = 'tap ';

/** The id of "tap this mark on the drawn hoop", while it is being taken. */
export const tapping = (mark: MarkId): string => `${TAP}${mark}`;

/** The mark that the next tap on the drawn hoop is a reading of; null when none is being taken. */
export const markToTap = (reading: string | null): MarkId | null =>
  MARK_IDS.find((mark) => reading === tapping(mark)) ?? null;

/** To the tenth of a millimetre, as a grid is read at best. */
export const tenthMm = (mm: number): number => Math.round(mm * 10) / 10 + 0;

/** The readings with one more, or with that mark's renewed. */
export const withReading = (readings: readonly MarkFound[], found: MarkFound): MarkFound[] =>
  readings.some((r) => r.mark === found.mark)
    ? readings.map((r) => (r.mark === found.mark ? found : r))
    : [...readings, found];
