import { cornersOf } from '../../../base/geometry/box';
import { PLACE_NUMBERS } from '../../../catalogue/numbers/place';
import type { PieceKind, PieceOutline } from '../geometry';
import type { Reading, Readings } from '../readings';
import type { UsualPlacement } from '../usualPlacement';
import { contradictionsOf, level, onBothSides, seam, strip, twins, upright } from './shapes';

const SIDE_SEAM_MM = 10;

const READINGS: readonly Reading[] = [
  {
    id: 'width',
    name: 'side to side',
    how: 'Lay the bag flat. Straight across the face, side seam to side seam.',
    leastMm: 100,
    mostMm: 900,
    typicalMm: 380,
    from: 'sideLeft',
    to: 'sideRight',
  },
  {
    id: 'height',
    name: 'top edge to bottom',
    how: 'From the middle of the top edge down to the bottom edge.',
    leastMm: 100,
    mostMm: 900,
    typicalMm: 420,
    from: 'topEdge',
    to: 'bottom',
  },
];
const TOP_DEPTH = (name: string, how: string, typicalMm: number): Reading => ({
  id: 'topDepth',
  name,
  how,
  leastMm: 0,
  mostMm: 250,
  typicalMm,
  from: 'topLeft',
  to: 'topDepthLeft',
});
const BASE: Reading = {
  id: 'baseFold',
  name: 'base fold, height',
  how: 'From the bottom up to the fold of the base. Enter 0 when the bag is flat.',
  leastMm: 0,
  mostMm: 300,
  typicalMm: 60,
  from: 'bottomRight',
  to: 'baseRight',
};

/** Origin at the centre of the top edge. What is sewn along the top and the base are kept free. */
const outlineWith =
  (topName: string) =>
  ({ width: w = 0, height: h = 0, topDepth = 0, baseFold = 0 }: Readings): PieceOutline => {
    const half = w / 2;
    const face = {
      left: -half + SIDE_SEAM_MM,
      right: half - SIDE_SEAM_MM,
      top: topDepth,
      bottom: h - baseFold,
    };
    return {
      outline: cornersOf({ left: -half, right: half, top: 0, bottom: h }),
      hoopable: cornersOf(face),
      seams: [
        ...onBothSides('sideSeam', 'side seam', upright(half - SIDE_SEAM_MM, 0, h)),
        ...(topDepth > 0 ? [seam('topStitching', topName, level(half, topDepth), 'hem')] : []),
        ...(baseFold > 0 ? [seam('baseFold', 'base fold', level(half, h - baseFold), 'fold')] : []),
      ],
      noGo: [
        ...(topDepth > 0
          ? [strip('top', topName, { left: -half, right: half, top: 0, bottom: topDepth })]
          : []),
        ...(baseFold > 0
          ? [strip('base', 'base', { left: -half, right: half, top: h - baseFold, bottom: h })]
          : []),
      ],
      landmarks: {
        topEdge: { x: 0, y: 0 },
        bottom: { x: 0, y: h },
        topDepth: { x: 0, y: topDepth },
        baseFold: { x: 0, y: h - baseFold },
        topLeft: { x: -half / 2, y: 0 },
        topDepthLeft: { x: -half / 2, y: topDepth },
        bottomRight: { x: half / 2, y: h },
        baseRight: { x: half / 2, y: h - baseFold },
        ...twins('side', { x: half, y: h / 2 }),
      },
      opening: { name: 'top', widthMm: w },
      centreFrom: 0,
      centreTo: h,
    };
  };

const clearFace = (topName: string): UsualPlacement => ({
  id: 'clear-face',
  name: 'Centre of the clear face',
  faces: `Centred on the face between the ${topName} and the base`,
  view: 'face',
  rule: {
    by: 'middle',
    top: { landmark: 'topDepth', name: `the ${topName}` },
    foot: { landmark: 'baseFold', name: 'the base fold' },
    raise: PLACE_NUMBERS.toteRaisePercent,
  },
});

const bag = (
  name: string,
  topName: string,
  depth: Reading,
  more: Pick<PieceKind, 'usual' | 'sews'>,
): PieceKind => ({
  name,
  family: 'Bags, cushions, toys',
  form: 'tubular',
  traits: ['carried'],
  ...more,
  readings: [...READINGS, depth, BASE],
  contradictions: (r) =>
    contradictionsOf(r, { topDepth: depth.name, baseFold: BASE.name, height: 'top edge to bottom' }, [
      [
        (r.topDepth ?? 0) + (r.baseFold ?? 0) > (r.height ?? 0) - 40,
        'baseFold',
        'height',
        'no clear face would be left between top and base',
      ],
    ]),
  views: [
    {
      id: 'face',
      name: 'Face',
      datum: 'below the top edge',
      datumSign: 1,
      wearersLeft: null,
      halving: {
        name: 'side to side',
        left: 'sideLeft',
        right: 'sideRight',
        edge: 'side seam',
        fold: 'side seams matched',
        second: { landmark: 'topEdge', name: 'the middle of the top edge' },
      },
      outlineOf: outlineWith(topName),
    },
  ],
  placements: [clearFace(topName)],
});

export const TOTE = bag(
  'Tote bag',
  'handle stitching',
  TOP_DEPTH(
    'top edge to foot of the handle stitching',
    'From the top edge down to the lowest handle stitching.',
    55,
  ),
  { usual: { fabricId: 'canvas', colour: '#EFE6D2' }, sews: ['lining'] },
);
export const DRAWSTRING_BAG = bag(
  'Drawstring bag',
  'drawstring channel',
  TOP_DEPTH(
    'top edge to foot of the channel',
    'From the top edge down to the lower line of the drawstring channel.',
    45,
  ),
  { usual: { fabricId: 'stable-cotton', colour: '#C9D6DF' }, sews: ['channel', 'lining'] },
);
