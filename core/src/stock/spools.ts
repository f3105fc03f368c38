import { isSameThread, isThere, type Thread } from '../model/shelf';

/** What is left of a spool as a figure to sort by: what is not counted comes last. */
const leftOf = ({ metresLeft }: Thread): number => metresLeft ?? Number.POSITIVE_INFINITY;

/** The spools of one thread that have some left, the one with least first: what was begun is used up. */
export const spoolsOf = (thread: Omit<Thread, 'id'>, threads: readonly Thread[]): Thread[] =>
  threads.filter((t) => isThere(t) && isSameThread(t, thread)).sort((a, b) => leftOf(a) - leftOf(b));

/**
 * What is taken of several lots of one thing, in their order: of each as much as it has, until there is enough. What
 * a lot does not count (null) serves for all that is still wanted. No lot gives more than it has.
 */
export function takeFrom<T>(
  lots: readonly T[],
  wanted: number,
  leftIn: (lot: T) => number | null,
): { lot: T; amount: number }[] {
  let rest = wanted;
  return lots.flatMap((lot) => {
    const amount = Math.min(rest, leftIn(lot) ?? rest);
    rest -= amount;
    return amount > 0 ? [{ lot, amount }] : [];
  });
}
