import type { DesignInput } from '../../../model/ticket/design';
import { CAP_MM } from '../../../model/ticket/designBounds';
import type { Lettering } from '../../../model/ticket/lettering';
import type { NameRow, NameSet } from '../../../model/ticket/names';
import type { Part } from '../../../model/ticket/part';

/** The part whose letters are another on every piece; null where there are no names, or no letters to set them in. */
export function namePartOf({ names, parts }: DesignInput): Part | null {
  if (!names || names.rows.length === 0) return null;
  const part = parts.find(({ id }) => id === names.part);
  return part?.letters ? part : null;
}

/** The name that is worked on; null where there are none. */
export const rowOnTable = (design: DesignInput): NameRow | null =>
  namePartOf(design)
    ? (design.names?.rows.find(({ id }) => id === design.names?.onTable) ?? design.names?.rows[0] ?? null)
    : null;

/** A name on one line, as it is called. */
export const calledName = ({ text }: Pick<NameRow, 'text'>): string => text.trim().replace(/\s+/g, ' ');

/** A length to the hundredth below, so that what was measured to fit still does. */
export const floored = (value: number): number => Math.floor(value * 100 + 1e-6) / 100;

/** How the letters of a name are set: as all of them, but for what it says of its own. */
export const lettersOfRow = (common: Lettering, { text, capPercent, spacingMm }: NameRow): Lettering => ({
  ...common,
  text,
  capMm: Math.max(CAP_MM.least, floored((common.capMm * capPercent) / 100)),
  spacingMm: spacingMm ?? common.spacingMm,
});

const made = new WeakMap<Part, WeakMap<NameRow, { set: NameSet | undefined; part: Part }>>();

/** The part with the letters of one name. The same part, name and setting of it give the very same object. */
export function partOfRow(part: Part, row: NameRow, set: NameSet | undefined): Part {
  const ofPart = made.get(part) ?? new WeakMap<NameRow, { set: NameSet | undefined; part: Part }>();
  made.set(part, ofPart);
  const before = ofPart.get(row);
  if (before && before.set === set) return before.part;
  const { widthMm = null, heightMm = null, stitches = null, artwork = null } = set ?? {};
  const letters = part.letters && lettersOfRow(part.letters, row);
  const next: Part = { ...part, letters, widthMm, heightMm, stitches, artwork };
  ofPart.set(row, { set, part: next });
  return next;
}

/** The design with one name on it. */
export function designOfRow(design: DesignInput, row: NameRow): DesignInput {
  const part = namePartOf(design);
  if (!part) return design;
  const next = partOfRow(part, row, design.nameSets[row.id]);
  return { ...design, parts: design.parts.map((other) => (other === part ? next : other)) };
}

/** The parts as they are worked on: with the name that is on the table. */
export function partsOnTable(design: DesignInput): readonly Part[] {
  const row = rowOnTable(design);
  return row ? designOfRow(design, row).parts : design.parts;
}

/** Parts that were changed as they are worked on, as the ticket keeps them: the letters of names stay with their names. */
export function keptParts(design: DesignInput, changed: readonly Part[]): Part[] {
  const part = namePartOf(design);
  if (!part) return [...changed];
  const { letters, widthMm, heightMm, stitches, artwork } = part;
  return changed.map((other) =>
    other.id === part.id && other.letters
      ? { ...other, letters, widthMm, heightMm, stitches, artwork }
      : other,
  );
}
