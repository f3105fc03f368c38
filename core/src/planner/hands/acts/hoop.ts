import { boxOf, centreOf } from '../../../base/geometry/box';
import { distance, type Point, rotate, subtract } from '../../../base/geometry/point';
import { numberFor } from '../../../catalogue/houseNumber';
import { MOUNT_NUMBERS } from '../../../catalogue/numbers/mount';
import type { Act, Deed, Leg } from '../../../model/deed';
import type { HouseRules } from '../../../model/houseRules';
import type { Sheet } from '../../../model/ticket/layers';
import { hoopKindOf } from '../../../stages/hoop/kinds';
import type { LaidHoop } from '../../../stages/hoop/layHoop';
import type { HoopPlan } from '../../../stages/hoop/planHoop';
import type { LayersPlan } from '../../../stages/layers/planLayers';
import type { MountPlan } from '../../../stages/mount/planMount';
import { isKnit } from '../../../stages/piece/isKnit';
import type { PiecePlan } from '../../../stages/piece/planPiece';
import type { PlacePlan } from '../../../stages/place/planPlace';
import type { Results } from '../../planned';
import { actOf } from '../actOf';

/** What the acts at the hoop depend on. */
export interface HoopFacts {
  hoop: HoopPlan & { laid: LaidHoop };
  piece: PiecePlan;
  place: PlacePlan;
  layers: LayersPlan;
  mount: MountPlan;
  rules: HouseRules;
}

/** All of them; null while a stage waits for an earlier one. */
export function hoopFacts(
  { hoop, place, piece, layers, mount }: Results,
  rules: HouseRules,
): HoopFacts | null {
  if (!hoop?.laid || !place || !layers || !mount) return null;
  return { hoop: { ...hoop, laid: hoop.laid }, place, piece, layers, mount, rules };
}

type Acts = (facts: HoopFacts) => Act[];

const act = (id: string, deed: Deed): Act => actOf('hoop', id, deed);

export const isFloated = ({ hoop }: Pick<HoopFacts, 'hoop'>): boolean => hoop.method === 'floated';

/** The places of the sheets of a stack that are so. */
const placesOf = ({ layers }: Pick<HoopFacts, 'layers'>, isSo: (sheet: Sheet) => boolean): number[] =>
  layers.sheets.flatMap((sheet, i) => (isSo(sheet) ? [i] : []));
const inHoop = (sheet: Sheet): boolean => sheet.where === 'in the ring';

/** What is clamped with the cloth without a bond, laid under it. */
export const looseUnder = (facts: HoopFacts): number[] =>
  isFloated(facts) ? [] : placesOf(facts, (sheet) => inHoop(sheet) && sheet.bond === 'none');

/** The sheet that a floated piece is stuck to, and how it is bared; null where none is. */
const stickyUnder = (facts: HoopFacts): number | null =>
  isFloated(facts) ? (placesOf(facts, (s) => inHoop(s) && s.bond === 'sticky')[0] ?? null) : null;

const openSeams: Acts = ({ piece }) =>
  piece.opened.map((seam) => act(`seam ${seam}`, { do: 'open seam', seam }));

const orientation: Acts = ({ hoop }) => [
  act('orientation', { do: 'set hoop parts' }),
  act('bracket', { do: 'turn bracket', turnDeg: hoop.laid.turnDeg }),
];

const loosen: Acts = () => [act('loosen', { do: 'loosen' })];

/** How the piece comes round the hoop. */
const loading: Acts = (facts) => {
  const { kind } = facts.piece;
  const own = (kind.loading ?? []).map((text, i) =>
    act(`loading ${i}`, { do: 'load', how: 'own', own: text }),
  );
  if (kind.form !== 'tubular') return own;
  const how = isFloated(facts) ? 'inside out' : 'inside';
  return [...own, act(how, { do: 'load', how, own: null })];
};

/** The sheets in the hoop first, where the piece floats on them. */
const sheetsFirst: Acts = (facts) =>
  isFloated(facts)
    ? [
        act('close on the sheet', {
          do: 'hoop sheets',
          sheets: placesOf(facts, inHoop),
          paperUp: stickyUnder(facts),
        }),
        act('drum', { do: 'feel sheets' }),
      ]
    : [];

/** What makes the sheet in the hoop hold a floated piece: its own tack, or spray. */
const bareTheSheet: Acts = (facts) => {
  const sticky = stickyUnder(facts);
  if (sticky !== null)
    return [act('score', { do: 'score', sheet: sticky }), act('peel', { do: 'peel', sheet: sticky })];
  const [sprayed] = isFloated(facts) ? placesOf(facts, (s) => inHoop(s) && s.bond === 'sprayed') : [];
  return sprayed === undefined ? [] : [act('spray in the ring', { do: 'spray', sheet: sprayed })];
};

const layUnder: Acts = (facts) => {
  const sheets = looseUnder(facts);
  return sheets.length === 0 ? [] : [act('lay under', { do: 'lay under', sheets })];
};

/** Closer to the centre mark than this, the hoop centre lies on it: a hand lays no hoop finer, mm. */
const ON_THE_MARK_MM = 0.8;

/** Where a way on the piece leads, as it lies with its top up. */
function wayOf({ x, y }: Point): Leg['way'] {
  if (Math.abs(x) > Math.abs(y)) return x > 0 ? 'right' : 'left';
  return y > 0 ? 'down' : 'up';
}

