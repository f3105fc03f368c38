import { cornersOf, inflate } from '../../../base/geometry/box';
import type { PieceKind, PieceOutline } from '../geometry';
import type { Readings } from '../readings';
import type { SpotRule, UsualPlacement } from '../usualPlacement';
import { contradictionsOf, level, onBothSides, seam, strip, twins, upright } from './shapes';

const SEAM_MM = 12;

/** Origin at the middle of the panel's lower edge, as it stands on the sofa. */
function outlineOf({ width: w = 0, height: h = 0, opening = w }: Readings): PieceOutline {
  const half = w / 2;
  const panel = { left: -half, right: half, top: -h, bottom: 0 };
  return {
    outline: cornersOf(panel),
    hoopable: cornersOf(inflate(panel, -SEAM_MM)),
    seams: [
      ...onBothSides('sideSeam', 'side seam', upright(half, -h, 0)),
      seam('topSeam', 'top seam', level(half, -h)),
      seam('zip', 'opening', level(Math.min(half, opening / 2), -SEAM_MM / 2), 'hem'),
    ],
    noGo: [strip('bottom', 'edge with the opening', { ...panel, top: -SEAM_MM })],
    landmarks: {
      bottom: { x: 0, y: 0 },
      top: { x: 0, y: -h },
      ...twins('side', { x: half, y: -h * 0.4 }),
      ...twins('opening', { x: Math.min(half, opening / 2), y: -SEAM_MM / 2 }),
    },
    opening: { name: 'opening', widthMm: opening },
    centreFrom: -h,
    centreTo: 0,
  };
}

type Edge = Extract<SpotRule, { by: 'gap-from-edge' }>['edge'];

const atEdge = (id: string, edge: Edge, faces: string): UsualPlacement => ({
  id,
  name: `A gap from the ${edge} edge`,
  faces,
  view: 'face',
  rule: { by: 'gap-from-edge', edge },
});

export const CUSHION: PieceKind = {
  name: 'Cushion cover',
  family: 'Bags, cushions, toys',
  form: 'tubular',
  traits: ['sat on'],
  usual: { fabricId: 'faux-suede', colour: '#5B86A8' },
  readings: [
    {
      id: 'width',
      name: 'side to side',
      how: 'The front panel, seam to seam across.',
      leastMm: 120,
      mostMm: 1200,
      typicalMm: 400,
      from: 'sideLeft',
      to: 'sideRight',
    },
    {
      id: 'height',
      name: 'top to bottom',
      how: 'The front panel, seam to seam from the bottom up.',
      leastMm: 120,
      mostMm: 1200,
      typicalMm: 400,
      from: 'bottom',
      to: 'top',
    },
    {
      id: 'opening',
      name: 'opening, end to end',
      how: 'The zip or the open edge, as far as it opens. Leave it out when the whole side opens.',
      leastMm: 50,
      mostMm: 1200,
      typicalMm: 340,
      from: 'openingLeft',
      to: 'openingRight',
      optional: true,
    },
  ],
  sews: ['strip', 'panel'],
  contradictions: (r) =>
    contradictionsOf(r, { opening: 'opening, end to end', width: 'side to side' }, [
      [(r.opening ?? 0) > (r.width ?? 0), 'opening', 'width', 'the opening would be longer than the side'],
    ]),
  views: [
    {
      id: 'face',
      name: 'Front',
      datum: 'above the bottom seam',
      datumSign: -1,
      wearersLeft: null,
      halving: {
        name: 'side to side',
        left: 'sideLeft',
        right: 'sideRight',
        edge: 'side seam',
        fold: 'side seams matched',
        second: null,
      },
      outlineOf,
    },
  ],
  placements: [
    {
      id: 'centre',
      name: 'Centre',
      faces: 'Centred on the front panel',
      view: 'face',
      rule: {
        by: 'middle',
        top: { landmark: 'top', name: 'the top seam' },
        foot: { landmark: 'bottom', name: 'the bottom seam' },
      },
    },
    atEdge('gap-from-edge', 'bottom', 'Centred from side to side, a given gap above the bottom edge'),
    atEdge('gap-from-top', 'top', 'Centred from side to side, a given gap below the top edge'),
    atEdge('gap-from-left', 'left', 'Centred from top to bottom, a given gap from the edge on your left'),
    atEdge('gap-from-right', 'right', 'Centred from top to bottom, a given gap from the edge on your right'),
  ],
};
