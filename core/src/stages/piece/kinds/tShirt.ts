import type { PieceKind } from '../geometry';
import { SLEEVE } from './sleeve';
import { backOf, frontOf, type TopCut, topContradictions } from './top';
import {
  BACK_PLACEMENTS,
  CHEST_PLACEMENTS,
  FULL_FRONT,
  HEM_CORNERS,
  SLEEVE_PLACEMENT,
} from './topPlacements';
import { HEM_BAND, SLEEVE_READINGS, sizedReadings, TOP_READINGS } from './topReadings';

const TEE_HEM = { name: 'hem', mm: 25 };

const top = (name: string, cut: TopCut, usual: PieceKind['usual']): PieceKind => ({
  name,
  family: 'Garments',
  form: 'tubular',
  traits: ['worn', 'against skin', 'sleeves'],
  usual,
  readings: [...TOP_READINGS, ...SLEEVE_READINGS, { ...HEM_BAND, typicalMm: cut.hem.mm }],
  contradictions: topContradictions,
  views: [frontOf(cut), backOf(cut), SLEEVE],
  placements: [...CHEST_PLACEMENTS, FULL_FRONT, ...BACK_PLACEMENTS, SLEEVE_PLACEMENT, ...HEM_CORNERS],
});

export const T_SHIRT = top(
  'T-shirt',
  { sleeve: 'short', hem: TEE_HEM, collar: 'rib' },
  { fabricId: 'jersey-tee', colour: '#C9D6DF' },
);
export const POLO = top(
  'Polo',
  {
    sleeve: 'short',
    hem: TEE_HEM,
    collar: 'collar',
    front: { name: 'button placket', widthMm: 34, depth: 150 },
  },
  { fabricId: 'pique-polo', colour: '#DCE7DA' },
);
export const SCRUB_TOP = top(
  'Scrub top',
  { sleeve: 'short', hem: TEE_HEM, collar: 'v-neck' },
  { fabricId: 'poly-cotton', colour: '#9FC2C0' },
);

const TODDLER = { chestWidth: 300, length: 350, shoulder: 70, armhole: 125, hemWidth: 310 };
const toddlerTop = top(
  'Toddler top',
  { sleeve: 'short', hem: { name: 'hem', mm: 20 }, collar: 'rib' },
  { fabricId: 'jersey-tee', colour: '#EFE6D2' },
);
export const TODDLER_TOP: PieceKind = {
  ...toddlerTop,
  traits: [...toddlerTop.traits, 'baby'],
  family: 'Baby and children',
  readings: sizedReadings(TOP_READINGS, TODDLER),
  views: [toddlerTop.views[0], ...toddlerTop.views.slice(1, 2)],
  placements: [
    {
      id: 'centre-chest',
      name: 'Centre chest',
      faces: 'Centre chest, below the collar seam',
      view: 'front',
      rule: { by: 'centre-chest' },
    },
    ...CHEST_PLACEMENTS.slice(0, 2),
    ...BACK_PLACEMENTS,
  ],
};
