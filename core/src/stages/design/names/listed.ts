import type { DesignInput } from '../../../model/ticket/design';
import { USUAL_LETTERING } from '../../../model/ticket/lettering';
import type { NameRow, Names } from '../../../model/ticket/names';
import { EMPTY_PART, type Part } from '../../../model/ticket/part';
import { withPartAdded } from '../parts/acts';

/** A name of a list, and the size it goes on; empty where none is said. */
export interface ListedName {
  text: string;
  size: string;
}

/** The part that names are set in: the one that has them, else the first of plain letters; null where there is none. */
const partFor = ({ names, parts }: DesignInput): Part | null =>
  parts.find(({ id, letters }) => letters && id === names?.part) ??
  parts.find(({ letters }) => letters && !letters.monogram) ??
  null;

/**
 * The design with names of a list after those it has. They take the place of letters that are there; a design without any
 * is given some, below what it has. The ids are the caller's, one more than there are names.
 */
export function withNamesListed(
  design: DesignInput,
  listed: readonly ListedName[],
  ids: readonly string[],
): DesignInput {
  const [first] = listed;
  const [partId = '', ...rowIds] = ids;
  if (!first) return design;
  const there = partFor(design);
  const letters = { ...USUAL_LETTERING, text: first.text };
  const [thread = EMPTY_PART.colours[0]] = design.parts[0]?.colours ?? [];
  const colours = thread ? [{ ...thread, stitches: null }] : EMPTY_PART.colours;
  const part = there ?? { ...EMPTY_PART, id: partId, letters, colours };
  const parts = there ? design.parts : withPartAdded(design.parts, part);
  const rows = listed.flatMap(({ text, size }, i): NameRow[] => {
    const id = rowIds[i];
    return id === undefined ? [] : [{ id, text, size, capPercent: 100, spacingMm: null, done: false }];
  });
  const before: Names = design.names ?? {
    part: part.id,
    allowedMm: null,
    onTable: rows[0]?.id ?? '',
    rows: [],
  };
  return {
    ...design,
    parts,
    names: { ...before, part: part.id, rows: [...before.rows, ...rows] },
  };
}
