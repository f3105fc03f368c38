/** What goes wrong, its usual causes with the likeliest first, and what helps next time. */
export interface Fault {
  id: string;
  name: string;
  causes: string;
  nextTime: string;
}

export const FAULT_IDS = [
  'puckering',
  'gaps',
  'sinking',
  'show-through',
  'off-place',
  'ring-marks',
  'needle-break',
  'bobbin-tension',
  'sewn-shut',
  'backing-edge',
  'scratchy',
  'nests',
] as const;
export type FaultId = (typeof FAULT_IDS)[number];

export const FAULTS: readonly (Fault & { id: FaultId })[] = [
  {
    id: 'puckering',
    name: 'Puckering',
    causes: 'stretched in the hoop; too little or wrong support; too dense; floated',
    nextTime: 'Bond first; add or change a layer; a lighter design; hoop it.',
  },
  {
    id: 'gaps',
    name: 'Gaps, outline off',
    causes: 'cloth shifted; hoop loose; worn clip',
    nextTime: 'Fuse or baste; tighten; cut-away.',
  },
  { id: 'sinking', name: 'Stitches sink', causes: 'no topper; pile', nextTime: 'Film; permanent film.' },
  {
    id: 'show-through',
    name: 'Ground shows through',
    causes: 'contrast; thin fill',
    nextTime: 'Permanent film; denser; underlay.',
  },
  {
    id: 'off-place',
    name: 'Crooked or off centre',
    causes: 'one mark only; ring upside down; uneven piece; wrong key',
    nextTime: 'Axis marks; check the direction.',
  },
  {
    id: 'ring-marks',
    name: 'Ring marks',
    causes: 'pile or suede clamped too long',
    nextTime: 'Float; magnetic hoop; steam.',
  },
  {
    id: 'needle-break',
    name: 'Needle breaks or gets hot',
    causes: 'too fine for the stack; hit the ring; bent; adhesive',
    nextTime: '90/14; trace; change; clean.',
  },
  {
    id: 'bobbin-tension',
    name: 'Bobbin on top, loops below',
    causes: 'tension; thin bobbin; mis-threaded',
    nextTime: 'Rethread with the foot up; adjust.',
  },
  {
    id: 'sewn-shut',
    name: 'Piece sewn to itself',
    causes: 'cloth beneath the hoop',
    nextTime: 'Check beneath at each stop.',
  },
  {
    id: 'backing-edge',
    name: 'Backing shows at the edge',
    causes: 'thick backing on pale cloth',
    nextTime: 'Mesh; trim rounder.',
  },
  {
    id: 'scratchy',
    name: 'Scratchy inside',
    causes: 'cut-away on skin',
    nextTime: 'Mesh and a cover sheet.',
  },
  {
    id: 'nests',
    name: 'Thread nests or shreds',
    causes: 'old needle; tail; pulled backwards',
    nextTime: 'New needle; cut at the spool, pull forwards.',
  },
];

export const SEVERITY_WORDS = ['none', 'slight', 'plain', 'spoilt'] as const;

/** The level at which a piece cannot be handed over. */
export const SPOILT = SEVERITY_WORDS.indexOf('spoilt');

/** What saves a piece that came out spoilt. */
export const SAVED_BY_A_PATCH =
  'Spoilt, and dear? Stitch the design once more on firm cloth, cut it out a little outside the stitches, and sew it over the place as a patch.';
