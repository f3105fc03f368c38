import type { PieceKind, PieceOutline, PieceView } from '../geometry';
import type { Reading, Readings } from '../readings';
import { contradictionsOf, level, seam } from './shapes';
import { backNeckAbove, backOf, frontOf, type TopCut, topOutline } from './top';
import { CHEST_PLACEMENTS } from './topPlacements';
import { CHEST_WIDTH, TOP_RULES } from './topReadings';

const ARMHOLE_OF_CHEST = 0.45;
const NECK_HALF_OF_CHEST = 0.1675;

const READINGS: readonly Reading[] = [
  {
    id: 'backWidth',
    name: 'back, armhole to armhole',
    how: 'Back up. Straight across between the armhole seams, where the back is narrowest.',
    leastMm: 200,
    mostMm: 800,
    typicalMm: 440,
    from: 'shoulderLeft',
    to: 'shoulderRight',
    on: 'back',
    waits: TOP_RULES,
    byArmhole: true,
  },
  { ...CHEST_WIDTH, typicalMm: 580, on: 'back' },
  {
    id: 'length',
    name: 'back collar seam to hem',
    how: 'From the collar seam at centre back straight down to the hem edge.',
    leastMm: 300,
    mostMm: 1300,
    typicalMm: 690,
    from: 'collarSeam',
    to: 'hem',
    on: 'back',
    waits: TOP_RULES,
  },
  {
    id: 'yokeDepth',
    name: 'back collar seam to yoke seam',
    how: 'At centre back, down to the seam across. Enter 0 when there is none.',
    leastMm: 0,
    mostMm: 400,
    typicalMm: 150,
    from: 'collarSeam',
    to: 'yoke',
    on: 'back',
    needed: ['back'],
  },
];
const NAMES = Object.fromEntries(READINGS.map((r) => [r.id, r.name]));

/** A jacket's readings as a top's: the shoulder ends where the armhole seams stand apart by the back's width. */
function asTop(r: Readings, collar: TopCut['collar']): Readings {
  const { chestWidth: w = 0, backWidth = 0, length = 0 } = r;
  return {
    chestWidth: w,
    length: length - backNeckAbove(w, collar),
    shoulder: Math.max(20, (backWidth / 2 - w * NECK_HALF_OF_CHEST) / Math.cos((17 * Math.PI) / 180)),
    armhole: w * ARMHOLE_OF_CHEST,
  };
}

function backOutline(r: Readings, cut: TopCut): PieceOutline {
  const outline = topOutline(asTop(r, cut.collar), cut, 'back');
  const yoke = r.yokeDepth ?? 0;
  const landmarks = { ...outline.landmarks, yoke: { x: 0, y: yoke } };
  if (yoke <= 0) return { ...outline, landmarks };
  const half = outline.landmarks.shoulderRight?.x ?? 0;
  return {
    ...outline,
    landmarks,
    seams: [...outline.seams, seam('yokeSeam', 'yoke seam', level(half, yoke))],
  };
}

const views = (cut: TopCut): readonly [PieceView, ...PieceView[]] => [
  { ...backOf(cut), outlineOf: (r) => backOutline(r, cut) },
  { ...frontOf(cut), outlineOf: (r) => topOutline(asTop(r, cut.collar), cut, 'front') },
];

const jacket = (name: string, cut: TopCut, usual: PieceKind['usual']): PieceKind => ({
  name,
  family: 'Garments',
  form: 'tubular',
  traits: cut.sleeve === 'none' ? ['worn'] : ['worn', 'sleeves'],
  usual,
  readings: READINGS,
  contradictions: (r) =>
    contradictionsOf(r, NAMES, [
      [
        (r.backWidth ?? 0) > (r.chestWidth ?? 0),
        'backWidth',
        'chestWidth',
        'the back would be wider than the whole chest',
      ],
      [
        (r.backWidth ?? 0) < (r.chestWidth ?? 0) * 0.45,
        'backWidth',
        'chestWidth',
        'the armholes would nearly meet',
      ],
      [
        (r.yokeDepth ?? 0) > (r.length ?? 0) / 2,
        'yokeDepth',
        'length',
        'the yoke would reach below the middle of the back',
      ],
      [
        (r.length ?? 0) < (r.chestWidth ?? 0) * 0.75,
        'length',
        'chestWidth',
        'the underarm would lie near the hem',
      ],
    ]),
  views: views(cut),
  placements: [
    {
      id: 'full-back',
      name: 'Full back',
      faces: 'Full back, between the armholes',
      view: 'back',
      rule: { by: 'jacket-back' },
    },
    ...CHEST_PLACEMENTS.slice(0, 2),
  ],
});

export const WORK_JACKET = jacket(
  'Work jacket',
  {
    sleeve: 'long',
    hem: { name: 'hem', mm: 30 },
    collar: 'collar',
    front: { name: 'front zip', widthMm: 40, depth: 'whole' },
  },
  { fabricId: 'canvas', colour: '#59626E' },
);
export const DENIM_JACKET = jacket(
  'Denim jacket',
  {
    sleeve: 'long',
    hem: { name: 'waistband', mm: 45 },
    collar: 'collar',
    front: { name: 'button placket', widthMm: 50, depth: 'whole' },
  },
  { fabricId: 'denim', colour: '#5B86A8' },
);
export const WAISTCOAT = jacket(
  'Canvas waistcoat',
  {
    sleeve: 'none',
    hem: { name: 'hem', mm: 25 },
    collar: 'v-neck',
    front: { name: 'button placket', widthMm: 40, depth: 'whole' },
  },
  { fabricId: 'canvas', colour: '#EFE6D2' },
);
