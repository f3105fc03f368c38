import type { Thread } from '../shelf/schema';
import type { Sheet, StabilizerId } from './schema';

/** What a sheet is, what it leaves behind, and what it tolerates. */
export interface Stabilizer {
  id: StabilizerId;
  name: string;
  family: 'cut-away' | 'tear-away' | 'dissolving' | 'wash-away' | 'interfacing';
  grade: 'plain' | 'fusible' | 'sticky';
  leaves: string;
  staysIn: boolean;
}

export const STABILIZERS: Record<StabilizerId, Stabilizer> = {
  'cut-away': {
    id: 'cut-away',
    name: 'Cut-away, medium',
    family: 'cut-away',
    grade: 'plain',
    leaves: 'all under the stitches, trimmed',
    staysIn: true,
  },
  mesh: {
    id: 'mesh',
    name: 'Light mesh cut-away',
    family: 'cut-away',
    grade: 'plain',
    leaves: 'soft, hardly seen through',
    staysIn: true,
  },
  'mesh-fusible': {
    id: 'mesh-fusible',
    name: 'Light mesh cut-away, fusible',
    family: 'cut-away',
    grade: 'fusible',
    leaves: 'soft, hardly seen through',
    staysIn: true,
  },
  'tear-away': {
    id: 'tear-away',
    name: 'Tear-away, medium',
    family: 'tear-away',
    grade: 'plain',
    leaves: 'little',
    staysIn: false,
  },
  'tear-away-light-fusible': {
    id: 'tear-away-light-fusible',
    name: 'Tear-away, light, fusible',
    family: 'tear-away',
    grade: 'fusible',
    leaves: 'little',
    staysIn: false,
  },
  'dissolving-fusible': {
    id: 'dissolving-fusible',
    name: 'Dissolving tear-away, fusible',
    family: 'dissolving',
    grade: 'fusible',
    leaves: 'only under the stitches',
    staysIn: false,
  },
  'dissolving-sticky': {
    id: 'dissolving-sticky',
    name: 'Dissolving tear-away, self-adhesive',
    family: 'dissolving',
    grade: 'sticky',
    leaves: 'only under the stitches',
    staysIn: false,
  },
  'tear-away-sticky': {
    id: 'tear-away-sticky',
    name: 'Tear-away, self-adhesive',
    family: 'tear-away',
    grade: 'sticky',
    leaves: 'little; leaves tack',
    staysIn: false,
  },
  'wash-away-sticky': {
    id: 'wash-away-sticky',
    name: 'Wash-away, self-adhesive',
    family: 'wash-away',
    grade: 'sticky',
    leaves: 'nothing',
    staysIn: false,
  },
  'wash-away-cloth': {
    id: 'wash-away-cloth',
    name: 'Wash-away cloth',
    family: 'wash-away',
    grade: 'plain',
    leaves: 'nothing',
    staysIn: false,
  },
  'wash-away-film-heavy': {
    id: 'wash-away-film-heavy',
    name: 'Wash-away film, heavy',
    family: 'wash-away',
    grade: 'plain',
    leaves: 'nothing',
    staysIn: false,
  },
  interfacing: {
    id: 'interfacing',
    name: 'Fusible woven interfacing',
    family: 'interfacing',
    grade: 'fusible',
    leaves: 'all, soft',
    staysIn: true,
  },
};

export interface Choice {
  id: string;
  name: string;
  use: string;
}

export const TOPPERS = {
  none: { id: 'none', name: 'No topper', use: 'smooth cloth, nothing sinks' },
  'soluble-film': {
    id: 'soluble-film',
    name: 'Water-soluble film',
    use: 'pile, loops, ribs; anything where stitches sink',
  },
  'heat-away-film': { id: 'heat-away-film', name: 'Heat-away film', use: 'the same where it must stay dry' },
  'permanent-film': {
    id: 'permanent-film',
    name: "Permanent film in the thread's colour",
    use: 'strong contrast, so that the ground never shows through',
  },
} as const satisfies Record<string, Choice>;

/** A needle: its size in the European count, its point, and whether its eye is large. */
export interface NeedleKind extends Choice {
  size: 65 | 75 | 90;
  point: 'embroidery' | 'ball' | 'sharp' | 'wing';
  largeEye: boolean;
}

