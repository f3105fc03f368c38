import type { SchoolOf } from '../../model/schoolIds';
import type { PieceInput } from '../../model/ticket/piece';
import { isA, type PieceKind } from './geometry';
import type { Reading, Readings } from './readings';
import type { SpotRule } from './usualPlacement';

/** What says whether a reading can wait: the rule that finds the spot, and the shop's school for chests. */
export interface MarkedBy {
  by: SpotRule['by'];
  school: SchoolOf<'chest'>;
}

/**
 * Whether the marks do without a reading, so that it can be taken when they are made: before the ring closes. The
 * school by the armhole reads where the armhole lies.
 */
export const canWait = (reading: Reading, { by, school }: MarkedBy): boolean =>
  (reading.waits?.includes(by) ?? false) &&
  !(school === 'armhole' && by.endsWith('chest') && reading.byArmhole === true);

/** How a length grows with the width that a piece is sized by: lengths of bought blanks grow less than half as fast. */
const LENGTH_OF_WIDTH = 0.4;

/**
 * Usual lengths of a kind at one measured reading, mm: other widths in proportion, lengths growing slower. Our own
 * reading of bought blanks; good to draw with, and to be measured.
 */
export function usualAt(
  kind: Pick<PieceKind, 'readings'>,
  id: string,
  value: number,
): Record<string, number> {
  const typical = kind.readings.find((r) => r.id === id)?.typicalMm ?? value;
  const grow = typical > 0 ? value / typical : 1;
  const slower = 1 + (grow - 1) * LENGTH_OF_WIDTH;
  return Object.fromEntries(
    kind.readings
      .filter((r) => !r.optional)
      .map((r) => [r.id, r.id === id ? value : r.typicalMm * (/width/i.test(r.id) ? grow : slower)]),
  );
}

/** Usual lengths for the readings that wait, mm by reading id, at the first one of the kind that was taken. */
export function standIns(
  kind: Pick<PieceKind, 'readings'>,
  readings: Readings,
  waiting: readonly Reading[],
): Record<string, number> {
  const first = kind.readings.find(({ id }) => readings[id] !== undefined);
  const usual = usualAt(kind, first?.id ?? '', readings[first?.id ?? ''] ?? 0);
  return Object.fromEntries(
    waiting.map(({ id, typicalMm, leastMm, mostMm }) => [
      id,
      Math.min(mostMm, Math.max(leastMm, usual[id] ?? typicalMm)),
    ]),
  );
}

/** Whether a reading was taken on this very piece. */
export const isRead = (
  { readings, assumed }: Pick<PieceInput, 'readings' | 'assumed'>,
  id: string,
): boolean => readings[id] !== undefined && !assumed.includes(id);

/** A reading taken on the piece, mm, among those that are there: what stood for it as usual is let go. */
export const withRead = (
  { readings, assumed }: Pick<PieceInput, 'readings' | 'assumed'>,
  id: string,
  mm: number,
): Pick<PieceInput, 'readings' | 'assumed'> => ({
  readings: { ...readings, [id]: mm },
  assumed: assumed.filter((other) => other !== id),
});

/** A size as it is bought: its lengths are usual, and to be read on the piece. Lengths in mm by reading id. */
export interface UsualBlank {
  name: string;
  readings: Record<string, number>;
}

/** Underarm to underarm of bought tops, lying flat, mm: two inches from size to size. Our own reading of blanks. */
const TOP_SIZES = [
  ['youth M', 419.1],
  ['adult S', 469.9],
  ['adult M', 520.7],
  ['adult L', 571.5],
  ['adult XL', 622.3],
  ['adult 2XL', 673.1],
] as const;

/** The sizes that a kind is usually bought in, by its first reading; a kind without sizes has one of usual lengths. */
export function usualBlanks(kind: Pick<PieceKind, 'name' | 'traits' | 'readings'>): UsualBlank[] {
  const chest = kind.readings.find(({ id }) => id === 'chestWidth');
  if (chest && isA(kind, 'worn') && !isA(kind, 'baby')) {
    // A jacket is cut wider than a tee of the same name.
    const wider = chest.typicalMm - 520;
    return TOP_SIZES.map(([name, mm]) => ({ name, readings: usualAt(kind, chest.id, mm + wider) }));
  }
  const [first] = kind.readings;
  return first ? [{ name: 'usual size', readings: usualAt(kind, first.id, first.typicalMm) }] : [];
}

/** What a blank that was measured before brings: its readings count as read, with its cloth and colour. */
export const blankTaken = ({
  readings,
  fabricId,
  fabricChanges,
  colour,
}: Pick<PieceInput, 'readings' | 'fabricId' | 'fabricChanges' | 'colour'>) => ({
  readings,
  fabricId,
  fabricChanges,
  colour,
  assumed: [] as string[],
});

/** What a usual size brings: the readings that the marks ask for, none of them read; what can wait follows from them. */
export function usualTaken(
  { readings }: UsualBlank,
  { asked, later }: { asked: readonly Reading[]; later: readonly Reading[] },
): Pick<PieceInput, 'readings' | 'assumed'> {
  const first = asked.filter((reading) => !reading.optional && !later.includes(reading));
  const taken = first.map(({ id, typicalMm }): [string, number] => [id, readings[id] ?? typicalMm]);
  return { readings: Object.fromEntries(taken), assumed: taken.map(([id]) => id) };
}
