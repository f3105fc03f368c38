import { z } from 'zod';

/** The numbers of every schema that are lengths, so that a field reads and shows them as such. */
export const LENGTHS = z.registry<{ unit: 'mm' }>();

/** The largest length of this trade, mm: the longest runner, seen from either end. */
export const FARTHEST_MM = 10_000;

/** A length in mm between two bounds, both allowed; a refusal says which was passed. */
export const lengthMm = (least: number, most: number) =>
  z
    .number()
    .min(least, `At least ${least} mm.`)
    .max(most, `At most ${most} mm.`)
    .register(LENGTHS, { unit: 'mm' });

/** A place along an axis, to either side of its origin, mm. */
export const alongMm = (most: number) => lengthMm(-most, most);

/** A record of at most so many entries, so that no body grows without end. */
export const atMost =
  (most: number) =>
  (record: object): boolean =>
    Object.keys(record).length <= most;

/** How something is written that is neither a number nor any words: what it takes, and whether a text is so. */
export interface Written {
  takes: string;
  isSo: (text: string) => boolean;
}
export const WRITTEN = z.registry<Written>();

/** A text that is written in one way, at most so many letters of it; a refusal says how. What is empty is so where `isSo` says it. */
export const writtenAs = (most: number, written: Written) =>
  z.string().max(most).refine(written.isSo, `Takes ${written.takes}.`).register(WRITTEN, written);
