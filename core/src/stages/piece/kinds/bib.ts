import { PLACE_NUMBERS } from '../../../catalogue/numbers/place';
import type { PieceKind, PieceOutline } from '../geometry';
import type { Readings } from '../readings';
import { clothOutline, clothView, lengthReading, widthReading } from './cloth';
import { closedByMirror, contradictionsOf, curve, seam } from './shapes';

const BINDING_MM = 8;

/** Of the width: half the neck opening, how high its straps reach, and how broad they are. */
const NECK_HALF = 0.24;
const STRAP_TOP = 0.42;
const STRAP = 0.18;
/** A strap is round above this share of its height, its tip as far past the top. */
const STRAP_ROUND_FROM = 0.7;
const STRAP_TIP = 1.25;
/** The neck's curve begins so far out, of half the neck. */
const NECK_LEVEL = 0.1;
/** Of the drop: where the side is broadest, and where the round foot begins. */
const SIDE = 0.45;
const FOOT_FROM = 0.5;

/** Origin at the bottom of the neck binding; the bib hangs below it. */
function bibOutline({ width: w = 0, drop = 0 }: Readings): PieceOutline {
  const neckHalf = w * NECK_HALF;
  const neckTop = -w * STRAP_TOP;
  const shape = (inset: number) => {
    const half = w / 2 - inset;
    return closedByMirror([
      { x: 0, y: inset },
      ...curve(
        { x: neckHalf * NECK_LEVEL, y: inset },
        { x: neckHalf + inset, y: inset },
        { x: neckHalf + inset, y: neckTop * STRAP_ROUND_FROM },
        8,
      ),
      ...curve(
        { x: neckHalf + inset, y: neckTop * STRAP_ROUND_FROM },
        { x: neckHalf + (w * STRAP) / 2, y: neckTop * STRAP_TIP },
        { x: neckHalf + w * STRAP - inset, y: neckTop * STRAP_ROUND_FROM },
        6,
      ),
      ...curve(
        { x: neckHalf + w * STRAP - inset, y: neckTop * STRAP_ROUND_FROM },
        { x: half, y: 0 },
        { x: half, y: drop * SIDE },
        8,
      ),
      ...curve({ x: half, y: drop * FOOT_FROM }, { x: half, y: drop - inset }, { x: 0, y: drop - inset }, 12),
    ]);
  };
  const inner = shape(BINDING_MM);
  return {
    outline: shape(0),
    hoopable: inner,
    seams: [seam('binding', 'binding', [...inner, inner[0] ?? { x: 0, y: 0 }])],
    noGo: [],
    landmarks: {
      neckBinding: { x: 0, y: 0 },
      hem: { x: 0, y: drop },
      hemLine: { x: 0, y: drop - BINDING_MM },
      sideLeft: { x: -w / 2, y: drop * SIDE },
      sideRight: { x: w / 2, y: drop * SIDE },
    },
    opening: null,
    centreFrom: 0,
    centreTo: drop,
  };
}

export const BIB: PieceKind = {
  name: 'Bib',
  family: 'Baby and children',
  form: 'flat',
  traits: ['worn', 'against skin', 'baby'],
  usual: { fabricId: 'terry-towel', colour: '#DCE7DA' },
  readings: [
    { ...widthReading(200, 400), how: 'Straight across where the bib is widest.' },
    {
      id: 'drop',
      name: 'neck binding to hem',
      how: 'From the bottom of the neck binding straight down to the hem.',
      leastMm: 80,
      mostMm: 500,
      typicalMm: 190,
      from: 'neckBinding',
      to: 'hem',
    },
  ],
  contradictions: (r) =>
    contradictionsOf(r, { width: 'side to side', drop: 'neck binding to hem' }, [
      [(r.drop ?? 0) > (r.width ?? 0) * 3, 'drop', 'width', 'the bib would be a narrow strip'],
      [(r.drop ?? 0) < (r.width ?? 0) * 0.3, 'drop', 'width', 'hardly any bib would be left below the neck'],
    ]),
  views: [
    {
      ...clothView(bibOutline),
      datum: 'below the neck binding',
      datumSign: 1,
      wearersLeft: 'right',
      halving: {
        name: 'side to side',
        left: 'sideLeft',
        right: 'sideRight',
        edge: 'side edge',
        fold: 'side edges and fastenings matched',
        second: { landmark: 'neckBinding', name: 'the middle of the neck binding' },
      },
    },
  ],
  placements: [
    {
      id: 'bib-middle',
      name: 'Centred',
      faces: 'Centred between the neck binding and the hem',
      view: 'face',
      rule: {
        by: 'middle',
        top: { landmark: 'neckBinding', name: 'the neck binding' },
        foot: { landmark: 'hem', name: 'the hem' },
        widest: { percent: PLACE_NUMBERS.bibWidestPercent, of: 'the bib' },
      },
    },
  ],
};

export const BURP_CLOTH: PieceKind = {
  ...BIB,
  name: 'Burp cloth',
  traits: ['baby'],
  readings: [widthReading(260, 500), lengthReading(460, 800)],
  contradictions: (r) =>
    contradictionsOf(r, { width: 'side to side', length: 'hem to hem' }, [
      [(r.width ?? 0) > (r.length ?? 0) * 1.5, 'width', 'length', 'the cloth would be much wider than long'],
    ]),
  views: [
    clothView(({ width = 0, length = 0 }) =>
      clothOutline({ width, length, endHem: BINDING_MM, sideHem: BINDING_MM }),
    ),
  ],
  placements: [
    {
      id: 'lower-half',
      name: 'Lower half',
      faces: 'Centred on the half that hangs in front of the shoulder',
      view: 'face',
      rule: {
        by: 'middle',
        top: { landmark: 'middle', name: 'the fold across the middle' },
        foot: { landmark: 'hem', name: 'the hem' },
      },
    },
  ],
};
