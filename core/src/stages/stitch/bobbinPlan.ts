/** How the bobbins of a run are changed: behind which pieces, counted from 1, and how many full ones are wound. */
export interface BobbinPlan {
  /** A full bobbin is put in once these pieces are done. */
  after: number[];
  /** Whether one is put in before the first piece: what is left in the machine does not last for it. */
  before: boolean;
  wind: number;
  /** What is left on the last one, m. */
  leftM: number;
}

/**
 * Bobbins for a run of pieces alike: one is changed between two pieces, and never within one, as soon as it would not last
 * for the next with something to spare (`leastShare`, at least 1 of what a piece needs). A piece that needs more than a
 * full one is begun on a full one, and has more wound for it. Metres.
 */
export function bobbinPlan({
  pieces,
  eachM,
  leftM,
  fullM,
  leastShare,
}: {
  pieces: number;
  eachM: number;
  leftM: number;
  fullM: number;
  leastShare: number;
}): BobbinPlan {
  const safeM = eachM * Math.max(1, leastShare);
  const after: number[] = [];
  let wind = 0;
  let left = leftM;
  let before = false;
  for (let piece = 1; piece <= pieces; piece += 1) {
    if (left < safeM && left < fullM) {
      wind += 1;
      left = fullM;
      if (piece === 1) before = true;
      else after.push(piece - 1);
    }
    left -= eachM;
    // Of what is more than a bobbin, the next ones are put in where it runs out.
    while (left < 0) {
      wind += 1;
      left += fullM;
    }
  }
  return { after, before, wind, leftM: left };
}
