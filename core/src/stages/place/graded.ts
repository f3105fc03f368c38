import { mm, type Phrase, phrase } from '../../base/units/phrase';
import type { GradedRow } from '../../catalogue/gradedTable';
import { GRADE_ANCHORS, GRADED } from '../../catalogue/gradedTable';
import type { PlacementQuestion } from './placement';

/**
 * A graded value at a chest width: exact at each anchor, linear between, held at the ends.
 * Anchors ascend; one value to each anchor. All in mm. Without anchors the answer is not a number.
 */
export function gradedAt(anchors: readonly number[], values: readonly number[], width: number): number {
  const above = anchors.findIndex((anchor) => width <= anchor);
  const at = (i: number) => values[i] ?? Number.NaN;
  if (above === 0) return at(0);
  if (above < 0) return at(anchors.length - 1);
  const [low = 0, high = 0] = [anchors[above - 1], anchors[above]];
  return at(above - 1) + ((width - low) / (high - low)) * (at(above) - at(above - 1));
}

/** A row's value at this piece's chest width, mm. */
export const gradedFor = (row: GradedRow, q: PlacementQuestion): number =>
  gradedAt(GRADE_ANCHORS, GRADED[row], q.readings.chestWidth ?? 0);

const inARow = (values: readonly number[]): Phrase =>
  values.flatMap((value, i) => (i === 0 ? [mm(value)] : [' / ', mm(value)]));

/** The two lines of the sum: the row with its anchors, and what it gives at this width. */
export const gradedSum = (row: GradedRow, q: PlacementQuestion, gives: string): Phrase[] => [
  phrase`table at chest ${inARow(GRADE_ANCHORS)}: ${inARow(GRADED[row])}`,
  phrase`at your ${mm(q.readings.chestWidth ?? 0)}: ${mm(gradedFor(row, q))} ${gives}`,
];

export const FROM_TABLE = phrase`From the graded table, between the sizes on either side of your chest width.`;
