import { mm, type Phrase, percent, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { DESIGN_NUMBERS } from '../../catalogue/numbers/design';
import { type Finding, finding } from '../../model/finding';
import type { HouseRules } from '../../model/houseRules';
import type { SetLetter } from '../../model/ticket/artwork';
import type { DesignInput } from '../../model/ticket/design';
import { PART_SCALE } from '../../model/ticket/designBounds';
import type { Part } from '../../model/ticket/part';
import { judgeApplique } from './applique/judgeApplique';
import type { DesignFacts } from './designFacts';
import { arranged } from './elements';
import { areLettersSet } from './lettering/lettersKey';
import { namePartOf } from './names/onTable';
import { withPart } from './parts/acts';
import { type DrawnPart, nameOfPart } from './parts/drawnPart';
import type { StopOrder } from './parts/stopsOfDesign';

/** A design, and all that is known when it is judged. */
export interface Judged {
  facts: DesignFacts;
  input: DesignInput;
  parts: readonly DrawnPart[];
  order: StopOrder;
  rules: HouseRules;
}

const found = (code: string, severity: Finding['severity'], text: Phrase, mends: Finding['mends'] = []) =>
  finding('design', code, severity, text, { mends });

/** How much denser it is at a share of its size with the same stitches. */
const denserBy = (scale: number): number => (1 / scale ** 2 - 1) * 100;

function shrunk(percentNow: number, what: Phrase, rules: HouseRules): Finding[] {
  const denser = denserBy(percentNow / 100);
  if (percentNow < numberFor(rules, DESIGN_NUMBERS.resizeLeastPercent))
    return [
      found(
        'design-shrunk-too-far',
        'stop',
        phrase`Shrunk to ${percent(percentNow)} ${what} is ${percent(denser)} denser: get the design in this size.`,
      ),
    ];
  if (percentNow >= numberFor(rules, DESIGN_NUMBERS.resizeFreelyPercent)) return [];
  return [
    found(
      'design-shrunk',
      'warn',
      phrase`Shrunk to ${percent(percentNow)} with the same stitches ${what} is ${percent(denser)} denser.`,
    ),
  ];
}

/** The machine shrinks the whole; a part that came with its stitches is denser still by its own share. */
function shrunkFindings({ input, rules }: Judged): Finding[] {
  const typed = input.parts.filter((part) => part.artwork === null && part.scalePercent < 100);
  const own = typed.flatMap((part) =>
    shrunk(
      (part.scalePercent * input.scalePercent) / 100,
      input.parts.length === 1 ? phrase`it` : phrase`“${nameOfPart(part)}”`,
      rules,
    ),
  );
  return own.length > 0 ? own : shrunk(input.scalePercent, phrase`it`, rules);
}

/** Letters that somebody else drew: only how high the smallest are is known. */
function drawnLetterFindings({ parts, facts, rules }: Judged): Finding[] {
  const least = numberFor(rules, DESIGN_NUMBERS.leastLetterMm);
  const fine = numberFor(rules, DESIGN_NUMBERS.leastLetterFineMm);
  return parts.flatMap(({ part }) => {
    if (part.letters || !part.lettering || part.letterHeightMm === null) return [];
    const high = (part.letterHeightMm * part.scalePercent * facts.scale) / 100;
    if (high >= least) return [];
    return [
      high < fine
        ? found(
            'design-letters-small',
            'stop',
            phrase`Letters ${mm(high)} high close up: at least ${mm(fine)}, even in 60 wt thread.`,
          )
        : found(
            'design-letters-small',
            'warn',
            phrase`Letters ${mm(high)} high need 60 wt thread and a 65/9 needle; ${mm(least)} holds in 40 wt.`,
          ),
    ];
  });
}

const inQuotes = (letters: readonly SetLetter[]): string =>
  letters.map(({ letter }) => `“${letter}”`).join(', ');

/** A figure that is least at the letter that mattered most. */
const leastOf = (letters: readonly SetLetter[], figure: (letter: SetLetter) => number): number =>
  Math.min(...letters.map(figure));

/** The part larger by so much that its least figure comes to what is asked; none beyond what a part may be. */
function enlarged(judged: Judged, part: Part, by: number): Finding['mends'] {
  const to = Math.ceil(part.scalePercent * by);
  if (!part.letters || to > PART_SCALE.most) return [];
  const cap = (part.letters.capMm * to) / 100;
  return [
    {
      label: phrase`Set capitals ${mm(cap)} high`,
      result: phrase`${percent(to)} of its size`,
      change: {
        stage: 'design',
        set: { parts: withPart(judged.input.parts, part.id, { scalePercent: to }) },
      },
      cost: phrase`it takes more room`,
    },
  ];
}

interface OfLetters {
  judged: Judged;
  part: Part;
  letters: readonly SetLetter[];
  scale: number;
}

function smallLetters({ judged, part, letters, scale }: OfLetters): Finding[] {
  const { rules } = judged;
  const least = numberFor(rules, DESIGN_NUMBERS.leastLetterMm);
  const fine = numberFor(rules, DESIGN_NUMBERS.leastLetterFineMm);
  const small = letters.filter(({ heightMm }) => heightMm * scale < least);
  if (small.length === 0) return [];
  const high = leastOf(small, ({ heightMm }) => heightMm * scale);
  const mends = enlarged(judged, part, least / high);
  const of = phrase`Of “${nameOfPart(part)}”, ${inQuotes(small)}`;
  return [
    high < fine
      ? found(
          'design-letters-small',
          'stop',
          phrase`${of}: ${mm(high)} high closes up; at least ${mm(fine)}, even in 60 wt thread.`,
          mends,
        )
      : found(
          'design-letters-small',
          'warn',
          phrase`${of}: ${mm(high)} high needs 60 wt thread and a 65/9 needle; ${mm(least)} holds in 40 wt.`,
          mends,
        ),
  ];
}

function thinLetters({ judged, part, letters, scale }: OfLetters): Finding[] {
  const least = numberFor(judged.rules, DESIGN_NUMBERS.satinLeastMm);
  const thin = letters.filter(({ strokeMm }) => strokeMm * scale < least);
  if (thin.length === 0) return [];
  const stroke = leastOf(thin, ({ strokeMm }) => strokeMm * scale);
  return [
    found(
      'design-letters-thin',
      'warn',
      phrase`Of “${nameOfPart(part)}”, ${inQuotes(thin)}: strokes of ${mm(stroke)} are too thin for satin, which needs ${mm(least)}.`,
      enlarged(judged, part, least / Math.max(0.05, stroke)),
    ),
  ];
}

function closedLetters({ judged, part, letters, scale }: OfLetters): Finding[] {
  const least = numberFor(judged.rules, DESIGN_NUMBERS.leastCounterMm);
  const counterOf = ({ counterMm }: SetLetter): number => (counterMm ?? Infinity) * scale;
  const closed = letters.filter((letter) => counterOf(letter) < least);
  if (closed.length === 0) return [];
  const gap = leastOf(closed, counterOf);
  return [
    found(
      'design-letters-closed',
      'warn',
      phrase`Of “${nameOfPart(part)}”, ${inQuotes(closed)}: what is open in it is ${mm(gap)} across and closes up; it needs ${mm(least)}.`,
      enlarged(judged, part, least / Math.max(0.05, gap)),
    ),
  ];
}

/** Letters that were set here: each is judged by its own height, its strokes, and what it closes in; of cloth none is. */
function setLetterFindings(judged: Judged): Finding[] {
  return judged.parts.flatMap(({ part }) => {
    const letters = part.letters && part.appliques.length === 0 ? (part.artwork?.letters ?? []) : [];
    const scale = (part.scalePercent / 100) * judged.facts.scale;
    const of: OfLetters = { judged, part, letters, scale };
    return [...smallLetters(of), ...thinLetters(of), ...closedLetters(of)];
  });
}

const REARRANGED = phrase`Its elements are moved from where the file has them: save the file so before you load it.`;

function rearranged({ input }: Judged): Finding[] {
  const moved = input.parts.filter(
    ({ artwork, elementMoves }) => artwork && arranged(artwork, elementMoves) !== artwork,
  );
  if (moved.length === 0) return [];
  const parts = input.parts.map((part) => ({ ...part, elementMoves: [] }));
  return [
    found('design-rearranged', 'note', REARRANGED, [
      {
        label: phrase`As in the file`,
        result: phrase`every element back where it was drawn`,
        change: { stage: 'design', set: { parts } },
      },
    ]),
  ];
}

/** An order that a person holds to and that cannot be right: the one of fewest changes is offered in its place. */
function swappedFindings({ order, parts }: Judged): Finding[] {
  const [first] = order.swapped;
  if (!first) return [];
  const nameOf = (id: string) => nameOfPart(parts.find(({ part }) => part.id === id)?.part ?? NO_PART);
  const { upper, lower } = first;
  const text =
    upper.part === lower.part
      ? phrase`${upper.name} of “${nameOf(upper.part)}” would be stitched before ${lower.name}, which it lies on.`
      : phrase`${upper.name} of “${nameOf(upper.part)}” would be stitched before ${lower.name} of “${nameOf(lower.part)}”, which it lies on.`;
  return [
    found('design-order-covered', 'stop', text, [
      {
        label: phrase`The order of fewest thread changes`,
        result: phrase`nothing comes before what it lies on`,
        change: { stage: 'design', set: { order: null } },
      },
    ]),
  ];
}
const NO_PART = { letters: null, artwork: null };

function remarkFindings({ input }: Judged): Finding[] {
  const several = input.parts.filter(({ artwork }) => (artwork?.remarks.length ?? 0) > 0).length > 1;
  return input.parts.flatMap((part) =>
    (part.artwork?.remarks ?? []).map((remark) =>
      found(
        'design-file-remark',
        'note',
        several ? phrase`${nameOfPart(part)}: ${remark}` : phrase`${remark}`,
      ),
    ),
  );
}

/** Letters that stand otherwise than was asked: they are being set, or cannot be. */
export const lettersUnset = (part: Part, field: string): Finding =>
  finding('design', 'design-letters-unset', 'next', phrase`Letters still to be set: “${nameOfPart(part)}”.`, {
    field,
  });

const unsetFindings = ({ input, rules }: Judged): Finding[] =>
  input.parts.flatMap((part, i) =>
    areLettersSet(part, rules) || part === namePartOf(input)
      ? []
      : [lettersUnset(part, `parts.${i}.letters.text`)],
  );

/** What is wrong with a design, or worth knowing. */
export const judgeDesign = (judged: Judged): Finding[] =>
  [
    shrunkFindings,
    drawnLetterFindings,
    setLetterFindings,
    unsetFindings,
    swappedFindings,
    rearranged,
    remarkFindings,
    ({ input }: Judged) => judgeApplique(input),
  ].flatMap((judge) => judge(judged));
