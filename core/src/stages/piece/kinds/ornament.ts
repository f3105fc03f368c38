import { cornersOf } from '../../../base/geometry/box';
import type { PieceKind, PieceOutline } from '../geometry';
import type { Readings } from '../readings';
import { contradictionsOf, ellipse, seam, twins } from './shapes';

/** Film or sheer left round the ornament for the hoop to hold, mm. */
const ROUND_ABOUT_MM = 90;

/** Lace stitched on film, with no cloth: the film sheet is the piece. Origin at the middle. */
function outlineOf({ width: w = 0, height: h = 0 }: Readings): PieceOutline {
  const sheet = cornersOf({
    left: -w / 2 - ROUND_ABOUT_MM,
    right: w / 2 + ROUND_ABOUT_MM,
    top: -h / 2 - ROUND_ABOUT_MM,
    bottom: h / 2 + ROUND_ABOUT_MM,
  });
  const shape = ellipse({ x: 0, y: 0 }, w / 2, h / 2);
  return {
    outline: sheet,
    hoopable: sheet,
    seams: [],
    noGo: [],
    folds: [seam('finished', 'finished size', [...shape, shape[0] ?? { x: 0, y: 0 }], 'fold')],
    landmarks: {
      top: { x: 0, y: -h / 2 },
      foot: { x: 0, y: h / 2 },
      ...twins('side', { x: w / 2, y: 0 }),
    },
    opening: null,
    centreFrom: -h / 2 - ROUND_ABOUT_MM,
    centreTo: h / 2 + ROUND_ABOUT_MM,
  };
}

export const ORNAMENT: PieceKind = {
  name: 'Ornament without cloth',
  family: 'Cloth still to be sewn',
  form: 'flat',
  traits: ['ornament'],
  usual: { fabricId: 'organza', colour: '#FAFAF7' },
  readings: [
    {
      id: 'width',
      name: 'finished width',
      how: 'How wide the ornament is to be.',
      leastMm: 20,
      mostMm: 360,
      typicalMm: 80,
      from: 'sideLeft',
      to: 'sideRight',
    },
    {
      id: 'height',
      name: 'finished height',
      how: 'How high the ornament is to be.',
      leastMm: 20,
      mostMm: 400,
      typicalMm: 90,
      from: 'top',
      to: 'foot',
    },
  ],
  sews: ['wrap'],
  contradictions: (r) => contradictionsOf(r, {}, []),
  views: [
    {
      id: 'film',
      name: 'Film',
      datum: 'below its top',
      datumSign: 1,
      wearersLeft: null,
      halving: {
        name: 'across the film',
        left: 'sideLeft',
        right: 'sideRight',
        edge: 'side',
        fold: 'edges matched',
        second: { landmark: 'top', name: 'the middle of the top' },
      },
      outlineOf,
    },
  ],
  placements: [
    {
      id: 'centre',
      name: 'Centre of the hoop',
      faces: 'Centred in the hoop, on film',
      view: 'film',
      rule: {
        by: 'middle',
        top: { landmark: 'top', name: 'its top' },
        foot: { landmark: 'foot', name: 'its foot' },
      },
    },
  ],
};
