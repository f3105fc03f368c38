import { distance } from '../geometry/point';
import type { LayersPlan } from '../layers/planLayers';
import type { MountPlan } from '../mount/planMount';
import type { PiecePlan } from '../piece/planPiece';
import type { PlacePlan } from '../place/planPlace';
import { numberFor } from '../rules/numbers';
import type { HouseRules } from '../rules/schema';
import { mm, type Phrase, phrase, type Quantity } from '../units/phrase';
import { isKnit } from './chooseMethod';
import type { LaidHoop } from './layHoop';
import type { HoopPlan } from './planHoop';
import { RING_HANDLING, type RingHandling } from './ringHandling';

/** Small drawings of a ring that a step can show; the app draws them to the hoop's own sides. */
export const RING_PICTURES = [
  'sheet',
  'arrows',
  'loosen',
  'inside',
  'sides',
  'notches',
  'flush',
  'drum',
  'score',
  'peel',
  'roll',
  'bracket',
] as const;
export type RingPicture = (typeof RING_PICTURES)[number];

/** One step of closing the ring. */
export interface RitualStep {
  id: string;
  text: Phrase;
  figure?: Quantity;
  hint?: Phrase;
  caution?: Phrase;
  picture: RingPicture;
  /** It is done at the chalked centre. */
  atCentre?: true;
}

/** What the steps depend on. */
export interface RitualFacts {
  hoop: HoopPlan & { laid: LaidHoop };
  piece: PiecePlan;
  place: PlacePlan;
  layers: LayersPlan;
  mount: MountPlan;
  rules: HouseRules;
}

type Steps = (facts: RitualFacts) => RitualStep[];
const SNIPS = phrase`Scissors away from you.`;

const isSticky = ({ hoop, layers }: RitualFacts): boolean =>
  hoop.laid.verdict.hoop.kind === 'open frame' || layers.sheets.some((s) => s.hold === 'sticky');

const openSeams: Steps = ({ piece }) =>
  piece.opened.map((name) => ({
    id: `seam ${name}`,
    text: phrase`Unpick the ${name} as far as the hoop needs; keep its ends for closing it.`,
    caution: SNIPS,
    picture: 'inside',
  }));

const cutSheet: Steps = ({ hoop }) =>
  hoop.cut
    ? [
        {
          id: 'cut',
          text: phrase`Cut the stabilizer ${mm(hoop.cut.widthMm)} × ${mm(hoop.cut.heightMm)}.`,
          figure: mm(hoop.cut.widthMm),
          caution: SNIPS,
          picture: 'sheet',
        },
      ]
    : [];

const kindOf = ({ hoop }: RitualFacts): RingHandling => RING_HANDLING[hoop.laid.verdict.hoop.kind];

const orientation: Steps = (facts) => {
  const kind = kindOf(facts);
  return [
    { id: 'orientation', text: kind.orientation, hint: kind.orientationHint, picture: 'arrows' },
    {
      id: 'bracket',
      text: phrase`Bracket to the ${facts.hoop.laid.verdict.hoop.bracket}, on the carriage's side; the piece's top will point ${facts.mount.chosen.topPoints}.`,
      picture: 'bracket',
    },
  ];
};

const loosen: Steps = (facts) => {
  const kind = kindOf(facts);
  return [
    {
      id: 'loosen',
      text: kind.loosen,
      ...(kind.loosenHint ? { hint: kind.loosenHint } : {}),
      picture: 'loosen',
    },
  ];
};

/** How the piece comes round the hoop. */
const loading: Steps = ({ piece, hoop }) => {
  const own = (piece.kind.loading ?? []).map(
    (text, i): RitualStep => ({ id: `loading ${i}`, text: phrase`${text}`, picture: 'inside' }),
  );
  if (piece.kind.form !== 'tubular') return own;
  const usual: RitualStep =
    hoop.method === 'floated'
      ? {
          id: 'inside out',
          text: phrase`Turn the body inside out round the hoop: the face lies up on the sheet, the rest hangs below.`,
          hint: phrase`Nothing of the back may lie under the field.`,
          picture: 'inside',
        }
      : {
          id: 'inside',
          text: phrase`Lower ring inside the piece, under the one layer that is stitched.`,
          hint: phrase`The back hangs clear below it.`,
          picture: 'inside',
        };
  return [...own, usual];
};

