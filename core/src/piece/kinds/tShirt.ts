import { type Point, plus, turn } from '../../geometry/point';
import type { Contradiction, PieceKind, PieceOutline, Reading, Seam } from '../geometry';

/** Proportions of a set-in T-shirt, good enough to see and to check clearances. */
const NECK_WIDTH_OF_CHEST = 0.335;
const NECK_DROP_OF_CHEST = 0.17;
const SHOULDER_SLOPE_DEG = 17;
const SLEEVE_ANGLE_DEG = 48;
const SLEEVE_OF_CHEST = 0.34;
const ARMHOLE_BOW_OF_CHEST = 0.045;
const RIB_MM = 18;
const HEM_MM = 25;

const READINGS: readonly Reading[] = [
  {
    id: 'chestWidth',
    name: 'underarm to underarm',
    how: 'Lay it flat. Tape straight across, from underarm seam to underarm seam.',
    leastMm: 180,
    mostMm: 1000,
    typicalMm: 520,
    from: 'underarmLeft',
    to: 'underarmRight',
  },
  {
    id: 'length',
    name: 'collar seam to hem',
    how: 'From the collar seam at centre front straight down to the hem edge.',
    leastMm: 200,
    mostMm: 1200,
    typicalMm: 620,
    from: 'collarSeam',
    to: 'hem',
  },
  {
    id: 'shoulder',
    name: 'shoulder seam',
    how: 'Along the shoulder seam, from the collar to the sleeve seam.',
    leastMm: 30,
    mostMm: 300,
    typicalMm: 145,
    from: 'neckPointRight',
    to: 'shoulderRight',
  },
  {
    id: 'armhole',
    name: 'armhole depth',
    how: 'Straight down from the end of the shoulder seam to the level of the underarm.',
    leastMm: 80,
    mostMm: 450,
    typicalMm: 220,
    from: 'shoulderLeft',
    to: 'armholeFoot',
  },
];

/** Points of a quadratic curve, ends included. */
function curve(from: Point, control: Point, to: Point, pieces = 12): Point[] {
  return Array.from({ length: pieces + 1 }, (_, i) => {
    const t = i / pieces;
    const [a, b, c] = [(1 - t) ** 2, 2 * t * (1 - t), t * t];
    return { x: a * from.x + b * control.x + c * to.x, y: a * from.y + b * control.y + c * to.y };
  });
}

const mirrored = (points: readonly Point[]): Point[] => points.map((p) => ({ x: -p.x, y: p.y }));

/** The viewer's right half, from the collar seam at centre front round to the hem. */
function rightHalf(r: Readonly<Record<string, number>>) {
  const { chestWidth: w = 0, length = 0, shoulder = 0, armhole = 0 } = r;
  const drop = w * NECK_DROP_OF_CHEST;
  const neckPoint = { x: (w * NECK_WIDTH_OF_CHEST) / 2, y: -drop };
  const shoulderEnd = plus(neckPoint, turn({ x: shoulder, y: 0 }, SHOULDER_SLOPE_DEG));
  const underarm = { x: w / 2, y: shoulderEnd.y + armhole };
  const bow = {
    x: Math.min(shoulderEnd.x, underarm.x) - w * ARMHOLE_BOW_OF_CHEST,
    y: underarm.y - armhole * 0.22,
  };
  const sleeve = turn({ x: w * SLEEVE_OF_CHEST, y: 0 }, SLEEVE_ANGLE_DEG);
  return {
    neckPoint,
    shoulderEnd,
    underarm,
    hemCorner: { x: w / 2, y: length },
    collar: curve({ x: 0, y: 0 }, { x: neckPoint.x * 0.95, y: 0 }, neckPoint),
    armholeSeam: curve(shoulderEnd, bow, underarm),
    sleeveTop: plus(shoulderEnd, sleeve),
    sleeveFoot: plus(underarm, { x: sleeve.x * 0.5, y: sleeve.y * 0.42 }),
  };
}

