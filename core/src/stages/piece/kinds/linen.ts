import { PLACE_NUMBERS } from '../../../catalogue/numbers/place';
import type { PieceKind } from '../geometry';
import type { Readings } from '../readings';
import type { UsualPlacement } from '../usualPlacement';
import { clothOutline, clothView, hemReading, lengthReading, widthReading } from './cloth';
import { contradictionsOf } from './shapes';

const NAMES = { width: 'side to side', length: 'hem to hem', hemDepth: 'hem, depth' };

export const hemContradictions = (r: Readings) =>
  contradictionsOf(r, NAMES, [
    [
      (r.hemDepth ?? 0) * 4 > Math.min(r.width ?? 0, r.length ?? 0),
      'hemDepth',
      'width',
      'the hems would take up the cloth',
    ],
  ]);

const VIEW = clothView(({ width = 0, length = 0, hemDepth = 0 }) =>
  clothOutline({ width, length, endHem: hemDepth, sideHem: hemDepth }),
);

const CORNER: UsualPlacement = {
  id: 'corner',
  name: 'One corner, upright',
  faces: 'The lower corner on your right, standing upright',
  view: 'face',
  rule: { by: 'corner', diagonal: false },
};
const DIAGONAL_CORNER: UsualPlacement = {
  id: 'corner-diagonal',
  name: 'One corner, at 45°',
  faces: 'The lower corner on your right, facing out of the corner',
  view: 'face',
  rule: { by: 'corner', diagonal: true },
};
const FOUR_CORNERS: UsualPlacement = {
  id: 'four-corners',
  name: 'All four corners',
  faces: 'The same in each corner, turned a quarter from one to the next',
  view: 'face',
  rule: { by: 'corner', diagonal: false },
  copies: 'four corners',
};
const FOUR_DIAGONAL: UsualPlacement = {
  id: 'four-corners-diagonal',
  name: 'All four corners, at 45°',
  faces: 'The same in each corner, facing out of it',
  view: 'face',
  rule: { by: 'corner', diagonal: true },
  copies: 'four corners',
};
const CENTRE: UsualPlacement = {
  id: 'centre',
  name: 'Centre of the cloth',
  faces: 'The middle, both ways',
  view: 'face',
  rule: {
    by: 'middle',
    top: { landmark: 'farHem', name: 'the far hem' },
    foot: { landmark: 'hem', name: 'the hem nearest you' },
  },
};

export const CORNER_PLACEMENTS: readonly [UsualPlacement, ...UsualPlacement[]] = [CORNER, DIAGONAL_CORNER];
const ALL = [...CORNER_PLACEMENTS, FOUR_CORNERS, FOUR_DIAGONAL, CENTRE] as const;

const linen = (
  name: string,
  size: { side: number; length?: number; most: number; hem: number },
  rest: Partial<PieceKind> = {},
): PieceKind => ({
  name,
  family: 'Table and kitchen',
  form: 'flat',
  traits: ['table linen'],
  usual: { fabricId: 'linen', colour: '#FAFAF7' },
  readings: [
    widthReading(size.side, size.most),
    lengthReading(size.length ?? size.side, size.most),
    hemReading(size.hem),
  ],
  contradictions: hemContradictions,
  views: [VIEW],
  placements: [ALL[0], ...ALL.slice(1)],
  ...rest,
});

export const NAPKIN = linen('Napkin', { side: 450, most: 700, hem: 8 });
export const BREAD_CLOTH = linen(
  'Bread cloth',
  { side: 480, most: 800, hem: 8 },
  { placements: [FOUR_CORNERS, FOUR_DIAGONAL, ...CORNER_PLACEMENTS, CENTRE] },
);
export const TABLECLOTH = linen(
  'Tablecloth',
  { side: 1300, length: 1700, most: 4000, hem: 20 },
  { usual: { fabricId: 'stable-cotton', colour: '#FAFAF7' } },
);
export const HANDKERCHIEF = linen(
  'Handkerchief',
  { side: 300, most: 500, hem: 5 },
  { usual: { fabricId: 'lawn', colour: '#FAFAF7' } },
);

const kitchen = (name: string, fabricId: string): PieceKind =>
  linen(
    name,
    { side: 500, length: 700, most: 1200, hem: 12 },
    {
      usual: { fabricId, colour: '#EFE6D2' },
      views: [
        clothView(({ width = 0, length = 0, hemDepth = 0 }) =>
          clothOutline({ width, length, endHem: hemDepth, sideHem: hemDepth, thirds: true }),
        ),
      ],
      placements: [
        {
          id: 'middle-third',
          name: 'Middle third',
          faces: 'On the middle third, near the bottom: seen when it hangs folded in three',
          view: 'face',
          rule: { by: 'above-hem', gap: PLACE_NUMBERS.aboveHemTeaTowelMm, within: 'middle third' },
        },
        ...ALL.slice(0, 2),
      ],
    },
  );
export const TEA_TOWEL = kitchen('Tea towel', 'linen');
export const WAFFLE_TOWEL = kitchen('Waffle towel', 'waffle-towel');
