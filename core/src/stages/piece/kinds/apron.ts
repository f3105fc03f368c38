import type { PieceKind, PieceOutline } from '../geometry';
import type { Readings } from '../readings';
import { clothOutline, clothView, hemReading } from './cloth';
import { closedByMirror, contradictionsOf, curve, level, seam, strip, twins } from './shapes';

const HEM_MM = 20;

/** The bib's side runs straight, then bows out to the waist: of its height, and of its width. */
const SIDE_STRAIGHT = 0.25;
const SIDE_BOW = { out: 0.62, down: 0.85 };
/** Half the waist, and what hangs below it, of the bib's width. */
const WAIST_HALF = 1.3;
const SKIRT = 1.7;

/** Origin at the centre of the bib's top edge. */
function bibOf({ bibWidth: w = 0, bibHeight: h = 0 }: Readings): PieceOutline {
  const waist = { x: w * WAIST_HALF, y: h };
  const foot = h + w * SKIRT;
  const edge = (inset: number) =>
    closedByMirror([
      { x: w / 2 - inset, y: inset },
      ...curve(
        { x: w / 2 - inset, y: h * SIDE_STRAIGHT },
        { x: w * SIDE_BOW.out - inset, y: h * SIDE_BOW.down },
        { x: waist.x - inset, y: waist.y },
      ),
      { x: waist.x - inset, y: foot - inset },
    ]);
  return {
    outline: edge(0),
    hoopable: edge(HEM_MM),
    seams: [
      seam('hems', 'side hem', edge(HEM_MM).slice(0, -1), 'hem'),
      seam('topHem', 'top hem', level(w / 2, HEM_MM), 'hem'),
    ],
    noGo: [strip('topHem', 'top hem', { left: -w / 2, right: w / 2, top: 0, bottom: HEM_MM })],
    folds: [seam('waist', 'waist', level(waist.x, waist.y), 'fold')],
    landmarks: {
      topEdge: { x: 0, y: 0 },
      waist: { x: 0, y: h },
      ...twins('corner', { x: w / 2, y: 0 }),
    },
    opening: null,
    centreFrom: 0,
    centreTo: h,
  };
}

export const APRON: PieceKind = {
  name: 'Apron',
  family: 'Garments',
  form: 'flat',
  traits: ['worn'],
  usual: { fabricId: 'duck', colour: '#234A35' },
  readings: [
    {
      id: 'bibWidth',
      name: 'bib, top edge',
      how: 'Straight across the top edge of the bib.',
      leastMm: 120,
      mostMm: 500,
      typicalMm: 260,
      from: 'cornerLeft',
      to: 'cornerRight',
      needed: ['bib'],
    },
    {
      id: 'bibHeight',
      name: 'top edge to waist',
      how: 'From the middle of the top edge down to where the ties are sewn on.',
      leastMm: 120,
      mostMm: 600,
      typicalMm: 290,
      from: 'topEdge',
      to: 'waist',
      needed: ['bib'],
    },
    {
      id: 'width',
      name: 'pocket, side to side',
      how: 'Straight across the pocket before it is sewn on, or unpicked.',
      leastMm: 80,
      mostMm: 600,
      typicalMm: 200,
      from: 'sideLeft',
      to: 'sideRight',
      on: 'pocket',
      needed: ['pocket'],
    },
    {
      id: 'length',
      name: 'pocket, top to bottom',
      how: 'Straight down the middle of the pocket.',
      leastMm: 80,
      mostMm: 400,
      typicalMm: 180,
      from: 'hem',
      to: 'farHem',
      on: 'pocket',
      needed: ['pocket'],
    },
    { ...hemReading(20, 'pocket, top hem'), on: 'pocket', needed: ['pocket'] },
  ],
  contradictions: (r) =>
    contradictionsOf(r, { bibWidth: 'bib, top edge', bibHeight: 'top edge to waist' }, [
      [
        (r.bibHeight ?? 0) > (r.bibWidth ?? Infinity) * 3,
        'bibHeight',
        'bibWidth',
        'the bib would be a narrow strip',
      ],
    ]),
  views: [
    {
      id: 'bib',
      name: 'Bib',
      datum: 'below the top edge',
      datumSign: 1,
      wearersLeft: 'right',
      halving: {
        name: 'across the top edge',
        left: 'cornerLeft',
        right: 'cornerRight',
        edge: 'corner',
        fold: 'corners and ties matched',
        second: { landmark: 'waist', name: 'the middle of the waist, between the ties' },
      },
      outlineOf: bibOf,
    },
    clothView(
      ({ width = 0, length = 0, hemDepth = 0 }) =>
        clothOutline({ width, length, endHem: hemDepth, sideHem: 10 }),
      { id: 'pocket', name: 'Pocket' },
    ),
  ],
  placements: [
    {
      id: 'centre-bib',
      name: 'Centre of the bib',
      faces: 'Centred on the bib',
      view: 'bib',
      rule: {
        by: 'middle',
        top: { landmark: 'topEdge', name: 'the top edge' },
        foot: { landmark: 'waist', name: 'the waist' },
      },
    },
    {
      id: 'pocket',
      name: 'Pocket',
      faces: 'Centred on the pocket, before it is sewn on',
      view: 'pocket',
      rule: {
        by: 'middle',
        top: { landmark: 'farHem', name: 'the top hem' },
        foot: { landmark: 'hem', name: 'the bottom edge' },
      },
    },
  ],
};
