import { type Box, cornersOf } from '../../../base/geometry/box';
import type { Halving, PieceOutline, PieceView } from '../geometry';
import type { Reading } from '../readings';
import { level, seam, strip, upright } from './shapes';

/** A flat, hemmed rectangle: towels, table linen, tea towels. Origin at the middle of the bottom hem, y upwards negative. */
export interface HemmedCloth {
  width: number;
  length: number;
  endHem: number;
  sideHem: number;
  /** A woven border: its height and its far edge above the hem. */
  band?: { height: number; top: number };
  /** Drawn fold lines at a third and two thirds of the width. */
  thirds?: boolean;
}

export const widthReading = (typicalMm: number, mostMm: number): Reading => ({
  id: 'width',
  name: 'side to side',
  how: 'Smooth it flat. Tape straight across, side hem edge to side hem edge.',
  leastMm: 80,
  mostMm,
  typicalMm,
  from: 'sideLeft',
  to: 'sideRight',
});
export const lengthReading = (typicalMm: number, mostMm: number): Reading => ({
  id: 'length',
  name: 'hem to hem',
  how: 'From end hem to end hem along the middle.',
  leastMm: 80,
  mostMm,
  typicalMm,
  from: 'hem',
  to: 'farHem',
  waits: ['above-band', 'above-hem'],
});
export const hemReading = (typicalMm: number, name = 'hem, depth'): Reading => ({
  id: 'hemDepth',
  name,
  how: 'On the back, where its fold shows: from the edge to the line of stitching.',
  leastMm: 0,
  mostMm: 120,
  typicalMm,
  from: 'hemInside',
  to: 'hemEdge',
});

export const CLOTH_HALVING: Halving = {
  name: 'side to side',
  left: 'sideLeft',
  right: 'sideRight',
  edge: 'side edge',
  fold: 'side edges matched, hem to hem',
  second: null,
};

export const clothView = (
  outlineOf: PieceView['outlineOf'],
  names: { id?: string; name?: string } = {},
): PieceView => ({
  id: names.id ?? 'face',
  name: names.name ?? 'Face',
  datum: 'above the end hem',
  datumSign: -1,
  wearersLeft: null,
  halving: CLOTH_HALVING,
  outlineOf,
});

/** Draws a hemmed rectangle with its border band and its folds. */
export function clothOutline({ width, length, endHem, sideHem, band, thirds }: HemmedCloth): PieceOutline {
  const half = width / 2;
  const piece: Box = { left: -half, right: half, top: -length, bottom: 0 };
  const face: Box = {
    left: -half + sideHem,
    right: half - sideHem,
    top: -length + endHem,
    bottom: -endHem,
  };
  const hasBand = band !== undefined && band.height > 0;
  const bandTop = hasBand ? band.top : 0;
  const restY = -bandTop - (length - bandTop) / 3;
  const hems = (at: number, name: string, box: Partial<Box>, id: string) =>
    at > 0 ? [strip(id, name, { ...piece, ...box })] : [];
  return {
    outline: cornersOf(piece),
    hoopable: cornersOf(hasBand ? { ...face, bottom: -band.top } : face),
    seams: [
      seam('hem', 'end hem', level(half, -endHem), 'hem'),
      seam('farHem', 'far hem', level(half, -length + endHem), 'hem'),
      seam('sideHemLeft', 'side hem on your left', upright(-half + sideHem, -length, 0), 'hem'),
      seam('sideHemRight', 'side hem on your right', upright(half - sideHem, -length, 0), 'hem'),
    ],
    noGo: [
      ...hems(endHem, 'end hem', { top: -endHem }, 'endHem'),
      ...hems(endHem, 'far hem', { bottom: -length + endHem }, 'farHem'),
      ...hems(sideHem, 'side hem on your left', { right: -half + sideHem }, 'sideLeft'),
      ...hems(sideHem, 'side hem on your right', { left: half - sideHem }, 'sideRight'),
      ...(hasBand
        ? [strip('band', 'border band', { ...piece, top: -band.top, bottom: -(band.top - band.height) })]
        : []),
    ],
    folds: thirds
      ? [
          seam('thirdLeft', 'fold on your left', upright(-width / 6, -length, 0), 'fold'),
          seam('thirdRight', 'fold on your right', upright(width / 6, -length, 0), 'fold'),
        ]
      : [],
    landmarks: {
      hem: { x: 0, y: 0 },
      hemLine: { x: 0, y: -endHem },
      farHem: { x: 0, y: -length },
      farHemLine: { x: 0, y: -length + endHem },
      middle: { x: 0, y: -length / 2 },
      hemLeft: { x: -half / 2, y: 0 },
      bandTopLeft: { x: -half / 2, y: -bandTop },
      bandTopRight: { x: half / 2, y: -bandTop },
      bandFootRight: { x: half / 2, y: -(bandTop - (band?.height ?? 0)) },
      hemInside: { x: half / 2, y: -endHem },
      hemEdge: { x: half / 2, y: 0 },
      sideLeft: { x: -half, y: restY },
      sideRight: { x: half, y: restY },
      cornerRight: { x: half, y: 0 },
      cornerRightInside: { x: half - sideHem, y: -endHem },
    },
    opening: null,
    centreFrom: -length,
    centreTo: 0,
  };
}
