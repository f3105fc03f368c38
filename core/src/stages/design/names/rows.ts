import type { HouseRules } from '../../../model/houseRules';
import type { DesignInput } from '../../../model/ticket/design';
import { NAME_CAP_PERCENT } from '../../../model/ticket/designBounds';
import { hasRoomFor, type NameRow, type NameSet, type Names } from '../../../model/ticket/names';
import type { Part } from '../../../model/ticket/part';
import { lettersKey } from '../lettering/lettersKey';
import { stitchFigures } from '../stitchFigures';
import { floored, lettersOfRow, namePartOf } from './onTable';

/** The width that a name is held against, mm as it is set: before its part and the machine resize it. */
export function withinOf({ names, scalePercent }: DesignInput, part: Part): number | null {
  const allowed = names?.allowedMm ?? null;
  return allowed === null ? null : Math.round((1e8 * allowed) / (part.scalePercent * scalePercent)) / 1e4;
}

/** Whether a name stands as its recipe, the width that is allowed and the shop's figures say. */
export function isRowSet(design: DesignInput, row: NameRow, rules: HouseRules): boolean {
  const part = namePartOf(design);
  if (!part?.letters || !row.set) return false;
  return (
    row.set.artwork.madeFrom === lettersKey(lettersOfRow(part.letters, row), stitchFigures(rules)) &&
    row.set.withinMm === withinOf(design, part)
  );
}

const withRow = (names: Names, id: string, change: Partial<NameRow>): Names => ({
  ...names,
  rows: names.rows.map((row) => (row.id === id ? { ...row, ...change } : row)),
});

/** A name with what is said of its own; what was set of it stays until it is set again. */
export const withName = (names: Names, id: string, change: Partial<Omit<NameRow, 'id' | 'set'>>): Names =>
  withRow(names, id, change);

/** Names that were set, where they are still to be set so; those that there is no room for stay unset. */
export function withNamesSet(names: Names, set: readonly { row: NameRow; set: NameSet }[]): Names {
  return set.reduce((now, made) => {
    const before = now.rows.find(({ id }) => id === made.row.id);
    if (!before || !isSameName(before, made.row)) return now;
    const next = { ...before, set: made.set };
    return hasRoomFor(now.rows, next) ? withRow(now, next.id, next) : now;
  }, names);
}

const isSameName = (a: NameRow, b: NameRow): boolean =>
  a.text === b.text && a.capPercent === b.capPercent && a.spacingMm === b.spacingMm;

/** The next name that is not done, after the one on the table and then from the top; null where all are done. */
export function nextName({ rows, onTable }: Names): NameRow | null {
  const at = rows.findIndex(({ id }) => id === onTable);
  const order = [...rows.slice(at + 1), ...rows.slice(0, at + 1)];
  return order.find(({ done, id }) => !done && id !== onTable) ?? null;
}

/** All names set lower together, so that every one fits that can be told to; the share, or null where none is told. */
export function shareForAll({ rows }: Names): number | null {
  const wide = rows.filter(({ set }) => set?.narrower);
  const shares = wide.map(({ set }) => set?.narrower?.capPercent ?? null);
  return shares.length === 0 || shares.includes(null)
    ? null
    : Math.min(...shares.map((share) => share ?? 100));
}

/** A share of a share of a height, to the hundredth and rounded down, within what a name may be. */
export const capShare = (of: number, percent: number): number =>
  Math.max(NAME_CAP_PERCENT.least, floored((of * percent) / 100));
