import type { Point } from '@zt/core/base/geometry/point';
import { type DisplayUnits, formatLength } from '@zt/core/base/units/length';
import { MARK_IDS, type MarkFound, type MarkId } from '@zt/core/model/ticket/mount';

const TAP = 'tap ';

/** The id of "tap this mark on the drawn hoop", while it is being taken. */
export const tapping = (mark: MarkId): string => `${TAP}${mark}`;

/** The mark that the next tap on the drawn hoop is a reading of; null when none is being taken. */
export const markToTap = (reading: string | null): MarkId | null =>
  MARK_IDS.find((mark) => reading === tapping(mark)) ?? null;

/** To the tenth of a millimetre, as a grid is read at best. */
export const tenthMm = (mm: number): number => Math.round(mm * 10) / 10 + 0;

/** To the half of a millimetre, as a finger lays a mark under the glass. */
export const halfMm = (mm: number): number => Math.round(mm * 2) / 2 + 0;

/** Where a point of the hoop's frame lies from the middle of the field, as one stands at the machine. */
export function lieWords({ x, y }: Point, units: DisplayUnits): string {
  const far = (mm: number) => formatLength(Math.abs(mm), units);
  const across = x === 0 ? '' : `${far(x)} ${x < 0 ? 'left' : 'right'}`;
  const along = y === 0 ? '' : `${far(y)} ${y < 0 ? 'away' : 'towards'}`;
  return [across, along].filter(Boolean).join(', ') || 'in the middle';
}

/** The readings with one more, or with that mark's renewed. */
export const withReading = (readings: readonly MarkFound[], found: MarkFound): MarkFound[] =>
  readings.some((r) => r.mark === found.mark)
    ? readings.map((r) => (r.mark === found.mark ? found : r))
    : [...readings, found];
