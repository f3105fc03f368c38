import { boxOf, centreOf } from '../../base/geometry/box';
import { distance, type Point, rotate, subtract } from '../../base/geometry/point';
import { mm, type Phrase, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { MOUNT_NUMBERS } from '../../catalogue/numbers/mount';
import type { HouseRules } from '../../model/houseRules';
import type { Sheet } from '../../model/ticket/layers';
import { hoopKindOf } from '../../stages/hoop/kinds';
import type { HoopKind } from '../../stages/hoop/kinds/hoopKind';
import type { LaidHoop } from '../../stages/hoop/layHoop';
import type { HoopPlan } from '../../stages/hoop/planHoop';
import type { LayersPlan } from '../../stages/layers/planLayers';
import type { MountPlan } from '../../stages/mount/planMount';
import { isA } from '../../stages/piece/geometry';
import { isKnit } from '../../stages/piece/isKnit';
import type { PiecePlan } from '../../stages/piece/planPiece';
import type { PlacePlan } from '../../stages/place/planPlace';
import { IRON, nameOf, SPRAY } from './cutAndBond';
import { type RingPicture, type Step, stepOf } from './step';

/** What the steps depend on. */
export interface RingFacts {
  hoop: HoopPlan & { laid: LaidHoop };
  piece: PiecePlan;
  place: PlacePlan;
  layers: LayersPlan;
  mount: MountPlan;
  rules: HouseRules;
}

type Steps = (facts: RingFacts) => Step[];
const SNIPS = phrase`Scissors away from you.`;

/** A step at the ring, with its picture. */
const step = (id: string, picture: RingPicture, text: Phrase, rest: Partial<Step> = {}): Step =>
  stepOf('hoop', id, text, { ring: picture, ...rest });

const isFloated = ({ hoop }: RingFacts): boolean => hoop.method === 'floated';

/** The sheets in the ring that the cloth is not yet bonded to, from the cloth down. */
const inRing = ({ layers }: RingFacts): Sheet[] => layers.sheets.filter((s) => s.where === 'in the ring');

/** Sheets in words of a step: "the Cut-away, medium and the Tear-away, medium". */
const named = (sheets: readonly Sheet[]): string => sheets.map((s) => `the ${nameOf(s)}`).join(' and ');

/** A floated piece's sheet that is bared inside the ring. */
const stickyCarrier = (facts: RingFacts): Sheet | undefined =>
  isFloated(facts) ? inRing(facts).find((s) => s.bond === 'sticky') : undefined;

const openSeams: Steps = ({ piece }) =>
  piece.opened.map((name) =>
    step(
      `seam ${name}`,
      'inside',
      phrase`Unpick the ${name} as far as the hoop needs; keep its ends for closing it.`,
      { caution: SNIPS },
    ),
  );

const kindOf = ({ hoop }: RingFacts): HoopKind => hoopKindOf(hoop.laid.verdict.hoop);

const orientation: Steps = (facts) => {
  const kind = kindOf(facts);
  const { bracket } = facts.hoop.laid.verdict.hoop;
  return [
    step('orientation', 'arrows', kind.orientation, { hint: kind.orientationHint }),
    step(
      'bracket',
      'bracket',
      phrase`Bracket to the ${bracket}, on the carriage's side; the piece's top will point ${facts.mount.chosen.topPoints}.`,
      { choice: facts.mount.ranks.length > 1 ? 'way round' : null },
    ),
  ];
};

const loosen: Steps = (facts) => {
  const { loosen: text, loosenHint } = kindOf(facts);
  return [step('loosen', 'loosen', text, { hint: loosenHint })];
};

/** How the piece comes round the hoop. */
const loading: Steps = (facts) => {
  const { kind } = facts.piece;
  const own = (kind.loading ?? []).map((text, i) => step(`loading ${i}`, 'inside', phrase`${text}`));
  if (kind.form !== 'tubular') return own;
  const usual = isFloated(facts)
    ? step(
        'inside out',
        'inside',
        phrase`Turn the body inside out round the hoop: the face lies up on the sheet, the rest hangs below.`,
        { hint: phrase`Nothing of the back may lie under the field.` },
      )
    : step('inside', 'inside', phrase`Lower ring inside the piece, under the one layer that is stitched.`, {
        hint: phrase`The back hangs clear below it.`,
      });
  return [...own, usual];
};

/** The sheet in the ring first, where the piece floats on it. */
const sheetFirst: Steps = (facts) => {
  if (!isFloated(facts)) return [];
  const kind = kindOf(facts);
  const sheets = inRing(facts);
  const sticky = stickyCarrier(facts);
  return [
    step('close on the sheet', 'sides', phrase`${capital(named(sheets))} alone in the ring: ${kind.close}`, {
      hint: sticky ? phrase`Paper side of the ${nameOf(sticky)} up.` : null,
      caution: kind.closeCaution,
    }),
    step('drum', 'drum', facts.layers.tension),
  ];
};

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What makes the sheet in the ring hold a floated piece: its own tack, or spray. */
const bareTheSheet: Steps = (facts) => {
  const sticky = stickyCarrier(facts);
  if (sticky)
    return [
      step(
        'score',
        'score',
        phrase`Score the paper with a pin along the inside of the ring: through the paper, not the sheet.`,
        { hint: phrase`A light hand: a cut sheet lets go.` },
      ),
      step('peel', 'peel', phrase`Peel the paper off, from the middle out: the tack lies up.`),
    ];
  const sprayed = isFloated(facts) ? inRing(facts).find((s) => s.bond === 'sprayed') : undefined;
  return sprayed
    ? [
        step(
          'spray in the ring',
          'peel',
          phrase`Spray the ${nameOf(sprayed)} in the ring; cover the ring itself with paper.`,
          { caution: SPRAY },
        ),
      ]
    : [];
};

/** Sheets that are clamped with the cloth, laid under it. */
const layUnder: Steps = (facts) => {
  const loose = isFloated(facts) ? [] : inRing(facts).filter((s) => s.bond === 'none');
  if (loose.length === 0) return [];
  const text = phrase`Lay ${named(loose)} under the cloth, over the lower ring on all sides.`;
  return [step('lay under', 'inside', text)];
};

const middleOf = (ring: readonly Point[]): Point => centreOf(boxOf(ring));

/** Closer to the centre mark than this, the hoop centre lies on it: a hand lays no hoop finer, mm. */
const ON_THE_MARK_MM = 0.8;

/** Where a way on the piece leads, as it lies with its top up. */
function wayWord({ x, y }: Point): string {
  if (Math.abs(x) > Math.abs(y)) return x > 0 ? 'right' : 'left';
  return y > 0 ? 'down' : 'up';
}

/**
 * How the hoop centre is found from a centre mark: along its axis line, turned so on the piece, then square to it. Null where
 * it is that mark.
 */
export function wayToHoopCentre(hoopAt: Point, mark: Point, axisDeg: number): Phrase | null {
  const way = rotate(subtract(hoopAt, mark), -axisDeg);
  const said = (part: Point, how: string): Phrase[] => {
    const by = Math.hypot(part.x, part.y);
    return by < ON_THE_MARK_MM ? [] : [phrase`${mm(by)} ${wayWord(rotate(part, axisDeg))} ${how}`];
  };
  const [first, second] = [
    ...said({ x: way.x, y: 0 }, 'along the axis line'),
    ...said({ x: 0, y: way.y }, 'square to the axis line'),
  ];
  if (!first) return null;
  return second ? phrase`${first}, then ${second}` : first;
}

/** The marks that the hoop is laid on: the design's own, or the hoop centre where the design lies beside it in the hoop. */
function marksOfHoop(facts: RingFacts): Step[] {
  const { hoop, place } = facts;
  const centre = middleOf(hoop.laid.ring);
  const [left, right] = place.axisEnds;
  const axisDeg = (Math.atan2(right.y - left.y, right.x - left.x) * 180) / Math.PI;
  const way = wayToHoopCentre(centre, place.centre, axisDeg);
  if (!way)
    return [
      step('notches', 'notches', phrase`Align the hoop's notches with the centre mark and both axis marks.`, {
        hint: phrase`A grid helps: lay its cross on the centre mark.`,
        cross: place.centre,
      }),
    ];
  return [
    step('hoop centre', 'notches', phrase`Mark the hoop centre: from the centre mark go ${way}.`, {
      hint: phrase`The design is not in the middle of this hoop: the machine settings move it onto its marks.`,
      cross: centre,
    }),
    step(
      'notches',
      'notches',
      phrase`Centre the hoop on the hoop centre, its sides parallel to the axis line.`,
      {
        hint: phrase`A grid helps: lay its cross on the hoop centre.`,
        cross: centre,
      },
    ),
  ];
}

const onTheMarks: Steps = (facts) => {
  const { hoop, layers } = facts;
  const marks = marksOfHoop(facts);
  if (hoop.method !== 'floated') return marks;
  const smooth = step('smooth', 'drum', phrase`Smooth it from the middle outwards, without a pull.`, {
    hint:
      layers.bastingMm === null
        ? null
        : phrase`A basting box ${mm(layers.bastingMm)} outside the design is stitched first.`,
  });
  return [...marks, smooth];
};

const closeIt: Steps = (facts) => {
  if (isFloated(facts)) return [];
  const kind = kindOf(facts);
  const close = step('close', 'sides', kind.close, { caution: kind.closeCaution });
  return kind.closed
    ? [close, step('flush', 'flush', kind.closed.text, { hint: kind.closed.hint })]
    : [close];
};

/** What holds the piece to its sheets besides the ring, once it lies: the basting box is stitched later. */
const fasten: Steps = (facts) => {
  const { layers } = facts;
  const isFastened = (by: Sheet['fastening']) =>
    layers.sheets.some(({ where, fastening }) => where === 'in the ring' && fastening === by);
  const pins = step('pins', 'drum', phrase`Pin it at the ring's edge, outside the field, heads outwards.`);
  const tape = step(
    'tape',
    'drum',
    phrase`Tape it at the ring's edge, outside the field, with low-tack tape.`,
  );
  const fused = isFloated(facts) ? inRing(facts).filter((s) => s.bond === 'fused') : [];
  const fuse = step(
    'fuse in the ring',
    'drum',
    phrase`Fuse the cloth to ${named(fused)} from above, the ring on a flat board: press and lift, off the ring itself; let it cool.`,
    { caution: IRON },
  );
  return [
    ...(fused.length > 0 ? [fuse] : []),
    ...(isFastened('pins') ? [pins] : []),
    ...(isFastened('tape') ? [tape] : []),
  ];
};

/** The tension by touch, and by the tape: both axis ends measured again. */
const tensionTest: Steps = (facts) => {
  if (isFloated(facts)) return [];
  const { layers, piece, place, rules } = facts;
  const [left, right] = place.axisEnds;
  const apart = distance(left, right);
  const percent = numberFor(
    rules,
    isKnit(piece.fabric, rules) ? MOUNT_NUMBERS.stretchKnitPercent : MOUNT_NUMBERS.stretchWovenPercent,
  );
  const most = apart * (1 + percent / 100);
  return [
    step('tension', 'drum', layers.tension, {
      hint: layers.snugged ? null : phrase`Do not pull the cloth once it is closed.`,
    }),
    step('stretch', 'notches', phrase`Measure axis end to axis end again: chalked ${mm(apart)} apart.`, {
      figure: mm(apart),
      hint: phrase`More than ${mm(most)} now, where ${mm(apart)} was chalked: it is stretched. Take it out and hoop it again.`,
    }),
  ];
};

/** How a sheet comes to lie under a closed ring, bonded to the cloth or loose. */
function laidBelow(sheet: Sheet): string {
  const name = nameOf(sheet);
  if (sheet.bond === 'sprayed')
    return `Spray the ${name} and press it up against the cloth from below the ring`;
  if (sheet.bond === 'sticky')
    return `Peel the paper off the ${name} and press it up against the cloth from below the ring`;
  return `Slip the ${name} under the ring`;
}

const HELD_BELOW: Record<Sheet['fastening'], string> = {
  tape: ', and tape its corners to the ring from below',
  pins: ', and pin it to the cloth outside the field, heads outwards',
  'basting box': '; the basting box will catch it',
  none: '',
};

/** Sheets outside the ring, once it is closed. */
const slipUnder: Steps = ({ layers }) =>
  layers.sheets
    .filter((s) => s.where === 'under the ring')
    .map((sheet, i) =>
      step(
        `slip ${i} ${sheet.stabilizer}`,
        'sheet',
        phrase`${laidBelow(sheet)}, over the whole field${HELD_BELOW[sheet.fastening]}.`,
        sheet.bond === 'sprayed' ? { caution: SPRAY } : {},
      ),
    );

/** What hangs over the throat, out of the way. */
const bulk: Steps = ({ mount, piece }) => {
  const { chosen, machine } = mount;
  if (chosen.overMm <= 0 && piece.kind.form !== 'tubular') return [];
  const rest = isA(piece.kind, 'sleeves') ? 'sleeves and hem' : 'the rest of it';
  const text =
    chosen.overMm > 0
      ? phrase`Roll up the last ${mm(chosen.overMm)} towards the body and hold it with low-tack tape: the throat takes ${mm(machine?.throatMm ?? 0)}.`
      : phrase`Roll ${rest} up and hold it with low-tack tape, clear of the field.`;
  return [
    step('roll', 'roll', text, { hint: phrase`Clips sit on the ring's outer edge, never on the bracket.` }),
  ];
};

/** The whole ritual in the order it is done. */
const STEPS: readonly Steps[] = [
  openSeams,
  orientation,
  loosen,
  sheetFirst,
  bareTheSheet,
  loading,
  layUnder,
  onTheMarks,
  closeIt,
  fasten,
  tensionTest,
  slipUnder,
  bulk,
];

/** The steps of closing this hoop on this piece by this method, in order. */
export const ringSteps = (facts: RingFacts): Step[] => STEPS.flatMap((steps) => steps(facts));