function seamsOf(half: ReturnType<typeof rightHalf>, length: number): Seam[] {
  const bothSides = (id: string, name: string, line: Point[]): Seam[] => [
    { id: `${id}Right`, name: `${name} on your right`, line, style: 'seam' },
    { id: `${id}Left`, name: `${name} on your left`, line: mirrored(line), style: 'seam' },
  ];
  const hemY = length - HEM_MM;
  return [
    {
      id: 'collarSeam',
      name: 'collar seam',
      line: [...mirrored(half.collar).reverse(), ...half.collar],
      style: 'seam',
    },
    ...bothSides('shoulderSeam', 'shoulder seam', [half.neckPoint, half.shoulderEnd]),
    ...bothSides('armholeSeam', 'armhole seam', half.armholeSeam),
    ...bothSides('sideSeam', 'side seam', [half.underarm, half.hemCorner]),
    {
      id: 'hem',
      name: 'hem',
      line: [
        { x: -half.underarm.x, y: hemY },
        { x: half.underarm.x, y: hemY },
      ],
      style: 'hem',
    },
  ];
}

function outlineOf(readings: Readonly<Record<string, number>>): PieceOutline {
  const half = rightHalf(readings);
  const { chestWidth = 0, length = 0 } = readings;
  const inner = half.collar.map((p) => ({ x: p.x * 0.84, y: p.y - RIB_MM }));
  const rightEdge = [
    half.neckPoint,
    half.shoulderEnd,
    half.sleeveTop,
    half.sleeveFoot,
    half.underarm,
    half.hemCorner,
  ];
  const body = [
    ...half.collar,
    half.shoulderEnd,
    ...half.armholeSeam.slice(1),
    { x: half.underarm.x, y: length - HEM_MM },
  ];
  return {
    outline: [...inner, ...rightEdge, ...mirrored(rightEdge).reverse(), ...mirrored(inner).reverse()],
    hoopable: [...body, ...mirrored(body).reverse()],
    seams: seamsOf(half, length),
    noGo: [
      {
        id: 'rib',
        name: 'collar rib',
        area: [
          ...half.collar,
          ...[...inner].reverse(),
          ...mirrored(inner),
          ...mirrored(half.collar).reverse(),
        ],
      },
      {
        id: 'hemBand',
        name: 'hem',
        area: [
          { x: -chestWidth / 2, y: length - HEM_MM },
          { x: chestWidth / 2, y: length - HEM_MM },
          { x: chestWidth / 2, y: length },
          { x: -chestWidth / 2, y: length },
        ],
      },
    ],
    landmarks: {
      collarSeam: { x: 0, y: 0 },
      neckPointRight: half.neckPoint,
      neckPointLeft: { x: -half.neckPoint.x, y: half.neckPoint.y },
      shoulderRight: half.shoulderEnd,
      shoulderLeft: { x: -half.shoulderEnd.x, y: half.shoulderEnd.y },
      armholeFoot: { x: -half.shoulderEnd.x, y: half.underarm.y },
      underarmRight: half.underarm,
      underarmLeft: { x: -half.underarm.x, y: half.underarm.y },
      hem: { x: 0, y: length },
    },
    opening: { name: 'hem', widthMm: chestWidth },
    centreFrom: 0,
    centreTo: length,
  };
}

function contradictions(r: Readonly<Record<string, number>>): Contradiction[] {
  const { chestWidth = 0, length = 0, armhole = 0, shoulder = 0 } = r;
  const half = rightHalf(r);
  const found: Contradiction[] = [];
  if (half.underarm.y > length - 40) {
    found.push({
      field: 'length',
      a: { name: 'collar seam to hem', mm: length },
      b: { name: 'armhole depth', mm: armhole },
      why: 'the underarm would lie at or below the hem',
    });
  }
  if (half.shoulderEnd.x > chestWidth * 0.62) {
    found.push({
      field: 'shoulder',
      a: { name: 'shoulder seam', mm: shoulder },
      b: { name: 'underarm to underarm', mm: chestWidth },
      why: 'the shoulders would stand out far beyond the chest',
    });
  }
  return found;
}

export const T_SHIRT: PieceKind = {
  id: 't-shirt',
  name: 'T-shirt',
  datum: 'below the collar seam',
  datumSign: 1,
  form: 'tubular',
  worn: true,
  readings: READINGS,
  contradictions,
  outlineOf,
};
