import { count, mm, phrase } from '../../base/units/phrase';
import { type Finding, finding } from '../../model/finding';
import type { HouseRules } from '../../model/houseRules';
import { because, type Reason } from '../../model/reason';
import type { DesignInput } from '../../model/ticket/design';
import type { NameRow } from '../../model/ticket/names';
import type { Part } from '../../model/ticket/part';
import type { Fabric } from '../../model/ticket/piece';
import { asBonded, bondingFindings } from './applique/bonding';
import { boxesCm2, type DesignFacts, factsOf } from './designFacts';
import { judgeDesign, lettersUnset } from './judgeDesign';
import { type NamesTogether, namesTogether } from './names/allNames';
import { judgeNames } from './names/judgeNames';
import { namePartOf, partOfRow, partsOnTable, rowOnTable } from './names/onTable';
import { drawnPart, nameOfPart, tellsStitches } from './parts/drawnPart';
import { type StopOrder, stopsOfDesign } from './parts/stopsOfDesign';

export interface DesignPlan {
  facts: DesignFacts | null;
  /** How its colours are ordered, and what that order gains; null while nothing is known. */
  order: StopOrder | null;
  /** The stitches of all names of an order, counted in designs as this one is; null without names. */
  allNames: number | null;
  /** All names of an order as large as they come: what the hoop and its sheets must take. Null without names. */
  together: NamesTogether | null;
  findings: Finding[];
  reasons: Reason[];
}

const LEAST_SIDE_MM = 3;
const MOST_SIDE_MM = 1000;

type Side = 'widthMm' | 'heightMm';

/** What a part is called in a sentence: of a design of one part, the design itself. */
const ofWhat = (part: Part, { parts }: DesignInput): string =>
  parts.length === 1 ? 'the design' : `“${nameOfPart(part)}”`;

/** The field of a part, by its place among the parts. */
const fieldOf = (i: number, field: string): string => `parts.${i}.${field}`;

function sideFinding(part: Part, [field, name]: [Side, string], input: DesignInput): Finding | null {
  const value = part[field];
  const at = { field: fieldOf(input.parts.indexOf(part), field) };
  const what = ofWhat(part, input);
  if (value === null)
    return finding('design', 'design-size-missing', 'next', phrase`Still to enter: ${what}'s ${name}.`, at);
  if (value >= LEAST_SIDE_MM && value <= MOST_SIDE_MM) return null;
  return finding(
    'design',
    'design-size-absurd',
    'stop',
    phrase`${mm(value)} for ${what}'s ${name} cannot be right: between ${mm(LEAST_SIDE_MM)} and ${mm(MOST_SIDE_MM)}.`,
    at,
  );
}

const SIDES: readonly [Side, string][] = [
  ['widthMm', 'width'],
  ['heightMm', 'height'],
];

/** What is still to be entered of a part, or cannot be right; of names it is said with the names. */
function missingOf(part: Part, input: DesignInput): Finding[] {
  if (namePartOf(input)?.id === part.id) return [];
  if (part.letters && (!part.artwork || !hasLetters(part))) return [lettersMissing(part, input)];
  const sides = SIDES.flatMap((side) => sideFinding(part, side, input) ?? []);
  if (tellsStitches(part)) return sides;
  const text =
    input.parts.length === 1
      ? phrase`Still to enter: the stitch count, or how dense it is.`
      : phrase`Still to enter: the stitch count of ${ofWhat(part, input)}, or how dense it is.`;
  const field = fieldOf(input.parts.indexOf(part), 'stitches');
  return [...sides, finding('design', 'design-stitches-missing', 'next', text, { field })];
}

const hasLetters = ({ letters }: Part): boolean => letters === null || letters.text.trim() !== '';

function lettersMissing(part: Part, { parts }: DesignInput): Finding {
  const field = fieldOf(parts.indexOf(part), 'letters.text');
  return hasLetters(part)
    ? lettersUnset(part, field)
    : finding('design', 'design-letters-empty', 'next', phrase`Still to enter: what the letters say.`, {
        field,
      });
}

/** A name that is still to be set counts as the one on the table does. */
function allNamesIn(input: DesignInput, stitches: number): number | null {
  const [part, row] = [namePartOf(input), rowOnTable(input)];
  if (!part || !row || !input.names) return null;
  const stitchesOfRow = (one: NameRow): number | null =>
    drawnPart(partOfRow(part, one, input.nameSets[one.id]))?.stitches ?? null;
  const shown = stitchesOfRow(row) ?? 0;
  const all = input.names.rows.reduce(
    (sum, one) => sum + stitches - shown + (stitchesOfRow(one) ?? shown),
    0,
  );
  return all / stitches;
}

/** Checks what was entered and works out, of names with the one on the table, size, stitches, density class, outline and the order of the colours. */
export function planDesign(input: DesignInput, rules: HouseRules, fabric: Fabric): DesignPlan {
  const shown = { ...input, parts: partsOnTable(input).map((part) => asBonded(part, fabric)) };
  const names = judgeNames(input, rules);
  const missing = shown.parts.flatMap((part) => missingOf(part, shown));
  const parts = shown.parts.flatMap((part) => drawnPart(part) ?? []);
  if (missing.length > 0 || parts.length < shown.parts.length)
    return {
      facts: null,
      order: null,
      allNames: null,
      together: null,
      findings: [...names, ...missing],
      reasons: [],
    };
  const order = stopsOfDesign(parts, input.order);
  const facts = factsOf(input, { parts, order, fabric, rules });
  const areaCm2 = boxesCm2(parts, facts.scale);
  const size =
    parts.length === 1
      ? phrase`${mm((parts[0]?.widthMm ?? 0) * facts.scale)} × ${mm((parts[0]?.heightMm ?? 0) * facts.scale)} = ${count(areaCm2)} cm²`
      : phrase`the boxes of its ${count(parts.length)} parts: ${count(areaCm2)} cm²`;
  const reason = because(
    'density',
    phrase`Stitches on each cm² of the design's box: ${facts.densityClass}.`,
    [
      size,
      phrase`${count(facts.stitches)} ÷ ${count(areaCm2)} = ${count(facts.density)} to the cm²`,
      phrase`open below 40, light below 80, medium below 150, heavy below 240`,
    ],
  );
  const judged = judgeDesign({ facts, input, parts, order, rules });
  const allNames = allNamesIn(input, facts.stitches);
  const together = namesTogether(input, fabric);
  const findings = [...names, ...judged, ...bondingFindings(input, fabric)];
  return { facts, order, allNames, together, findings, reasons: [reason] };
}
