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
