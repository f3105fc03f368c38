/** Repeats along a hem: how many, how far apart, where each centre lies from the middle. All in mm. */
export interface HemRun {
  count: number;
  pitchMm: number;
  gapMm: number;
  /** Left over at either end; 0 on a closed hem. */
  marginMm: number;
  /** Centres from the middle, viewer's right positive, from left to right. */
  positions: number[];
}

interface Wish {
  lengthMm: number;
  widthMm: number;
  gapMm: number;
  leastGapMm: number;
}

/**
 * Repeats round a closed hem: as many as come nearest the wished gap, one fewer at a time until the least gap
 * is kept. One stands at the middle; with an even count one stands opposite it. Null when not even one fits.
 */
export function closedRun({ lengthMm, widthMm, gapMm, leastGapMm }: Wish): HemRun | null {
  const least = Math.max(0, leastGapMm);
  if (lengthMm < widthMm + least) return null;
  let count = Math.max(1, Math.round(lengthMm / (widthMm + gapMm)));
  while (count > 1 && lengthMm / count - widthMm < least) count--;
  const pitchMm = lengthMm / count;
  const before = Math.floor((count - 1) / 2);
  return {
    count,
    pitchMm,
    gapMm: pitchMm - widthMm,
    marginMm: 0,
    positions: Array.from({ length: count }, (_, i) => (i - before) * pitchMm),
  };
}

/**
 * Repeats along an open run between two end margins. *Keep the gap*: what is left over goes to the ends.
 * *Keep the ends*: it goes to the gaps. Null when not even one fits between the margins.
 */
export function openRun(
  { lengthMm, widthMm, gapMm, leastGapMm }: Wish,
  marginMm: number,
  keep: 'gap' | 'ends',
): HemRun | null {
  const wished = Math.max(gapMm, leastGapMm, 0);
  const count = Math.floor((lengthMm - 2 * marginMm + wished) / (widthMm + wished) + 1e-9);
  if (count < 1) return null;
  const stretch = keep === 'ends' && count > 1;
  const gap = stretch ? (lengthMm - 2 * marginMm - count * widthMm) / (count - 1) : wished;
  const pitchMm = widthMm + gap;
  return {
    count,
    pitchMm,
    gapMm: gap,
    marginMm: (lengthMm - count * widthMm - (count - 1) * gap) / 2,
    positions: Array.from({ length: count }, (_, i) => (i - (count - 1) / 2) * pitchMm),
  };
}

/**
 * The count nearest to `wished`, of two equally near the larger, with which both side seams of a closed hem, a
 * quarter of it to either side of the middle, fall in the middle of a gap: so it is for 2, 6, 10, 14 … Null when
 * none keeps the least gap.
 */
export function countClearOfSideSeams(
  wished: number,
  { lengthMm, widthMm, leastGapMm }: Pick<Wish, 'lengthMm' | 'widthMm' | 'leastGapMm'>,
): number | null {
  const most = Math.floor(lengthMm / (widthMm + Math.max(0, leastGapMm)));
  const below = wished - ((((wished - 2) % 4) + 4) % 4);
  const [down, up] = [below, below + 4].map((n) => (n >= 2 && n <= most ? n : null));
  if (down == null || up == null) return down ?? up ?? null;
  return wished - down < up - wished ? down : up;
}
