import { add, rotate } from '../../base/geometry/point';
import { count, mm, type Phrase, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { DESIGN_NUMBERS as N } from '../../catalogue/numbers/design';
import { type Finding, finding, type Mend } from '../../model/finding';
import type { HouseRules } from '../../model/houseRules';
import type { Made, Stitching, Thinner } from '../../model/ticket/made';
import type { DesignFacts } from '../../stages/design/designFacts';
import { wider } from '../../stages/design/stitches/answer';
import { stitchFigures } from '../../stages/design/stitchFigures';
import type { Results } from '../planned';

/** A cloth that gives by so much, percent, or that is lighter than this, g/m², yields under thread. */
const GIVES_PERCENT = 8;
const LIGHT_GSM = 140;

type Cloth = Results['piece']['fabric'];

/** How thick thread may lie on a cloth with its sheets, mm on mm², and why. */
export function mostCoverOn(cloth: Cloth, sheets: number, rules: HouseRules): { cover: number; why: Phrase } {
  const yields = cloth.stretchPercent >= GIVES_PERCENT || cloth.weightGsm < LIGHT_GSM || cloth.seeThrough;
  if (yields && sheets < 2)
    return {
      cover: numberFor(rules, N.hotSpotThinCover),
      why: phrase`on ${cloth.name.toLowerCase()} with ${sheets === 0 ? 'no sheet' : 'one sheet'}`,
    };
  return { cover: numberFor(rules, N.hotSpotCover), why: phrase`on ${cloth.name.toLowerCase()}` };
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
    label: (stitching, rules) => phrase`Rows ${mm(rowsOf(stitching, rules))} apart`,
    cost: phrase`the ground shows sooner`,
    set: (stitching, rules) => ({ ...stitching, rowMm: rowsOf(stitching, rules) }),
  },
  underlay: {
    label: () => phrase`One layer less: no rows beneath`,
    cost: phrase`the fills hold the cloth less`,
    set: (stitching) => ({ ...stitching, underlay: false }),
  },
};

function mendsFor(made: Made, { stitching, rules, scale, most }: MendFrom): Mend[] {
  return (Object.entries(made.thinned) as [Thinner, number][]).flatMap(([thinner, cover]) => {
    if (cover / scale > most) return [];
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

interface MendFrom {
  stitching: Stitching;
  rules: HouseRules;
  scale: number;
  most: number;
}

const layersWords = (layers: number): Phrase =>
  layers > 1
    ? phrase`${count(layers)} layers lie on each other here`
    : phrase`One layer is stitched on itself here`;

/** Where a spot of a design lies on the piece, mm. */
const onPiece = (at: Made['spots'][number]['at'], scale: number, place: Results['place']) =>
  place ? add(place.centre, rotate({ x: at.x * scale, y: at.y * scale }, place.turnDeg)) : undefined;

/** Places where thread lies thicker than the cloth with its sheets takes, the worst first. */
export function hotSpotFindings(
  facts: DesignFacts | null,
  stitching: Stitching,
  { piece, place, layers }: Pick<Results, 'piece' | 'place' | 'layers'>,
  rules: HouseRules,
): Finding[] {
  if (!facts?.made) return [];
  const { made, scale } = facts;
  const limit = mostCoverOn(piece.fabric, layers?.sheets.length ?? 1, rules);
  const board = numberFor(rules, N.boardCover);
  const hot = made.spots.filter(({ cover }) => cover / scale > limit.cover);
  const mends = mendsFor(made, { stitching, rules, scale, most: limit.cover });
  return hot.slice(0, MOST_SAID).map(({ at, cover, layers: deep }, i) => {
    const here = cover / scale;
    const isBoard = here > board;
    const text = phrase`${layersWords(deep)}: ${count(here)} mm of thread on a mm²; ${limit.why} at most ${count(limit.cover)}.${isBoard ? phrase` It is a board and breaks needles.` : phrase``}`;
    const where = onPiece(at, scale, place);
    return finding('stitch', isBoard ? 'stitch-board' : 'stitch-hot-spot', isBoard ? 'stop' : 'warn', text, {
      mends: i === 0 ? mends : [],
      ...(where ? { at: where } : {}),
    });
  });
}

/** So many places are said; the map shows them all. */
const MOST_SAID = 3;
