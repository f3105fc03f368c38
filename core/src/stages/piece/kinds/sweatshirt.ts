import type { PieceKind } from '../geometry';
import { backOf, frontOf, type TopCut, topContradictions } from './top';
import { BACK_PLACEMENTS, CHEST_PLACEMENTS, HEM_CORNERS } from './topPlacements';
import { HEM_BAND, POCKET_FOOT, POCKET_READINGS, sizedReadings, TOP_READINGS } from './topReadings';

const RIB_HEM = { name: 'hem rib', mm: 60 };
const SIZES = { chestWidth: 560, length: 660, shoulder: 150, armhole: 245, hemWidth: 500 };
const [LEFT_CHEST, RIGHT_CHEST, CENTRE_CHEST] = CHEST_PLACEMENTS;
const CENTRE = CENTRE_CHEST ?? LEFT_CHEST;

function warmTop(name: string, cut: TopCut, colour: string, pocket: boolean): PieceKind {
  return {
    name,
    family: 'Garments',
    form: 'tubular',
    traits: ['worn', 'against skin', 'sleeves'],
    usual: { fabricId: 'sweatshirt-fleece', colour },
    readings: sizedReadings(
      [...TOP_READINGS, ...(pocket ? [...POCKET_READINGS, POCKET_FOOT] : []), HEM_BAND],
      { ...SIZES, hemBand: cut.hem.mm },
    ),
    contradictions: topContradictions,
    views: [frontOf(cut), backOf(cut)],
    placements: [
      CENTRE,
      LEFT_CHEST,
      ...(RIGHT_CHEST ? [RIGHT_CHEST] : []),
      ...HEM_CORNERS,
      ...BACK_PLACEMENTS,
    ],
  };
}

export const SWEATSHIRT = warmTop(
  'Sweatshirt',
  { sleeve: 'long', hem: RIB_HEM, collar: 'rib' },
  '#59626E',
  false,
);
/** The pocket bounds the chest from below: centre chest is the middle of the space that is left. */
export const HOODIE = warmTop(
  'Hoodie with a pocket',
  { sleeve: 'long', hem: RIB_HEM, collar: 'hood' },
  '#1F3A5F',
  true,
);
