import type { HouseNumber } from '../../../catalogue/houseNumber';
import { PLACE_NUMBERS } from '../../../catalogue/numbers/place';
import type { PieceKind } from '../geometry';
import type { Reading, Readings } from '../readings';
import { clothOutline, clothView, lengthReading, widthReading } from './cloth';
import { CORNER_PLACEMENTS } from './linen';
import { contradictionsOf } from './shapes';

const END_HEM_MM = 15;
const SIDE_HEM_MM = 10;

const BAND_READINGS: readonly Reading[] = [
  {
    id: 'bandHeight',
    name: 'border band, height',
    how: 'Across the woven band. Enter 0 when there is none.',
    leastMm: 0,
    mostMm: 300,
    typicalMm: 60,
    from: 'bandFootRight',
    to: 'bandTopRight',
    waits: ['above-band'],
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

const NAMES = {
  width: 'side to side',
  length: 'hem to hem',
  bandHeight: 'border band, height',
  bandTop: 'hem to far edge of the band',
};

const contradictions = (r: Readings) => {
  const { width = 0, length = 0, bandHeight = 0, bandTop = 0 } = r;
  return contradictionsOf(r, NAMES, [
    [bandHeight > bandTop, 'bandTop', 'bandHeight', 'the band would reach over the hem'],
    [bandTop > length / 2, 'bandTop', 'length', 'the band would lie past the middle of the towel'],
    [width > length * 1.5, 'width', 'length', 'the towel would be much wider than long'],
  ]);
};

const VIEW = clothView(({ width = 0, length = 0, bandHeight = 0, bandTop = 0 }) =>
  clothOutline({
    width,
    length,
    endHem: END_HEM_MM,
    sideHem: SIDE_HEM_MM,
    band: { height: bandHeight, top: bandTop },
  }),
);

const COMMON = {
  family: 'Towels',
  form: 'flat',
  traits: [],
  usual: { fabricId: 'terry-towel', colour: '#EFE6D2' },
  contradictions,
  sews: ['border'],
  views: [VIEW],
} as const;

function towel(
  name: string,
  size: { width: number; length: number; most: number; bandTop: number; band: number },
  above: { banded: HouseNumber; plain: HouseNumber; piece: string },
): PieceKind {
  const band = { bandHeight: size.band, bandTop: size.bandTop };
  return {
    ...COMMON,
    name,
    readings: [
      widthReading(size.width, size.most),
      lengthReading(size.length, 2500),
      ...BAND_READINGS.map((r) => ({ ...r, typicalMm: band[r.id as keyof typeof band] })),
    ],
    placements: [
      {
        id: 'above-border',
        name: 'Above the border',
        faces: 'Centred above the border band',
        view: 'face',
        rule: { by: 'above-band', ...above },
      },
    ],
  };
}

export const BATH_TOWEL = towel(
  'Bath towel',
  { width: 680, length: 1350, most: 1600, bandTop: 90, band: 60 },
  { banded: PLACE_NUMBERS.aboveBandBathMm, plain: PLACE_NUMBERS.aboveHemBathMm, piece: 'bath towel' },
);
export const HAND_TOWEL = towel(
  'Hand towel',
  { width: 480, length: 900, most: 900, bandTop: 90, band: 60 },
  { banded: PLACE_NUMBERS.aboveBandHandMm, plain: PLACE_NUMBERS.aboveHemHandMm, piece: 'hand towel' },
);
export const FINGERTIP_TOWEL = towel(
  'Fingertip towel',
  { width: 300, length: 500, most: 500, bandTop: 60, band: 35 },
  {
    banded: PLACE_NUMBERS.aboveBandFingertipMm,
    plain: PLACE_NUMBERS.aboveHemFingertipMm,
    piece: 'fingertip towel',
  },
);

export const WASHCLOTH: PieceKind = {
  ...COMMON,
  name: 'Washcloth',
  readings: [widthReading(320, 500), lengthReading(320, 500)],
  views: [
    clothView(({ width = 0, length = 0 }) =>
      clothOutline({ width, length, endHem: SIDE_HEM_MM, sideHem: SIDE_HEM_MM }),
    ),
  ],
  placements: CORNER_PLACEMENTS,
};
