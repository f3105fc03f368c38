import { add, type Point, rotate } from '../../../base/geometry/point';
import type { Contradiction, Halving, NoGoArea, PieceOutline, PieceView, Seam } from '../geometry';
import type { Readings } from '../readings';
import {
  closedByMirror,
  contradictionsOf,
  curve,
  level,
  mirroredPoints,
  onBothSides,
  seam,
  strip,
  twins,
} from './shapes';
import { TOP_NAMES } from './topReadings';

/** Proportions of a set-in top, good enough to see and to check clearances. */
const NECK_WIDTH_OF_CHEST = 0.335;
const NECK_DROP_OF_CHEST = { rib: 0.17, collar: 0.17, hood: 0.17, 'v-neck': 0.27 } as const;
const BACK_DROP_OF_CHEST = 0.04;
const SHOULDER_SLOPE_DEG = 17;
const SLEEVE_ANGLE_DEG = 48;
const SHORT_SLEEVE_OF_CHEST = 0.34;
const LONG_SLEEVE_OF_CHEST = 0.95;
const ARMHOLE_BOW_OF_CHEST = 0.045;
const COLLAR_RIB_MM = 18;

/** How one kind of top is made up. */
export interface TopCut {
  sleeve: 'short' | 'long' | 'none';
  hem: { name: string; mm: number };
  collar: 'rib' | 'collar' | 'hood' | 'v-neck';
  /** Something down the centre front: no stitch crosses it. Depth of a placket, or the whole front. */
  front?: { name: string; widthMm: number; depth: 'whole' | number };
}

/** Where the armhole's bow is deepest, above the underarm, of the armhole. */
const BOW_OF_ARMHOLE = 0.22;
/** How far out a round neck is still level, of half its width. */
const DIP_OF_NECK = 0.95;
/** A long sleeve hangs steeper; across its hem, of the chest, and which way that runs from its outer end. */
const LONG_SLEEVE = { deg: 64, hemOfChest: 0.19, hemDeg: 154 };
/** Where a short sleeve ends below the underarm, of its reach. */
const SHORT_SLEEVE_FOOT = { x: 0.5, y: 0.42 };
/** A hood laid flat behind the neck: out, of half the neck; up, of the chest. */
const HOOD = {
  low: { out: 1.22, up: 0.08 },
  side: { out: 1.3, up: 0.24 },
  high: { out: 1.28, up: 0.46 },
  topUp: 0.47,
};
/** The inner edge of a collar rib, of the seam's own width. */
const RIB_INNER = 0.84;
/** A pouch pocket's slanted sides: how far out they run, of its width, and down to where, of its height. */
const POCKET_SLANT = { out: 0.22, down: 0.6 };

/** How far the back collar seam lies above the front one, mm. */
export const backNeckAbove = (chestWidth: number, collar: TopCut['collar']): number =>
  chestWidth * (NECK_DROP_OF_CHEST[collar] - BACK_DROP_OF_CHEST);

/** The viewer's right half. The neck dips deep in front and little at the back; the hem is one. */
function rightHalf(r: Readings, collar: TopCut['collar'], back = false) {
  const { chestWidth: w = 0, length = 0, shoulder = 0, armhole = 0 } = r;
  const frontDrop = w * NECK_DROP_OF_CHEST[collar];
  const drop = back ? w * BACK_DROP_OF_CHEST : frontDrop;
  const hemHalf = (r.hemWidth ?? w) / 2;
  const neckPoint = { x: (w * NECK_WIDTH_OF_CHEST) / 2, y: -drop };
  const shoulderEnd = add(neckPoint, rotate({ x: shoulder, y: 0 }, SHOULDER_SLOPE_DEG));
  const underarm = { x: w / 2, y: shoulderEnd.y + armhole };
  const bow = {
    x: Math.min(shoulderEnd.x, underarm.x) - w * ARMHOLE_BOW_OF_CHEST,
    y: underarm.y - armhole * BOW_OF_ARMHOLE,
  };
  const hemY = length + frontDrop - drop;
  const dip = {
    x: collar === 'v-neck' && !back ? neckPoint.x / 2 : neckPoint.x * DIP_OF_NECK,
    y: collar === 'v-neck' && !back ? -drop / 2 : 0,
  };
  return {
    neckPoint,
    shoulderEnd,
    underarm,
    hemY,
    hemCorner: { x: hemHalf, y: hemY },
    collar: curve({ x: 0, y: 0 }, dip, neckPoint),
    armholeSeam: curve(shoulderEnd, bow, underarm),
  };
}
type Half = ReturnType<typeof rightHalf>;

