import { count, mm, type Phrase, phrase } from '../../../base/units/phrase';
import { type Finding, finding, type Mend } from '../../../model/finding';
import type { HouseRules } from '../../../model/houseRules';
import type { DesignInput } from '../../../model/ticket/design';
import type { NameRow, Names, Narrower } from '../../../model/ticket/names';
import type { Part } from '../../../model/ticket/part';
import { withPart } from '../parts/acts';
import { nameOfPart } from '../parts/drawnPart';
import { calledName, floored, namePartOf } from './onTable';
import { capShare, isRowSet, isTooWide, shareForAll, withinOf, withName } from './rows';

/** So many names that are too wide are each told of; the others are counted. */
const MOST_TOLD = 6;

type Act = (names: Names) => Names;
const mend = (names: Names, label: Phrase, result: Phrase, act: Act): Mend => ({
  label,
  result,
  change: { stage: 'design', set: { names: act(names) } },
});

/** What would make a name narrow enough: every way was set and measured when the name was. */
function mendsOf(
  names: Names,
  row: NameRow,
  { narrower, capMm }: { narrower: Narrower; capMm: number },
): Mend[] {
  const { text, spacingMm, capPercent } = narrower;
  const cap = capPercent === null ? null : capShare(row.capPercent, capPercent);
  return [
    ...(text === null
      ? []
      : [
          mend(names, phrase`In two lines`, phrase`“${text.replace('\n', '” over “')}”`, (all) =>
            withName(all, row.id, { text }),
          ),
        ]),
    ...(spacingMm === null
      ? []
      : [
          mend(
            names,
            phrase`Letters closer`,
            phrase`${mm(spacingMm)} between them, and they stay apart`,
            (all) => withName(all, row.id, { spacingMm }),
          ),
        ]),
    ...(cap === null
      ? []
      : [
          mend(
            names,
            phrase`This one lower`,
            phrase`capitals ${mm((capMm * cap) / 100)} high, the others ${mm(capMm)}`,
            (all) => withName(all, row.id, { capPercent: cap }),
          ),
        ]),
  ];
}

/** Names wider than is allowed as they are stitched, each with what would help; then all of them lower together. */
function wideNames(design: DesignInput, names: Names, rules: HouseRules): Finding[] {
  const part = namePartOf(design);
  const { nameSets } = design;
  const { allowedMm } = names;
  const within = part ? withinOf(design, part) : null;
  if (!part?.letters || allowedMm === null || within === null) return [];
  const { capMm } = part.letters;
  const wide = names.rows.filter((row) => isTooWide(nameSets[row.id]) && isRowSet(design, row, rules));
  const scale = allowedMm / within;
  const told = wide.slice(0, MOST_TOLD).map((row) => {
    const { widthMm = 0, narrower } = nameSets[row.id] ?? {};
    const width = widthMm * scale;
    const mends = narrower ? mendsOf(names, row, { narrower, capMm: capMm * scale }) : [];
    const text = phrase`“${calledName(row)}” is ${mm(width)} wide, ${mm(width - allowedMm)} more than the ${mm(allowedMm)} allowed.`;
    return finding(
      'design',
      'design-name-wide',
      'warn',
      mends.length > 0 ? text : phrase`${text} Closer, lower or in two lines it does not fit either.`,
      { field: `names.rows.${names.rows.indexOf(row)}.text`, mends },
    );
  });
  const together = allLower({ design, names, part, scale }, shareForAll(wide.map(({ id }) => nameSets[id])));
  const [only] = told;
  if (only && told.length === 1) return [{ ...only, mends: [...only.mends, ...together] }];
  if (wide.length === 0 || (together.length === 0 && wide.length <= MOST_TOLD)) return told;
  const text = phrase`${count(wide.length)} of ${count(names.rows.length)} names are wider than the ${mm(allowedMm)} allowed.`;
  return [
    ...told,
    finding('design', 'design-names-wide', 'warn', text, { field: 'names.allowedMm', mends: together }),
  ];
}

interface OfNames {
  design: DesignInput;
  names: Names;
  part: Part;
  scale: number;
}

/** All names set lower together, so that every one fits; none where one of them would be too low to be stitched. */
function allLower({ design, names, part, scale }: OfNames, share: number | null): Mend[] {
  if (share === null || !part.letters || names.rows.length < 2) return [];
  const capMm = floored((part.letters.capMm * share) / 100);
  return [
    {
      label: phrase`All ${count(names.rows.length)} lower`,
      result: phrase`capitals ${mm(capMm * scale)} high on every piece`,
      change: {
        stage: 'design',
        set: { parts: withPart(design.parts, part.id, { letters: { ...part.letters, capMm } }) },
      },
    },
  ];
}

/** Names that say nothing, and those that stand otherwise than was asked: they are being set, or cannot be. */
function unsetNames(design: DesignInput, { rows }: Names, rules: HouseRules): Finding[] {
  const empty = rows.flatMap((row, i) =>
    row.text.trim() === ''
      ? [
          finding('design', 'design-name-empty', 'next', phrase`Still to enter: name ${count(i + 1)}.`, {
            field: `names.rows.${i}.text`,
          }),
        ]
      : [],
  );
  const unset = rows.filter((row) => row.text.trim() !== '' && !isRowSet(design, row, rules));
  const [first] = unset;
  if (!first) return empty;
  const text =
    unset.length === 1
      ? phrase`Name still to be set: “${calledName(first)}”.`
      : phrase`${count(unset.length)} of ${count(rows.length)} names are still to be set, “${calledName(first)}” first.`;
  return [
    ...empty,
    finding('design', 'design-names-unset', 'next', text, {
      field: `names.rows.${rows.indexOf(first)}.text`,
    }),
  ];
}

/** So many parts of letters are offered to names that lost theirs. */
const MOST_OFFERED = 3;

/** Names whose part is gone: other letters take them, or they go. */
function withoutLetters(design: DesignInput, names: Names): Finding {
  const others = design.parts.filter(({ letters }) => letters).slice(0, MOST_OFFERED);
  const mends: Mend[] = others.map((part) => ({
    label: phrase`Set them in place of “${nameOfPart(part)}”`,
    result: phrase`all ${count(names.rows.length)} in its letters`,
    change: { stage: 'design', set: { names: { ...names, part: part.id } } },
  }));
  const off: Mend = {
    label: phrase`Take the names off the ticket`,
    result: phrase`all pieces have the same design`,
    change: { stage: 'design', set: { names: null, nameSets: {} } },
    cost: phrase`the list of ${count(names.rows.length)} names goes; undo brings it back`,
  };
  const text = phrase`The ${count(names.rows.length)} names have no letters to be set in: their part was taken away, or is no lettering any more.`;
  return finding('design', 'design-names-no-letters', 'stop', text, {
    field: 'names.part',
    mends: [...mends, off],
  });
}

/** What is to be said of the names of an order. */
export function judgeNames(design: DesignInput, rules: HouseRules): Finding[] {
  const { names } = design;
  if (!names || names.rows.length === 0) return [];
  if (!namePartOf(design)) return [withoutLetters(design, names)];
  return [...unsetNames(design, names, rules), ...wideNames(design, names, rules)];
}
