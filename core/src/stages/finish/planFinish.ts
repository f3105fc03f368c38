import { count, mm, type Phrase, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { STABILIZERS, type Stabilizer } from '../../catalogue/materials';
import { FINISH_NUMBERS } from '../../catalogue/numbers/finish';
import { LAYER_NUMBERS } from '../../catalogue/numbers/layers';
import type { FinishDeed } from '../../model/deed';
import type { Finding } from '../../model/finding';
import { type HouseRules, schoolFor } from '../../model/houseRules';
import type { Reason } from '../../model/reason';
import type { Sheet } from '../../model/ticket/layers';
import type { DesignFacts } from '../design/designFacts';
import type { LayersPlan } from '../layers/planLayers';
import { isA } from '../piece/geometry';
import type { PiecePlan } from '../piece/planPiece';

export interface FinishStep {
  id: string;
  deed: FinishDeed;
  text: Phrase;
  caution: Phrase | null;
  /** How long it takes, where a clock is kept for it, s. */
  seconds: number | null;
}

export interface FinishPlan {
  steps: FinishStep[];
  inspect: Phrase[];
  findings: Finding[];
  reasons: Reason[];
}

interface FinishQuestion {
  piece: PiecePlan;
  /** How often a basting box is stitched on the piece, and whether registration crosses are. */
  stitched: { boxes: number; crosses: boolean };
  /** Its shapes that are of cloth. */
  cloths: DesignFacts['cloths'];
  layers: LayersPlan;
  rules: HouseRules;
}

const step = (
  id: string,
  deed: FinishDeed,
  text: Phrase,
  caution: Phrase | null = null,
  seconds: number | null = null,
): FinishStep => ({ id, deed, text, caution, seconds });
const IRON = phrase`Iron and steam burn: keep fingers off the edge.`;

/** What of the topper comes off by hand, before the marks are out. */
function topperSteps({ layers, piece }: FinishQuestion): FinishStep[] {
  switch (layers.parts.topper.choice.id) {
    case 'soluble-film':
      return [
        step(
          'film',
          { do: 'pull topper', isAllOff: piece.fabric.iron === 'no' },
          piece.fabric.iron === 'no'
            ? phrase`Pull the film off; tweezers for the corners, a damp cloth for the rest.`
            : phrase`Pull the film off; tweezers for the corners.`,
        ),
      ];
    case 'heat-away-film':
      return [step('film', { do: 'pull topper', isAllOff: false }, phrase`Pull the film off.`)];
    case 'permanent-film':
      return [
        step(
          'film',
          { do: 'pull topper', isAllOff: true },
          phrase`Tear the film off round the edge; what lies under the stitches stays.`,
        ),
      ];
    default:
      return [];
  }
}

/** What of the topper is left to damp and heat: an iron sets marks, so they are out by then. */
function filmLeft({ layers, piece }: FinishQuestion): FinishStep[] {
  const { id } = layers.parts.topper.choice;
  if (id === 'heat-away-film')
    return [
      step(
        'film-left',
        { do: 'iron topper' },
        phrase`Iron away what is left of the film, through a cloth.`,
        IRON,
      ),
    ];
  return id === 'soluble-film' && piece.fabric.iron !== 'no'
    ? [
        step(
          'film-left',
          { do: 'damp topper', isIroned: true },
          phrase`Blot what is left of the film with wet paper and the tip of the iron, or a damp cloth.`,
          IRON,
        ),
      ]
    : [];
}

/** How what stays is trimmed, in the reader's own units. */
function trimWords(id: string): Phrase {
  if (id === 'rounded') return phrase`Trim what stays to between ${mm(6)} and ${mm(12)}, corners rounded`;
  if (id === 'close') return phrase`Trim what stays close, to ${mm(3)}`;
  return id === 'tear-all' ? phrase`Tear out everything that comes` : phrase`Trim what stays`;
}

function supportSteps({ layers, rules }: FinishQuestion): FinishStep[] {
  const placesOf = (isOf: (id: Sheet['stabilizer']) => boolean) =>
    layers.sheets.flatMap(({ stabilizer }, i) => (isOf(stabilizer) ? [i] : []));
  const ofFamily = (...families: Stabilizer['family'][]) =>
    placesOf((id) => families.includes(STABILIZERS[id].family));
  const [tearing, cutting, soaking] = [
    ofFamily('tear-away', 'dissolving'),
    ofFamily('cut-away'),
    ofFamily('wash-away', 'dissolving'),
  ];
  const tear =
    tearing.length > 1
      ? phrase`Tear the tear-away off, one sheet at a time, a thumb on the stitches.`
      : phrase`Tear the tear-away off, a thumb on the stitches.`;
  return [
    ...(tearing.length > 0 ? [step('tear-away', { do: 'tear', sheets: tearing }, tear)] : []),
    ...(cutting.length > 0
      ? [
          step(
            'cut-away',
            { do: 'trim sheets', sheets: cutting },
            phrase`${trimWords(layers.parts.trim.choice.id)}: fold the cloth well away and keep it in sight.`,
            phrase`Scissors away from you.`,
          ),
        ]
      : []),
    ...(soaking.length > 0
      ? [
          step(
            'soak',
            { do: 'soak', sheets: soaking },
            phrase`Soak it in cool water until nothing is slippery.`,
            null,
            soakSeconds(rules),
          ),
        ]
      : []),
  ];
}

/** Whether it is wetted, by a soak or by what takes off the rest of a film, and then has something fused onto it. */
const isWetted = ({ layers }: FinishQuestion): boolean =>
  layers.parts.cover.choice.id === 'soft-cover' &&
  (layers.parts.topper.choice.id === 'soluble-film' ||
    layers.sheets.some(({ stabilizer }) =>
      ['wash-away', 'dissolving'].includes(STABILIZERS[stabilizer].family),
    ));

const soakSeconds = (rules: HouseRules): number => numberFor(rules, FINISH_NUMBERS.soakMinutes) * 60;

/** How long it is pressed; pile is steamed, for as long as it takes. */
const pressSecondsOn = ({ fabric }: PiecePlan, rules: HouseRules): number | null =>
  fabric.structure === 'pile' ? null : numberFor(rules, FINISH_NUMBERS.pressSeconds);

function lastSteps(question: FinishQuestion): FinishStep[] {
  const { piece, layers, rules } = question;
  const iron = piece.fabric.iron;
  const press =
    piece.fabric.structure === 'pile'
      ? phrase`Steam it from the back, without weight: pressing flattens the pile.`
      : phrase`Press from the back on a soft pad, through a cloth, ${count(numberFor(rules, FINISH_NUMBERS.pressSeconds))} seconds${iron === 'low' ? ', low heat' : ' at about 150 °C (300 °F)'}.`;
  return [
    step('marks', { do: 'remove marks' }, phrase`Marks out: before any heat.`),
    ...filmLeft(question),
    ...(isWetted(question)
      ? [step('dry', { do: 'dry' }, phrase`Let it dry completely before you fuse anything.`)]
      : []),
    ...(layers.parts.cover.choice.id === 'soft-cover'
      ? [
          step(
            'cover',
            { do: 'cover', by: 'fused' },
            phrase`Fuse the soft cover sheet over the back, ${mm(numberFor(rules, LAYER_NUMBERS.coverBeyondMm))} beyond the stitches.`,
            IRON,
          ),
        ]
      : []),
    ...(layers.parts.cover.choice.id === 'lining'
      ? [
          step(
            'cover',
            { do: 'cover', by: 'sewn' },
            phrase`Sew a lining over the back: nothing may be fused here.`,
          ),
        ]
      : []),
    ...(iron === 'no'
      ? []
      : [step('press', { do: 'press', what: 'back' }, press, IRON, pressSecondsOn(piece, rules))]),
    ...(isFused(question) && iron !== 'no'
      ? [
          step(
            'web',
            { do: 'press', what: 'appliqué' },
            phrase`Press the appliqué, and it alone, from the front through a cloth: its web holds once it has been hot.`,
            IRON,
          ),
        ]
      : []),
  ];
}

/** What the cloth of an appliqué leaves to do before the support is cut: threads of it that stand out, a raw edge. */
function clothSteps({ cloths }: FinishQuestion): FinishStep[] {
  const ways = new Set(cloths.map(({ applique }) => applique.way));
  const covered = ways.has('preCut') || ways.has('trimmed');
  return [
    ...(covered
      ? [
          step(
            'whiskers',
            { do: 'trim appliqué' },
            phrase`Snip off what of the appliqué stands out past its edge; never into the stitches.`,
            phrase`Points of scissors away from you and from the cloth.`,
          ),
        ]
      : []),
    ...(ways.has('rawEdge')
      ? [
          step(
            'raw-edge',
            { do: 'trim appliqué' },
            phrase`Brush the raw edge of the appliqué: what is loose comes off, the rest stays.`,
          ),
        ]
      : []),
  ];
}

/** Cloth that is fused is pressed once more, so that its web holds. */
const isFused = ({ cloths }: FinishQuestion): boolean =>
  cloths.some(({ applique }) => applique.cloth.fused && applique.way !== 'trimmed');

/** A light drape is sewn up lightly. */
function sewingSteps({ piece, rules }: FinishQuestion): FinishStep[] {
  const { fabric, kind, opened } = piece;
  const fine =
    fabric.structure === 'stable woven' && fabric.weightGsm <= numberFor(rules, LAYER_NUMBERS.drapeGsm);
  const sewn = opened.length > 0 || kind.sews?.includes('hem-band');
  return fine && sewn
    ? [
        step(
          'overlock',
          { do: 'look over' },
          phrase`On cloth as fine as this a two-thread overlock keeps hem and seams light.`,
        ),
      ]
    : [];
}

/** Where the thing itself can do harm later: small parts, flames. The product advises; local rules decide. */
function safetySteps({ piece: { kind } }: FinishQuestion): FinishStep[] {
  const small = isA(kind, 'toy') || isA(kind, 'baby');
  return [
    ...(small
      ? [
          step(
            'small-parts',
            { do: 'look over' },
            phrase`Tug at everything: no loose piece, ribbon or button may come off.`,
            phrase`Small parts choke. What is sold for children must meet the toy and product-safety rules where you live: check them, or ask someone licensed.`,
          ),
        ]
      : []),
    ...(isA(kind, 'ornament')
      ? [
          step(
            'flame',
            { do: 'look over' },
            phrase`Round a candle or a jar it goes with a battery light only.`,
            phrase`Thread and film burn: never near a flame.`,
          ),
        ]
      : []),
  ];
}

/** The steps that these layers leave to do, in the order they allow, and what to look for. */
export function planFinish(question: FinishQuestion): FinishPlan {
  const { rules, piece, stitched } = question;
  const atEnd = schoolFor(rules, 'jumps') === 'atEnd';
  return {
    steps: [
      step(
        'off',
        { do: 'take off' },
        phrase`Off the machine; loosen the ring before you unhoop.`,
        phrase`Hands in only when the machine stands still.`,
      ),
      ...(stitched.crosses
        ? [step('crosses', { do: 'pick out crosses' }, phrase`Pick out the registration crosses.`)]
        : []),
      ...(stitched.boxes === 0
        ? []
        : [
            step(
              'basting',
              { do: 'pick out basting' },
              stitched.boxes > 1
                ? phrase`Pick out all ${count(stitched.boxes)} basting boxes.`
                : phrase`Pick out the basting box.`,
            ),
          ]),
      ...topperSteps(question),
      step(
        'jumps',
        { do: 'trim threads' },
        atEnd
          ? phrase`Trim all jump threads; do not cut knots close.`
          : phrase`Trim the last jump threads; do not cut knots close.`,
        phrase`Snips, not a flame.`,
      ),
      ...clothSteps(question),
      ...supportSteps(question),
      ...lastSteps(question),
      ...piece.opened.map((name) =>
        step(
          `close ${name}`,
          { do: 'close seam', seam: name },
          phrase`Close again what was opened: ${name}.`,
        ),
      ),
      ...sewingSteps(question),
      ...safetySteps(question),
    ],
    inspect: [
      phrase`Flat round the edge: no puckers.`,
      phrase`Measure the centre against the marks before they are out.`,
      phrase`On the back, bobbin fills the middle third of each satin column.`,
      ...(question.cloths.length > 0
        ? [phrase`No raw edge of the appliqué looks out past its stitches, and none of it lifts.`]
        : []),
      ...(piece.kind.form === 'tubular' ? [phrase`Turn it out: nothing sewn to itself.`] : []),
    ],
    findings: [],
    reasons: [],
  };
}