function sleeveEdge(half: Half, w: number, cut: TopCut): Point[] {
  if (cut.sleeve === 'none') return half.armholeSeam.slice(1, -1);
  const long = cut.sleeve === 'long';
  const reach = rotate(
    { x: w * (long ? LONG_SLEEVE_OF_CHEST : SHORT_SLEEVE_OF_CHEST), y: 0 },
    long ? LONG_SLEEVE.deg : SLEEVE_ANGLE_DEG,
  );
  const top = add(half.shoulderEnd, reach);
  const foot = long
    ? add(top, rotate({ x: w * LONG_SLEEVE.hemOfChest, y: 0 }, LONG_SLEEVE.hemDeg))
    : add(half.underarm, { x: reach.x * SHORT_SLEEVE_FOOT.x, y: reach.y * SHORT_SLEEVE_FOOT.y });
  return [top, foot];
}

function neckPiece(half: Half, cut: TopCut, w: number, back: boolean): { edge: Point[]; noGo: NoGoArea[] } {
  const height = cut.collar === 'collar' ? 40 : COLLAR_RIB_MM;
  if (cut.collar === 'hood') {
    const { x, y } = half.neckPoint;
    const at = ({ out, up }: { out: number; up: number }) => ({ x: x * out, y: y - w * up });
    const side = at(HOOD.side);
    const top = at({ out: 0, up: HOOD.topUp });
    const hood = [
      ...curve(half.neckPoint, at(HOOD.low), side, 6),
      ...curve(side, at(HOOD.high), top, 10).slice(1, -1),
    ];
    const area = [
      ...half.collar,
      ...hood.slice(1),
      top,
      ...mirroredPoints(hood).reverse(),
      ...mirroredPoints(half.collar).reverse(),
    ];
    return {
      edge: [top, ...[...hood].reverse()],
      noGo: [{ id: 'hood', name: 'hood', area }],
    };
  }
  const inner = half.collar.map((p) => ({ x: p.x * RIB_INNER, y: p.y - height }));
  const area = [
    ...half.collar,
    ...[...inner].reverse(),
    ...mirroredPoints(inner),
    ...mirroredPoints(half.collar).reverse(),
  ];
  const name = cut.collar === 'rib' || back ? 'collar rib' : 'collar';
  return {
    edge: [...inner, half.neckPoint],
    noGo: [{ id: 'rib', name: cut.collar === 'rib' ? name : 'collar', area }],
  };
}

function pocketOf(
  r: Readings,
  half: Half,
  hemMm: number,
): { noGo: NoGoArea[]; landmarks: Record<string, Point> } {
  const { pocketTop, pocketWidth } = r;
  if (pocketTop === undefined || pocketWidth === undefined) return { noGo: [], landmarks: {} };
  const foot = half.hemY - hemMm;
  const slant =
    r.pocketFoot === undefined ? pocketWidth * POCKET_SLANT.out : (r.pocketFoot - pocketWidth) / 2;
  const area = closedByMirror([
    { x: pocketWidth / 2, y: pocketTop },
    { x: pocketWidth / 2 + slant, y: pocketTop + (foot - pocketTop) * POCKET_SLANT.down },
    { x: pocketWidth / 2 + slant, y: foot },
  ]);
  return {
    noGo: [{ id: 'pocket', name: 'pocket', area }],
    landmarks: {
      pocketTop: { x: 0, y: pocketTop },
      ...twins('pocket', { x: pocketWidth / 2, y: pocketTop }),
      ...twins('pocketFoot', { x: pocketWidth / 2 + slant, y: foot }),
    },
  };
}

function frontNoGo(cut: TopCut, half: Half): NoGoArea[] {
  if (!cut.front) return [];
  const { name, widthMm, depth } = cut.front;
  const bottom = depth === 'whole' ? half.hemY : depth;
  return [strip('front', name, { left: -widthMm / 2, right: widthMm / 2, top: -COLLAR_RIB_MM / 2, bottom })];
}

/** The side seam at a level above the hem. */
function sideAt({ underarm, hemCorner }: Half, y: number): Point {
  const t = hemCorner.y === underarm.y ? 1 : (y - underarm.y) / (hemCorner.y - underarm.y);
  return { x: underarm.x + t * (hemCorner.x - underarm.x), y };
}

function seamsOf(half: Half, hemMm: number, hemName: string): Seam[] {
  const hemY = half.hemY - hemMm;
  return [
    seam('collarSeam', 'collar seam', [...mirroredPoints(half.collar).reverse(), ...half.collar]),
    ...onBothSides('shoulderSeam', 'shoulder seam', [half.neckPoint, half.shoulderEnd]),
    ...onBothSides('armholeSeam', 'armhole seam', half.armholeSeam),
    ...onBothSides('sideSeam', 'side seam', [half.underarm, half.hemCorner]),
    seam('hem', hemName, level(half.hemCorner.x, hemY), 'hem'),
  ];
}

