/// <reference path="./jstat.d.ts" />
import jstat from 'jstat';

/** A share that is known so surely, as a Beta distribution. */
export interface Share {
  a: number;
  b: number;
}

const LEAST = 1e-4;
/** A Beta distribution is never flatter than this many pieces seen. */
const FLATTEST = 0.5;

/** The share with a mean and a variance; a mean at an end is moved off it, a variance that none can have is the widest. */
export function shareOf(mean: number, variance: number): Share {
  const m = Math.min(1 - LEAST, Math.max(LEAST, mean));
  const pieces = Math.max(FLATTEST, (m * (1 - m)) / Math.max(1e-12, variance) - 1);
  return { a: m * pieces, b: (1 - m) * pieces };
}

export const meanOf = ({ a, b }: Share): number => a / (a + b);

/** Below what a share lies so surely, 0 to 1. */
export const quantileOf = ({ a, b }: Share, p: number): number => jstat.beta.inv(p, a, b);

const STEPS = 64;

/** How sure it is that one share is smaller than another, 0 to 1; by its quantiles. */
export function surelySmaller(one: Share, other: Share): number {
  let sum = 0;
  for (let i = 0; i < STEPS; i++)
    sum += 1 - jstat.beta.cdf(quantileOf(one, (i + 0.5) / STEPS), other.a, other.b);
  return sum / STEPS;
}