/**
 * How the hoop centre is found from a centre mark: along its axis line, turned so on the piece, then square to it. Empty where
 * it is that mark.
 */
export function legsTo(hoopAt: Point, mark: Point, axisDeg: number): Leg[] {
  const way = rotate(subtract(hoopAt, mark), -axisDeg);
  const legOf = (part: Point, along: Leg['along']): Leg[] => {
    const by = Math.hypot(part.x, part.y);
    return by < ON_THE_MARK_MM ? [] : [{ mm: by, way: wayOf(rotate(part, axisDeg)), along }];
  };
  return [...legOf({ x: way.x, y: 0 }, 'axis'), ...legOf({ x: 0, y: way.y }, 'square')];
}

/** The turn of a line on the piece from one mark to another, clockwise. */
export const axisDegOf = ([left, right]: readonly [Point, Point]): number =>
  (Math.atan2(right.y - left.y, right.x - left.x) * 180) / Math.PI;

/** The marks that the hoop is laid on: the design's own, or the hoop centre where the design lies beside it in the hoop. */
const onTheMarks: Acts = (facts) => {
  const { hoop, place, layers } = facts;
  const at = centreOf(boxOf(hoop.laid.ring));
  const { onPieceDeg } = hoop.laid;
  const legs = legsTo(at, place.centre, axisDegOf(place.axisEnds));
  const found: Act[] =
    legs.length === 0
      ? [act('notches', { do: 'lay hoop', on: 'marks', at: place.centre, onPieceDeg })]
      : [
          act('hoop centre', { do: 'find hoop centre', from: 1, legs, at, onPieceDeg }),
          act('notches', { do: 'lay hoop', on: 'hoop centre', at, onPieceDeg }),
        ];
  return isFloated(facts) ? [...found, act('smooth', { do: 'smooth', basteMm: layers.bastingMm })] : found;
};

const closeIt: Acts = (facts) => {
  if (isFloated(facts)) return [];
  const { closed } = hoopKindOf(facts.hoop.laid.verdict.hoop);
  return [act('close', { do: 'close' }), ...(closed ? [act('flush', { do: 'see it flush' })] : [])];
};

/** What holds the piece to its sheets besides the hoop, once it lies, by the ids of its acts: the basting box is stitched later. */
export function fastenDeeds(facts: HoopFacts): [string, Deed][] {
  const isFastened = (by: Sheet['fastening']) =>
    facts.layers.sheets.some((s) => inHoop(s) && s.fastening === by);
  const fused = isFloated(facts) ? placesOf(facts, (s) => inHoop(s) && s.bond === 'fused') : [];
  return [
    ...(fused.length > 0
      ? [['fuse in the ring', { do: 'fuse in hoop', sheets: fused }] as [string, Deed]]
      : []),
    ...(isFastened('pins') ? [['pins', { do: 'fasten', by: 'pins' }] as [string, Deed]] : []),
    ...(isFastened('tape') ? [['tape', { do: 'fasten', by: 'tape' }] as [string, Deed]] : []),
  ];
}

const fasten: Acts = (facts) => fastenDeeds(facts).map(([id, deed]) => act(id, deed));

/** The tension by touch, and by the tape: both axis ends measured again. */
const tensionTest: Acts = (facts) => {
  if (isFloated(facts)) return [];
  const { piece, place, rules } = facts;
  const [left, right] = place.axisEnds;
  const apartMm = distance(left, right);
  const percent = numberFor(
    rules,
    isKnit(piece.fabric, rules) ? MOUNT_NUMBERS.stretchKnitPercent : MOUNT_NUMBERS.stretchWovenPercent,
  );
  return [
    act('tension', { do: 'feel cloth' }),
    act('stretch', { do: 'test stretch', apartMm, mostMm: apartMm * (1 + percent / 100) }),
  ];
};

/** Sheets outside the hoop, once it is closed, by the ids of their acts. */
export const slipDeeds = ({ layers }: HoopFacts): [string, Deed][] =>
  layers.sheets
    .map((kept, sheet) => ({ ...kept, sheet }))
    .filter(({ where }) => where === 'under the ring')
    .map(({ stabilizer, sheet, bond, fastening }, i) => [
      `slip ${i} ${stabilizer}`,
      { do: 'slip', sheet, by: bond, fastening },
    ]);

const slipUnder: Acts = (facts) => slipDeeds(facts).map(([id, deed]) => act(id, deed));

/** What hangs over the throat, out of the way. */
const bulk: Acts = ({ mount: { chosen }, piece }) =>
  chosen.overMm <= 0 && piece.kind.form !== 'tubular'
    ? []
    : [act('roll', { do: 'roll', overMm: Math.max(0, chosen.overMm) })];

/** The whole ritual in the order it is done. */
const RITUAL: readonly Acts[] = [
  openSeams,
  orientation,
  loosen,
  sheetsFirst,
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

/** Closing this hoop on this piece by this method, in order. */
export const hoopActs = (facts: HoopFacts): Act[] => RITUAL.flatMap((acts) => acts(facts));

/** The sheets that a floated piece lies on, hooped anew, and how the piece sticks to them. */
export const sheetsAgain = (facts: HoopFacts): [string, Deed][] =>
  [...sheetsFirst(facts).slice(0, 1), ...bareTheSheet(facts)].map(({ id, deed }) => [id, deed]);