/** The front or the back of a top, from the collar seam at its middle. */
export function topOutline(readings: Readings, cut: TopCut, face: 'front' | 'back'): PieceOutline {
  const w = readings.chestWidth ?? 0;
  const back = face === 'back';
  const half = rightHalf(readings, cut.collar, back);
  const hemMm = readings.hemBand ?? cut.hem.mm;
  const hemLine = half.hemY - hemMm;
  const neck = neckPiece(half, cut, w, back);
  const pocket = back ? { noGo: [], landmarks: {} } : pocketOf(readings, half, hemMm);
  const body = [...half.collar, half.shoulderEnd, ...half.armholeSeam.slice(1), sideAt(half, hemLine)];
  const edge = [...neck.edge, half.shoulderEnd, ...sleeveEdge(half, w, cut), half.underarm, half.hemCorner];
  return {
    outline: closedByMirror(edge),
    hoopable: closedByMirror(body),
    seams: seamsOf(half, hemMm, cut.hem.name),
    noGo: [
      ...neck.noGo,
      strip('hemBand', cut.hem.name, {
        left: -half.hemCorner.x,
        right: half.hemCorner.x,
        top: hemLine,
        bottom: half.hemY,
      }),
      ...(back ? [] : frontNoGo(cut, half)),
      ...pocket.noGo,
    ],
    landmarks: {
      collarSeam: { x: 0, y: 0 },
      ...twins('neckPoint', half.neckPoint),
      ...twins('shoulder', half.shoulderEnd),
      armholeFoot: { x: -half.shoulderEnd.x, y: half.underarm.y },
      ...twins('underarm', half.underarm),
      ...twins('hemCorner', half.hemCorner),
      hem: { x: 0, y: half.hemY },
      hemLine: { x: 0, y: hemLine },
      ...pocket.landmarks,
    },
    opening: { name: 'hem', widthMm: 2 * half.hemCorner.x },
    centreFrom: 0,
    centreTo: half.hemY,
  };
}

const TOP_HALVING: Halving = {
  name: 'underarm to underarm',
  left: 'underarmLeft',
  right: 'underarmRight',
  edge: 'side seam',
  fold: 'shoulder seams and side seams matched',
  second: { landmark: 'collarSeam', name: 'the middle of the collar seam' },
};

const face = (id: 'front' | 'back', name: string, cut: TopCut): PieceView => ({
  id,
  name,
  datum: 'below the collar seam',
  datumSign: 1,
  wearersLeft: id === 'front' ? 'right' : 'left',
  halving: TOP_HALVING,
  outlineOf: (readings) => topOutline(readings, cut, id),
});
export const frontOf = (cut: TopCut): PieceView => face('front', 'Front', cut);
export const backOf = (cut: TopCut): PieceView => face('back', 'Back', cut);

/** Readings of a top that cannot both be right. Readings not taken are not compared. */
export function topContradictions(r: Readings): Contradiction[] {
  const { chestWidth = 0, length = 0 } = r;
  const half = rightHalf(r, 'rib');
  return contradictionsOf(r, TOP_NAMES, [
    [half.underarm.y > length - 40, 'length', 'armhole', 'the underarm would lie at or below the hem'],
    [
      half.shoulderEnd.x > chestWidth * 0.62,
      'shoulder',
      'chestWidth',
      'the shoulders would stand out far beyond the chest',
    ],
    [
      r.hemWidth !== undefined && r.hemWidth < chestWidth / 2,
      'hemWidth',
      'chestWidth',
      'the hem would be narrower than half the chest',
    ],
    [
      r.pocketTop !== undefined && r.pocketTop > length - 60,
      'pocketTop',
      'length',
      'the pocket would begin at or below the hem',
    ],
    [
      r.pocketWidth !== undefined && r.pocketWidth * 1.44 > chestWidth,
      'pocketWidth',
      'chestWidth',
      'the pocket would reach round the sides',
    ],
    [
      r.pocketFoot !== undefined && r.pocketWidth !== undefined && r.pocketFoot < r.pocketWidth * 0.8,
      'pocketFoot',
      'pocketWidth',
      'the pocket would narrow towards its foot',
    ],
    [
      r.pocketFoot !== undefined && r.pocketFoot > (r.hemWidth ?? chestWidth),
      'pocketFoot',
      r.hemWidth === undefined ? 'chestWidth' : 'hemWidth',
      'the pocket would reach round the sides',
    ],
    [
      r.hemBand !== undefined && r.hemBand > length / 3,
      'hemBand',
      'length',
      'the hem would take a third of the piece',
    ],
    [
      (r.sleeveHem ?? 0) > 1.4 * (r.armhole ?? Infinity),
      'sleeveHem',
      'armhole',
      'the sleeve would be far wider at its hem than at the armhole',
    ],
  ]);
}