export const NEEDLES = {
  '75-embroidery': {
    id: '75-embroidery',
    name: '75/11 embroidery',
    use: 'most cloth',
    size: 75,
    point: 'embroidery',
    largeEye: false,
  },
  '75-ballpoint': {
    id: '75-ballpoint',
    name: '75/11 ballpoint',
    use: 'knits: it parts the loops',
    size: 75,
    point: 'ball',
    largeEye: false,
  },
  '75-sharp': {
    id: '75-sharp',
    name: '75/11 sharp',
    use: 'tight wovens, faux suede',
    size: 75,
    point: 'sharp',
    largeEye: false,
  },
  '65': {
    id: '65',
    name: '65/9',
    use: 'fine cloth, 60 wt thread, small lettering',
    size: 65,
    point: 'embroidery',
    largeEye: false,
  },
  '90': {
    id: '90',
    name: '90/14',
    use: 'canvas, denim, several thick layers',
    size: 90,
    point: 'embroidery',
    largeEye: false,
  },
  '90-large-eye': {
    id: '90-large-eye',
    name: '90/14 large-eye',
    use: 'metallic and heavy matte cotton',
    size: 90,
    point: 'embroidery',
    largeEye: true,
  },
  wing: {
    id: 'wing',
    name: 'Wing needle',
    use: 'decorative heirloom work',
    size: 90,
    point: 'wing',
    largeEye: false,
  },
} as const satisfies Record<string, NeedleKind>;
export type NeedleId = keyof typeof NEEDLES;
export const NEEDLE_IDS = Object.keys(NEEDLES) as [NeedleId, ...NeedleId[]];

/** A choice of thread: what a spool must be to serve it. */
export interface ThreadKind extends Choice {
  weight: Thread['weight'];
  fibre: Thread['fibre'];
}

export const THREADS = {
  'polyester-40': {
    id: 'polyester-40',
    name: '40 wt polyester',
    use: 'what is washed often',
    weight: 40,
    fibre: 'polyester',
  },
  'rayon-40': { id: 'rayon-40', name: '40 wt rayon', use: 'sheen', weight: 40, fibre: 'rayon' },
  'matte-40': { id: 'matte-40', name: '40 wt matte', use: 'an aged look', weight: 40, fibre: 'cotton' },
  'metallic-40': {
    id: 'metallic-40',
    name: '40 wt metallic',
    use: 'glitter, run slower',
    weight: 40,
    fibre: 'metallic',
  },
  'polyester-60': {
    id: 'polyester-60',
    name: '60 wt polyester',
    use: 'small lettering',
    weight: 60,
    fibre: 'polyester',
  },
} as const satisfies Record<string, ThreadKind>;
export type ThreadId = keyof typeof THREADS;

export const BOBBINS = {
  'bobbin-60': { id: 'bobbin-60', name: '60 wt bobbin thread', use: 'what most machines are set for' },
  'bobbin-90': { id: 'bobbin-90', name: '90 wt bobbin thread', use: 'finer: check the top tension' },
} as const satisfies Record<string, Choice>;
export type BobbinId = keyof typeof BOBBINS;
export const BOBBIN_IDS = Object.keys(BOBBINS) as [BobbinId, ...BobbinId[]];

export const COVERS = {
  none: { id: 'none', name: 'No cover', use: 'the back lies off the skin or is soft enough' },
  'soft-cover': { id: 'soft-cover', name: 'Soft fusible cover sheet', use: 'over the back, on skin' },
  lining: { id: 'lining', name: 'Lining sewn over the back', use: 'on skin, where nothing may be fused' },
} as const satisfies Record<string, Choice>;

export const TRIMS = {
  none: { id: 'none', name: 'Nothing stays to be trimmed', use: 'all of it tears or washes away' },
  rounded: { id: 'rounded', name: 'Trim to 6–12 mm, corners rounded', use: 'keeps the stitches supported' },
  close: { id: 'close', name: 'Trim close, 3 mm', use: 'least to feel' },
  'tear-all': { id: 'tear-all', name: 'Tear out everything that comes', use: 'least left behind' },
} as const satisfies Record<string, Choice>;

/** The choices of each part that takes one. */
export const CHOICES: Record<
  'topper' | 'needle' | 'thread' | 'bobbin' | 'cover' | 'trim',
  Record<string, Choice>
> = {
  topper: TOPPERS,
  needle: NEEDLES,
  thread: THREADS,
  bobbin: BOBBINS,
  cover: COVERS,
  trim: TRIMS,
};

/** A stack of sheets in words, from the cloth down, each with how it is held. */
export function sheetsInWords(sheets: readonly Sheet[]): string {
  return (
    sheets.map((s) => `${STABILIZERS[s.stabilizer].name}, ${s.hold}`).join(' + ') || 'Nothing underneath'
  );
}
