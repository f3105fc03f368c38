import type { PieceKind, PieceOutline } from '../geometry';
import type { Reading, Readings } from '../readings';
import { closedByMirror, contradictionsOf, level, onBothSides, seam, strip, twins } from './shapes';

const WIDTH: Reading = {
  id: 'width',
  name: 'long edge, corner to corner',
  how: 'Lay it flat, point towards you. Straight along the long edge.',
  leastMm: 200,
  mostMm: 1200,
  typicalMm: 560,
  from: 'cornerLeft',
  to: 'cornerRight',
};
const DEPTH: Reading = {
  id: 'depth',
  name: 'long edge to point',
  how: 'From the middle of the long edge straight down to the point.',
  leastMm: 80,
  mostMm: 700,
  typicalMm: 270,
  from: 'topEdge',
  to: 'point',
};
const HEM_MM = 10;

/** A triangle from the middle of its long edge. Its centroid lies a third of the way to the point. */
function outlineOf({ width: w = 0, depth: d = 0 }: Readings): PieceOutline {
  const corner = { x: w / 2, y: 0 };
  const point = { x: 0, y: d };
  const inside = (hem: number) => {
    const slant = Math.hypot(w / 2, d);
    const foot = d - (hem * slant) / Math.max(1, w / 2);
    const half = ((foot - hem) / Math.max(1, d)) * (w / 2);
    return closedByMirror([
      { x: half, y: hem },
      { x: 0, y: foot },
    ]);
  };
  return {
    outline: [{ x: -corner.x, y: 0 }, corner, point],
    hoopable: inside(HEM_MM),
    seams: [
      ...onBothSides('edge', 'hemmed edge', [corner, point], 'hem'),
      seam('top', 'long edge', level(w / 2, HEM_MM), 'hem'),
    ],
    noGo: [strip('topHem', 'long edge, hem', { left: -w / 2, right: w / 2, top: 0, bottom: HEM_MM })],
    landmarks: {
      ...twins('corner', corner),
      topEdge: { x: 0, y: 0 },
      twoThirds: { x: 0, y: (d * 2) / 3 },
      point,
    },
    opening: null,
    centreFrom: 0,
    centreTo: d,
  };
}

export const BANDANA: PieceKind = {
  name: 'Bandana for a dog',
  family: 'Animals',
  form: 'flat',
  traits: [],
  usual: { fabricId: 'stable-cotton', colour: '#EBC9C4' },
  readings: [WIDTH, DEPTH],
  contradictions: (r) =>
    contradictionsOf(r, { width: WIDTH.name, depth: DEPTH.name }, [
      [
        (r.depth ?? 0) > (r.width ?? 0),
        'depth',
        'width',
        'the point would hang lower than the cloth is wide',
      ],
    ]),
  views: [
    {
      id: 'face',
      name: 'Face',
      datum: 'below the long edge',
      datumSign: 1,
      wearersLeft: null,
      halving: {
        name: 'the long edge',
        left: 'cornerLeft',
        right: 'cornerRight',
        edge: 'corner',
        fold: 'corners matched, long edge on itself',
        second: { landmark: 'point', name: 'the point' },
      },
      outlineOf,
    },
  ],
  placements: [
    {
      id: 'middle',
      name: 'Middle',
      faces: 'The middle of the triangle, a third of the way to the point',
      view: 'face',
      rule: {
        by: 'middle',
        top: { landmark: 'topEdge', name: 'the long edge' },
        foot: { landmark: 'twoThirds', name: 'two thirds of the way to the point' },
      },
    },
  ],
};
