import type { Thread } from '../model/shelf';
import type {
  BobbinId,
  ChoiceId,
  ChoicePart,
  CoverId,
  NeedleId,
  Sheet,
  StabilizerId,
  ThreadId,
  TopperId,
} from '../model/ticket/layers';

/**
 * What a material can do in a stack: hold the stitches up for life, go without a trace, have a floated piece lie on
 * it in the ring, fuse to the cloth, stick to it. Every one holds the cloth up while it is stitched.
 */
export const JOBS = ['stays', 'vanishes', 'carries', 'fuses', 'sticks'] as const;
export type MaterialJob = (typeof JOBS)[number];

/** What a sheet is, what it leaves behind, and the jobs it does. */
export interface Stabilizer {
  id: StabilizerId;
  name: string;
  family: 'cut-away' | 'tear-away' | 'dissolving' | 'wash-away' | 'interfacing';
  grade: 'plain' | 'fusible' | 'sticky';
  leaves: string;
  staysIn: boolean;
  jobs: readonly MaterialJob[];
}

export const STABILIZERS: Record<StabilizerId, Stabilizer> = {
  'cut-away': {
    id: 'cut-away',
    name: 'Cut-away, medium',
    family: 'cut-away',
    grade: 'plain',
    leaves: 'all under the stitches, trimmed',
    staysIn: true,
    jobs: ['stays', 'carries'],
  },
  mesh: {
    id: 'mesh',
    name: 'Light mesh cut-away',
    family: 'cut-away',
    grade: 'plain',
    leaves: 'soft, hardly seen through',
    staysIn: true,
    jobs: ['stays', 'carries'],
  },
  'mesh-fusible': {
    id: 'mesh-fusible',
    name: 'Light mesh cut-away, fusible',
    family: 'cut-away',
    grade: 'fusible',
    leaves: 'soft, hardly seen through',
    staysIn: true,
    jobs: ['stays', 'fuses'],
  },
  'tear-away': {
    id: 'tear-away',
    name: 'Tear-away, medium',
    family: 'tear-away',
    grade: 'plain',
    leaves: 'little',
    staysIn: false,
    jobs: ['carries'],
  },
  'tear-away-light-fusible': {
    id: 'tear-away-light-fusible',
    name: 'Tear-away, light, fusible',
    family: 'tear-away',
    grade: 'fusible',
    leaves: 'little',
    staysIn: false,
    jobs: ['fuses'],
  },
  'dissolving-fusible': {
    id: 'dissolving-fusible',
    name: 'Dissolving tear-away, fusible',
    family: 'dissolving',
    grade: 'fusible',
    leaves: 'only under the stitches',
    staysIn: false,
    jobs: ['fuses'],
  },
  'dissolving-sticky': {
    id: 'dissolving-sticky',
    name: 'Dissolving tear-away, self-adhesive',
    family: 'dissolving',
    grade: 'sticky',
    leaves: 'only under the stitches',
    staysIn: false,
    jobs: ['sticks', 'carries'],
  },
  'tear-away-sticky': {
    id: 'tear-away-sticky',
    name: 'Tear-away, self-adhesive',
    family: 'tear-away',
    grade: 'sticky',
    leaves: 'little; leaves tack',
    staysIn: false,
    jobs: ['sticks', 'carries'],
  },
  'wash-away-sticky': {
    id: 'wash-away-sticky',
    name: 'Wash-away, self-adhesive',
    family: 'wash-away',
    grade: 'sticky',
    leaves: 'nothing',
    staysIn: false,
    jobs: ['vanishes', 'sticks', 'carries'],
  },
  'wash-away-cloth': {
    id: 'wash-away-cloth',
    name: 'Wash-away cloth',
    family: 'wash-away',
    grade: 'plain',
    leaves: 'nothing',
    staysIn: false,
    jobs: ['vanishes', 'carries'],
  },
  'wash-away-film-heavy': {
    id: 'wash-away-film-heavy',
    name: 'Wash-away film, heavy',
    family: 'wash-away',
    grade: 'plain',
    leaves: 'nothing',
    staysIn: false,
    jobs: ['vanishes', 'carries'],
  },
  interfacing: {
    id: 'interfacing',
    name: 'Fusible woven interfacing',
    family: 'interfacing',
    grade: 'fusible',
    leaves: 'all, soft',
    staysIn: true,
    jobs: ['stays', 'fuses'],
  },
};

