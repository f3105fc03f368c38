import { type Box, cornersOf } from '../../geometry/box';
import type { Contradiction, PieceKind, PieceOutline, Reading } from '../geometry';

const END_HEM_MM = 15;
const SIDE_HEM_MM = 10;

type Readings = Readonly<Record<string, number>>;

const readingsOf = (typical: { width: number; length: number; most: number }): Reading[] => [
  {
    id: 'width',
    name: 'side to side',
    how: 'Smooth it flat. Tape straight across, side hem edge to side hem edge.',
    leastMm: 150,
    mostMm: typical.most,
    typicalMm: typical.width,
    from: 'sideLeft',
    to: 'sideRight',
  },
  {
    id: 'length',
    name: 'hem to hem',
    how: 'From end hem to end hem along the middle.',
    leastMm: 200,
    mostMm: 2500,
    typicalMm: typical.length,
    from: 'hem',
    to: 'farHem',
  },
  {
    id: 'bandHeight',
    name: 'border band, height',
    how: 'Across the woven band. Enter 0 when there is none.',
    leastMm: 0,
    mostMm: 300,
    typicalMm: 60,
    from: 'bandFootRight',
    to: 'bandTopRight',
  },
  {
    id: 'bandTop',
    name: 'hem to far edge of the band',
    how: 'From the end hem up to the edge of the band away from it. Enter 0 when there is none.',
    leastMm: 0,
    mostMm: 500,
    typicalMm: 90,
    from: 'hemLeft',
    to: 'bandTopLeft',
  },
];

function contradictions({ width = 0, length = 0, bandHeight = 0, bandTop = 0 }: Readings): Contradiction[] {
  const found: Contradiction[] = [];
  if (bandHeight > bandTop) {
    found.push({
      field: 'bandTop',
      a: { name: 'border band, height', mm: bandHeight },
      b: { name: 'hem to far edge of the band', mm: bandTop },
      why: 'the band would reach over the hem',
    });
  }
  if (bandTop > length / 2) {
    found.push({
      field: 'bandTop',
      a: { name: 'hem to far edge of the band', mm: bandTop },
      b: { name: 'hem to hem', mm: length },
      why: 'the band would lie past the middle of the towel',
    });
  }
  if (width > length * 1.5) {
    found.push({
      field: 'width',
      a: { name: 'side to side', mm: width },
      b: { name: 'hem to hem', mm: length },
      why: 'the towel would be much wider than long',
    });
  }
  return found;
}

/** Origin at the middle of the end hem; the towel runs upwards, to negative y. */
function outlineOf({ width = 0, length = 0, bandHeight = 0, bandTop = 0 }: Readings): PieceOutline {
  const half = width / 2;
  const piece: Box = { left: -half, right: half, top: -length, bottom: 0 };
  const face: Box = {
    left: -half + SIDE_HEM_MM,
    right: half - SIDE_HEM_MM,
    top: -length + END_HEM_MM,
    bottom: -END_HEM_MM,
  };
  const strip = (id: string, name: string, box: Partial<Box>) => ({
    id,
    name,
    area: cornersOf({ ...piece, ...box }),
  });
  const across = (y: number) => [
    { x: -half, y },
    { x: half, y },
  ];
  const along = (x: number) => [
    { x, y: -length },
    { x, y: 0 },
  ];
  const band = { top: -bandTop, bottom: -(bandTop - bandHeight) };
  const hasBand = bandHeight > 0;
  return {
    outline: cornersOf(piece),
    hoopable: cornersOf(hasBand ? { ...face, bottom: band.top } : face),
    seams: [
      { id: 'hem', name: 'end hem', line: across(-END_HEM_MM), style: 'hem' },
      { id: 'farHem', name: 'far hem', line: across(-length + END_HEM_MM), style: 'hem' },
      { id: 'sideHemLeft', name: 'side hem on your left', line: along(-half + SIDE_HEM_MM), style: 'hem' },
      { id: 'sideHemRight', name: 'side hem on your right', line: along(half - SIDE_HEM_MM), style: 'hem' },
    ],
    noGo: [
      strip('endHem', 'end hem', { top: -END_HEM_MM }),
      strip('sideLeft', 'side hem on your left', { right: -half + SIDE_HEM_MM }),
      strip('sideRight', 'side hem on your right', { left: half - SIDE_HEM_MM }),
      ...(hasBand ? [strip('band', 'border band', band)] : []),
    ],
    landmarks: {
      hem: { x: 0, y: 0 },
      farHem: { x: 0, y: -length },
      hemLeft: { x: -half / 2, y: 0 },
      bandTopLeft: { x: -half / 2, y: -bandTop },
      bandTopRight: { x: half / 2, y: -bandTop },
      bandFootRight: { x: half / 2, y: -(bandTop - bandHeight) },
      sideLeft: { x: -half, y: -bandTop - (length - bandTop) / 3 },
      sideRight: { x: half, y: -bandTop - (length - bandTop) / 3 },
    },
    opening: null,
    centreFrom: -length,
    centreTo: 0,
  };
}

const TOWEL = {
  datum: 'above the end hem',
  datumSign: -1,
  form: 'flat',
  worn: false,
  contradictions,
  outlineOf,
} as const;

export const BATH_TOWEL: PieceKind = {
  ...TOWEL,
  id: 'bath-towel',
  name: 'Bath towel',
  readings: readingsOf({ width: 680, length: 1350, most: 1600 }),
};
export const HAND_TOWEL: PieceKind = {
  ...TOWEL,
  id: 'hand-towel',
  name: 'Hand towel',
  readings: readingsOf({ width: 480, length: 900, most: 900 }),
};