/** The sheet in the ring first, where the piece floats on it. */
const sheetFirst: Steps = (facts) => {
  if (facts.hoop.method !== 'floated') return [];
  const kind = kindOf(facts);
  const closed: RitualStep = {
    id: 'close on the sheet',
    text: phrase`The stabilizer alone: ${kind.close}`,
    ...(kind.closeCaution ? { caution: kind.closeCaution } : {}),
    picture: 'sides',
  };
  return [closed, { id: 'drum', text: facts.hoop.tension, picture: 'drum' }];
};

/** A sticky sheet is bared inside the ring only. */
const scoreAndPeel: Steps = (facts) =>
  isSticky(facts)
    ? [
        {
          id: 'score',
          text: phrase`Score the paper with a pin along the inside of the ring: through the paper, not the sheet.`,
          hint: phrase`A light hand: a cut sheet lets go.`,
          picture: 'score',
        },
        { id: 'peel', text: phrase`Peel the paper off, from the middle out.`, picture: 'peel' },
      ]
    : [];

const onTheMarks: Steps = ({ hoop }) => [
  {
    id: 'notches',
    text: phrase`Bring the hoop's notches onto the centre and both axis ends.`,
    hint: phrase`Through the grid, if the hoop has one: cross under cross.`,
    picture: 'notches',
    atCentre: true,
  },
  ...(hoop.method === 'floated'
    ? [
        {
          id: 'smooth',
          text: phrase`Smooth it from the middle outwards, without a pull. A basting box ${mm(hoop.bastingMm ?? 0)} outside the design goes first.`,
          picture: 'drum' as const,
        },
      ]
    : []),
];

const closeIt: Steps = (facts) => {
  if (facts.hoop.method === 'floated') return [];
  const kind = kindOf(facts);
  const ring = facts.hoop.laid.verdict.hoop.kind;
  const close: RitualStep = {
    id: 'close',
    text: kind.close,
    ...(kind.closeCaution ? { caution: kind.closeCaution } : {}),
    picture: 'sides',
  };
  const flush: RitualStep = {
    id: 'flush',
    text: phrase`Push the inner ring 1 to 2 mm past flush. The screw finger-tight only.`,
    hint: phrase`A driver on the screw breaks hoops.`,
    picture: 'flush',
  };
  return ring === 'screw' ? [close, flush] : [close];
};

/** The tension by touch, and by the tape: both axis ends measured again. */
const tensionTest: Steps = (facts) => {
  const { hoop, piece, place, rules } = facts;
  if (hoop.method === 'floated') return [];
  const [left, right] = place.axisEnds;
  const apart = distance(left, right);
  const percent = numberFor(rules, isKnit(piece.fabric) ? 'stretchKnitPercent' : 'stretchWovenPercent');
  const most = apart * (1 + percent / 100);
  return [
    {
      id: 'tension',
      text: hoop.tension,
      hint: phrase`Do not pull the cloth once it is closed.`,
      picture: 'drum',
    },
    {
      id: 'stretch',
      text: phrase`Measure axis end to axis end again: chalked ${mm(apart)} apart.`,
      figure: mm(apart),
      hint: phrase`More than ${mm(most)} now: it is stretched. Take it out and hoop it again.`,
      picture: 'notches',
    },
  ];
};

/** What hangs over the throat, out of the way. */
const bulk: Steps = ({ mount, piece }) => {
  const { chosen, machine } = mount;
  if (chosen.overMm <= 0 && piece.kind.form !== 'tubular') return [];
  const text =
    chosen.overMm > 0
      ? phrase`Roll up the last ${mm(chosen.overMm)} towards the body and hold it with low-tack tape: the throat takes ${mm(machine?.throatMm ?? 0)}.`
      : phrase`Roll sleeves and hem up and hold them with low-tack tape, clear of the field.`;
  return [
    {
      id: 'roll',
      text,
      hint: phrase`Clips sit on the ring's outer edge, never on the bracket.`,
      picture: 'roll',
    },
  ];
};

/** The whole ritual in the order it is done. */
const STEPS: readonly Steps[] = [
  openSeams,
  cutSheet,
  orientation,
  loosen,
  sheetFirst,
  scoreAndPeel,
  loading,
  onTheMarks,
  closeIt,
  tensionTest,
  bulk,
];

/** The steps of closing this hoop on this piece by this method, in order. */
export const ritualFor = (facts: RitualFacts): RitualStep[] => STEPS.flatMap((steps) => steps(facts));
