import { add, rotate } from '../../base/geometry/point';
import { count, type Phrase, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { DESIGN_NUMBERS as N } from '../../catalogue/numbers/design';
import { type Finding, finding, type Mend } from '../../model/finding';
import type { HouseRules } from '../../model/houseRules';
import type { DesignInput } from '../../model/ticket/design';
import type { Made, Stitching, Thinner } from '../../model/ticket/made';
import type { DesignFacts } from '../../stages/design/designFacts';
import { nameOfPart } from '../../stages/design/parts/drawnPart';
import { wider } from '../../stages/design/stitches/question';
import { stitchFigures } from '../../stages/design/stitchFigures';
import type { Results } from '../planned';

/** A cloth that gives by less, percent, and is heavier than this, g/m², is firm. */
const GIVES_PERCENT = 8;
const LIGHT_GSM = 180;
const FIRM_SHEETS = 2;

type Cloth = Results['piece']['fabric'];

/** How thick thread may lie on a cloth with its sheets, mm on mm², and on what. */
export function mostCoverOn(cloth: Cloth, sheets: number, rules: HouseRules): { cover: number; on: Phrase } {
  const isFirm = cloth.stretchPercent < GIVES_PERCENT && cloth.weightGsm > LIGHT_GSM && !cloth.seeThrough;
  const name = cloth.name.toLowerCase();
  return isFirm && sheets >= FIRM_SHEETS
    ? { cover: numberFor(rules, N.hotSpotFirmCover), on: phrase`${name} with ${count(sheets)} sheets` }
    : { cover: numberFor(rules, N.hotSpotCover), on: phrase`${name}` };
}

interface Thinning {
  label: (stitching: Stitching, rules: HouseRules) => Phrase;
  cost: Phrase;
  set: (stitching: Stitching, rules: HouseRules) => Stitching;
}

const rowsOf = ({ rowMm }: Stitching, rules: HouseRules): number =>
  wider(rowMm ?? stitchFigures(rules).fillRowMm);

/** The ways to lay less thread; which of them help was tried when the stitches were made. */
const THINNINGS: Readonly<Record<Thinner, Thinning>> = {
  cut: {
    label: () => phrase`Remove what is hidden`,
    cost: phrase`where the upper part shifts, the cloth shows`,
    set: (stitching) => ({ ...stitching, cutUnder: 'all' }),
  },
  rows: {
    label: (stitching, rules) => phrase`Rows ${count(rowsOf(stitching, rules))} mm apart`,
    cost: phrase`the ground shows sooner`,
    set: (stitching, rules) => ({ ...stitching, rowMm: rowsOf(stitching, rules) }),
  },
  cutAndRows: {
    label: (stitching, rules) =>
      phrase`Remove what is hidden, and rows ${count(rowsOf(stitching, rules))} mm apart`,
    cost: phrase`where the upper part shifts, and between the rows, the cloth shows`,
    set: (stitching, rules) => ({ ...stitching, cutUnder: 'all', rowMm: rowsOf(stitching, rules) }),
  },
  underlay: {
    label: () => phrase`One layer less: no rows beneath`,
    cost: phrase`the fills hold the cloth less`,
    set: (stitching) => ({ ...stitching, underlay: false }),
  },
};

function thinningMends(made: Made, { design, rules, scale, most }: MendFrom): Mend[] {
  const { stitching } = design;
  const { cut, rows } = made.thinned;
  const byOne = Math.min(cut ?? Number.POSITIVE_INFINITY, rows ?? Number.POSITIVE_INFINITY);
  return (Object.entries(made.thinned) as [Thinner, number][]).flatMap(([thinner, cover]) => {
    if (cover / scale > most) return [];
    // Both cost more than either: they are for where either alone leaves it thicker.
    if (thinner === 'cutAndRows' && cover >= byOne) return [];
    const { label, cost, set } = THINNINGS[thinner];
    return [
      {
        label: label(stitching, rules),
        result: phrase`the thickest place then has ${count(cover / scale)} mm on a mm²`,
        cost,
        change: { stage: 'design', set: { stitching: set(stitching, rules) } },
      },
    ];
  });
}

/** Another order: a part that lies beneath is laid over the others, which are cut away under it. */
function orderMend({ onTop }: Made, { design, scale, most }: MendFrom): Mend[] {
  const part = design.parts.find(({ id }) => id === onTop?.part);
  if (!onTop || !part || onTop.cover / scale > most) return [];
  return [
    {
      label: phrase`Another order: “${nameOfPart(part)}” on top`,
      result: phrase`the thickest place then has ${count(onTop.cover / scale)} mm on a mm²`,
      cost: phrase`it covers what it lay under`,
      change: {
        stage: 'design',
        set: { parts: [...design.parts.filter((one) => one !== part), part], order: null },
      },
    },
  ];
}

interface MendFrom {
  design: DesignInput;
  rules: HouseRules;
  scale: number;
  most: number;
}

const mendsFor = (made: Made, from: MendFrom): Mend[] => [
  ...thinningMends(made, from),
  ...orderMend(made, from),
];

const layersWords = (layers: number): Phrase =>
  layers > 1 ? phrase`${count(layers)} layers lie on each other here` : phrase`One layer lies on itself here`;

/** Where a spot of a design lies on the piece, mm. */
const onPiece = (at: Made['spots'][number]['at'], scale: number, place: Results['place']) =>
  place ? add(place.centre, rotate({ x: at.x * scale, y: at.y * scale }, place.turnDeg)) : undefined;

/** The place where thread lies thickest, if thicker than the cloth with its sheets takes; how many others are too. */
export function hotSpotFindings(
  facts: DesignFacts | null,
  design: DesignInput,
  { piece, place, layers }: Pick<Results, 'piece' | 'place' | 'layers'>,
  rules: HouseRules,
): Finding[] {
  if (!facts?.made) return [];
  const { made, scale } = facts;
  const limit = mostCoverOn(piece.fabric, layers?.sheets.length ?? 1, rules);
  const [worst, ...others] = made.spots.filter(({ cover }) => cover / scale > limit.cover);
  if (!worst) return [];
  const here = worst.cover / scale;
  const isBoard = here > numberFor(rules, N.boardCover);
  const more =
    others.length > 0
      ? phrase` ${others.length === 1 ? phrase`One other place has` : phrase`${count(others.length)} other places have`} too much, too.`
      : phrase``;
  const board = isBoard ? phrase` It is a board and breaks needles.` : phrase``;
  const text = phrase`${layersWords(worst.layers)}: ${count(here)} mm of thread on a mm², more than the ${count(limit.cover)} that ${limit.on} takes.${board}${more}`;
  const at = onPiece(worst.at, scale, place);
  return [
    finding('stitch', isBoard ? 'stitch-board' : 'stitch-hot-spot', isBoard ? 'stop' : 'warn', text, {
      mends: mendsFor(made, { design, rules, scale, most: limit.cover }),
      ...(at ? { at } : {}),
    }),
  ];
}