export interface Choice {
  id: string;
  name: string;
  use: string;
}

export const TOPPERS: Record<TopperId, Choice> = {
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
};

/** A needle: its size in the European count, its point, and whether its eye is large. */
export interface NeedleKind extends Choice {
  size: 65 | 75 | 90;
  point: 'embroidery' | 'ball' | 'sharp' | 'wing';
  largeEye: boolean;
}

export const NEEDLES: Record<NeedleId, NeedleKind> = {
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
};

/** A choice of thread: what a spool must be to serve it. */
export interface ThreadKind extends Choice {
  weight: Thread['weight'];
  fibre: Thread['fibre'];
}

export const THREADS: Record<ThreadId, ThreadKind> = {
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
};

export const BOBBINS: Record<BobbinId, Choice> = {
  'bobbin-60': { id: 'bobbin-60', name: '60 wt bobbin thread', use: 'what most machines are set for' },
  'bobbin-90': { id: 'bobbin-90', name: '90 wt bobbin thread', use: 'finer: check the top tension' },
};

export const COVERS: Record<CoverId, Choice> = {
  none: { id: 'none', name: 'No cover', use: 'the back lies off the skin or is soft enough' },
  'soft-cover': { id: 'soft-cover', name: 'Soft fusible cover sheet', use: 'over the back, on skin' },
  lining: { id: 'lining', name: 'Lining sewn over the back', use: 'on skin, where nothing may be fused' },
};

export const TRIMS: Record<ChoiceId<'trim'>, Choice> = {
  none: { id: 'none', name: 'Nothing stays to be trimmed', use: 'all of it tears or washes away' },
  rounded: { id: 'rounded', name: 'Trim to 6–12 mm, corners rounded', use: 'keeps the stitches supported' },
  close: { id: 'close', name: 'Trim close, 3 mm', use: 'least to feel' },
  'tear-all': { id: 'tear-all', name: 'Tear out everything that comes', use: 'least left behind' },
};

/** The choices of each part that takes one. */
export const CHOICES: Record<ChoicePart, Record<string, Choice>> = {
  topper: TOPPERS,
  needle: NEEDLES,
  thread: THREADS,
  bobbin: BOBBINS,
  cover: COVERS,
  trim: TRIMS,
};

/** How a sheet is held, in words: where it is, what bonds it, what fastens it. */
const HELD_WORDS = {
  where: {
    'in the ring': 'in the ring',
    'under the ring': 'slipped under the ring',
    'on the piece': 'on the piece only',
  },
  bond: { fused: 'fused to the cloth', sticky: 'stuck to the cloth', sprayed: 'sprayed', none: '' },
  fastening: {
    'basting box': 'with a basting box',
    pins: 'pinned outside the field',
    tape: 'taped',
    none: '',
  },
} as const satisfies {
  where: Record<Sheet['where'], string>;
  bond: Record<Sheet['bond'], string>;
  fastening: Record<Sheet['fastening'], string>;
};

/** How a sheet is held: "in the ring, sprayed, with a basting box". */
export const heldInWords = ({ where, bond, fastening }: Sheet): string =>
  [HELD_WORDS.where[where], HELD_WORDS.bond[bond], HELD_WORDS.fastening[fastening]]
    .filter((word) => word !== '')
    .join(', ');

/** A stack of sheets in words, from the cloth down, each with how it is held. */
export const sheetsInWords = (sheets: readonly Sheet[]): string =>
  sheets.map((s) => `${STABILIZERS[s.stabilizer].name}, ${heldInWords(s)}`).join(' + ') ||
  'Nothing underneath';
