import { numberFor } from '../../../catalogue/houseNumber';
import { DESIGN_NUMBERS } from '../../../catalogue/numbers/design';
import type { HouseRules } from '../../../model/houseRules';
import type { DesignInput } from '../../../model/ticket/design';
import { NAME_CAP_PERCENT } from '../../../model/ticket/designBounds';
import { haveRoom, type NameRow, type NameSet, type NameSets, type Names } from '../../../model/ticket/names';
import type { Part } from '../../../model/ticket/part';
import { lettersKey } from '../lettering/lettersKey';
import { stitchFigures } from '../stitchFigures';
import { floored, lettersOfRow, namePartOf } from './onTable';
import type { NameAsked } from './setName';

/** The width that a name is held against, mm as it is set: before its part and the machine resize it. */
export function withinOf({ names, scalePercent }: DesignInput, part: Part): number | null {
  const allowed = names?.allowedMm ?? null;
  return allowed === null ? null : Math.round((1e8 * allowed) / (part.scalePercent * scalePercent)) / 1e4;
}

/** Whether a name came out wider than is allowed; one that is not set is not. */
export const isTooWide = (set: NameSet | undefined): boolean =>
  set !== undefined && set.withinMm !== null && set.widthMm > set.withinMm;

/** Whether a name stands as its recipe, the width that is allowed and the shop's figures say. */
export function isRowSet(design: DesignInput, row: NameRow, rules: HouseRules): boolean {
  const part = namePartOf(design);
  const set = design.nameSets[row.id];
  if (!part?.letters || !set) return false;
  return (
    set.artwork.madeFrom === lettersKey(lettersOfRow(part.letters, row), stitchFigures(rules)) &&
    set.withinMm === withinOf(design, part)
  );
}

/** The names that are to be set, each with what it is asked for; without those that say nothing. */
export function namesToSet(design: DesignInput, rules: HouseRules): { row: NameRow; asked: NameAsked }[] {
  const part = namePartOf(design);
  if (!part?.letters) return [];
  const { letters } = part;
  const withinMm = withinOf(design, part);
  const leastGapMm = numberFor(rules, DESIGN_NUMBERS.leastLetterGapMm);
  const leastLetterMm = numberFor(rules, DESIGN_NUMBERS.leastLetterFineMm);
  return (design.names?.rows ?? [])
    .filter((row) => row.text.trim() !== '' && !isRowSet(design, row, rules))
    .map((row) => ({
      row,
      asked: { letters: lettersOfRow(letters, row), withinMm, leastGapMm, leastLetterMm },
    }));
}

/** A name with what is said of its own. */
export const withName = (names: Names, id: string, change: Partial<Omit<NameRow, 'id'>>): Names => ({
  ...names,
  rows: names.rows.map((row) => (row.id === id ? { ...row, ...change } : row)),
});

/**
 * What was set, with more; of names that are not there any more nothing is kept. Null where it takes more room than there
 * is.
 */
export function withNamesSet(design: DesignInput, set: Readonly<NameSets>): NameSets | null {
  const ids = design.names?.rows.map(({ id }) => id) ?? [];
  const next = Object.fromEntries(
    ids.flatMap((id) => {
      const one = set[id] ?? design.nameSets[id];
      return one ? [[id, one] as const] : [];
    }),
  );
  return haveRoom(next) ? next : null;
}

/** The next name that is not done, after the one on the table and then from the top; null where all are done. */
export function nextName({ rows, onTable }: Names): NameRow | null {
  const at = rows.findIndex(({ id }) => id === onTable);
  const order = [...rows.slice(at + 1), ...rows.slice(0, at + 1)];
  return order.find(({ done, id }) => !done && id !== onTable) ?? null;
}

/** The share of their height at which all names fit together that were found too wide; null where one does not tell. */
export function shareForAll(wide: readonly (NameSet | undefined)[]): number | null {
  const shares = wide.map((set) => set?.narrower?.capPercent ?? null);
  return shares.length === 0 || shares.includes(null)
    ? null
    : Math.min(...shares.map((share) => share ?? 100));
}

/** A share of a share of a height, to the hundredth and rounded down, within what a name may be. */
export const capShare = (of: number, percent: number): number =>
  Math.max(NAME_CAP_PERCENT.least, floored((of * percent) / 100));
