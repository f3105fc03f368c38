import type { Sheet, StabilizerId } from '../model/ticket/layers';
import type { Way } from '../model/way';

const sheet = (
  stabilizer: StabilizerId,
  where: Sheet['where'] = 'in the ring',
  bond: Sheet['bond'] = 'none',
  fastening: Sheet['fastening'] = 'none',
): Sheet => ({ stabilizer, where, bond, fastening });

const ANYWHERE: Way['applies'] = {
  cloths: [],
  uses: [],
  densities: [],
  method: null,
  plainLettering: false,
};
const FILM_WASHES: Way['choices'] = { topper: { choice: 'soluble-film', why: '' } };

/** A way that other shops hold, to be taken on with one tap. */
export type KnownWay = Omit<Way, 'since' | 'on'>;

/** Whole stacks that shops swear by, each with where it applies and why; none is followed until it is taken on. */
export const KNOWN_WAYS: readonly KnownWay[] = [
  {
    id: 'way-two-tear-away',
    name: 'two tear-aways',
    why: 'Two thin sheets, sprayed and clamped, hold better than a thick one and tear off one by one.',
    applies: { ...ANYWHERE, cloths: ['stable woven'], method: 'hooped' },
    sheets: [sheet('tear-away', 'in the ring', 'sprayed'), sheet('tear-away', 'in the ring', 'sprayed')],
    choices: {},
  },
  {
    id: 'way-sweatshirt',
    name: 'sweatshirt',
    why: 'Interfacing makes it a woven, mesh carries it, and a heat-away film stays through washing.',
    applies: { ...ANYWHERE, cloths: ['thick knit'], uses: ['worn'] },
    sheets: [sheet('interfacing', 'on the piece', 'fused'), sheet('mesh', 'in the ring', 'sprayed')],
    choices: { topper: { choice: 'heat-away-film', why: '' } },
  },
  {
    id: 'way-sweatshirt-wash-away',
    name: 'washed-out sweatshirt',
    why: 'Floated on sticky wash-away, nothing is left to feel.',
    applies: {
      ...ANYWHERE,
      cloths: ['thick knit'],
      uses: ['worn'],
      densities: ['open', 'light', 'medium'],
      method: 'floated',
    },
    sheets: [sheet('wash-away-sticky', 'in the ring', 'sticky', 'basting box')],
    choices: FILM_WASHES,
  },
  {
    id: 'way-sweatshirt-wash-away-heavy',
    name: 'washed-out sweatshirt, heavy',
    why: 'Under a heavy design a cut-away stays when the sticky sheet has washed out.',
    applies: {
      ...ANYWHERE,
      cloths: ['thick knit'],
      uses: ['worn'],
      densities: ['heavy', 'very heavy'],
      method: 'floated',
    },
    sheets: [sheet('wash-away-sticky', 'in the ring', 'sticky', 'basting box'), sheet('cut-away')],
    choices: FILM_WASHES,
  },
  {
    id: 'way-floated-tee',
    name: 'floated tee',
    why: 'Two cut-aways stay; the sticky tear-away on top only holds the tee, and comes off.',
    applies: { ...ANYWHERE, cloths: ['knit'], uses: ['worn'], method: 'floated' },
    sheets: [
      sheet('tear-away-sticky', 'in the ring', 'sticky', 'basting box'),
      sheet('cut-away'),
      sheet('cut-away'),
    ],
    choices: {},
  },
  {
    id: 'way-tote-mesh',
    name: 'tote',
    why: 'One light mesh keeps the stitches when the canvas is worked soft.',
    applies: { ...ANYWHERE, cloths: ['canvas'], uses: ['carried'] },
    sheets: [sheet('mesh')],
    choices: {},
  },
  {
    id: 'way-linen',
    name: 'fused linen',
    why: 'Fused, the weave cannot creep; floated, no ring marks it.',
    applies: { ...ANYWHERE, cloths: ['open weave'], method: 'floated' },
    sheets: [
      sheet('dissolving-fusible', 'on the piece', 'fused'),
      sheet('dissolving-sticky', 'in the ring', 'sticky', 'basting box'),
    ],
    choices: {},
  },
  {
    id: 'way-white-bodysuit',
    name: 'white bodysuit',
    why: 'Mesh stays, hardly seen; two tear-aways fused one on the other carry it and come off one by one.',
    applies: { ...ANYWHERE, cloths: ['see-through knit'], uses: ['baby'], method: 'hooped' },
    sheets: [
      sheet('mesh-fusible', 'in the ring', 'fused'),
      sheet('tear-away-light-fusible', 'in the ring', 'fused'),
      sheet('tear-away-light-fusible', 'in the ring', 'fused'),
    ],
    choices: {},
  },
  {
    id: 'way-lettering',
    name: 'one-colour lettering',
    why: 'A few letters need no sheet in the ring: one slipped under it is enough.',
    applies: {
      ...ANYWHERE,
      cloths: ['stable woven', 'pile', 'canvas'],
      method: 'hooped',
      plainLettering: true,
    },
    sheets: [sheet('tear-away', 'under the ring', 'none', 'tape')],
    choices: {},
  },
  {
    id: 'way-torn-out',
    name: 'sprayed cut-away',
    why: 'Sprayed to its edges nothing shifts; what comes is torn out at the end.',
    applies: { ...ANYWHERE, cloths: ['knit'], uses: ['worn'], method: 'hooped' },
    sheets: [sheet('cut-away', 'in the ring', 'sprayed')],
    choices: { trim: { choice: 'tear-all', why: '' } },
  },
];
