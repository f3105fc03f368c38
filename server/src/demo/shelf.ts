import { USUAL_HOOP, USUAL_MACHINE } from '@zt/core/catalogue/presets';
import type { Hoop, LooseSheets, OwnPlacement, Shelf, SupplyType, Thread } from '@zt/core/model/shelf';
import { SUPPLIES } from '@zt/core/stock/supplies';

const FLAT = 'machine-flat-bed';
const ARM = 'machine-free-arm';

type HoopRow = [
  id: string,
  name: string,
  field: [number, number],
  ring: [number, number],
  kind: Hoop['kind'],
  bracket: Hoop['bracket'],
  machines: string[],
];

const HOOP_ROWS: HoopRow[] = [
  ['hoop-060x040', '60 × 40 screw', [60, 40], [86, 74], 'screw', 'left', [FLAT]],
  ['hoop-100x100', '100 × 100 screw', [100, 100], [130, 138], 'screw', 'left', [FLAT]],
  ['hoop-130x130', '130 × 130 quick-release', [130, 130], [166, 166], 'quick-release', 'left', [FLAT]],
  ['hoop-130x180', '130 × 180 screw', [130, 180], [164, 222], 'screw', 'left', [FLAT]],
  ['hoop-150x240', '150 × 240 screw', [150, 240], [186, 284], 'screw', 'left', [FLAT]],
  ['hoop-r150-arm', 'Round 150 clamp frame', [150, 150], [182, 182], 'clamp frame', 'back', [ARM]],
  ['hoop-160x260', '160 × 260 magnetic', [160, 260], [196, 300], 'magnetic', 'left', [FLAT]],
  ['hoop-200x200', '200 × 200 magnetic', [200, 200], [238, 244], 'magnetic', 'left', [FLAT, ARM]],
  ['hoop-240x360', '240 × 360 magnetic', [240, 360], [288, 406], 'magnetic', 'back', [ARM]],
  ['hoop-330x400', '330 × 400 open frame', [330, 400], [366, 440], 'open frame', 'back', [ARM]],
];

/** `minorA10M`: what ten metres cost, cents. */
const MATERIAL_ROWS: [type: string, name: string, widthMm: number, metresLeft: number, minorA10M: number][] =
  [
    ['cut-away', 'Cut-away, medium, 75 g/m²', 500, 9, 2350],
    ['mesh', 'Light mesh cut-away', 500, 6, 2600],
    ['mesh-fusible', 'Light mesh cut-away, fusible', 500, 4.5, 3100],
    ['tear-away', 'Tear-away, medium', 500, 14, 1650],
    ['tear-away-light-fusible', 'Tear-away, light, fusible', 400, 7, 2400],
    ['tear-away-sticky', 'Tear-away, self-adhesive', 400, 3.2, 3900],
    ['dissolving-fusible', 'Dissolving tear-away, fusible', 400, 2.4, 4400],
    ['dissolving-sticky', 'Dissolving tear-away, self-adhesive', 400, 1.1, 4900],
    ['wash-away-cloth', 'Wash-away cloth', 500, 3, 3600],
    ['soluble-film', 'Water-soluble film', 500, 11, 1400],
    ['heat-away-film', 'Heat-away film', 300, 2, 1900],
    ['soft-cover', 'Soft fusible cover sheet', 400, 2.5, 2800],
  ];

/** Sheets bought to size, and offcuts in the drawer. */
const LOOSE: Record<string, LooseSheets[]> = {
  mesh: [{ widthMm: 300, heightMm: 250, count: 4 }],
  'tear-away-sticky': [{ widthMm: 220, heightMm: 190, count: 1 }],
  'soluble-film': [{ widthMm: 160, heightMm: 140, count: 3 }],
};

/** `minor`: what one costs, cents; of tape, a roll of 20 m. */
const SUPPLY_ROWS: [type: SupplyType, left: number, minor: number][] = [
  ['75-embroidery', 7, 140],
  ['75-ballpoint', 4, 160],
  ['75-sharp', 3, 150],
  ['65', 2, 150],
  ['90', 1, 150],
  ['bobbin-60', 11, 38],
  ['spray', 0.6, 1290],
  ['tape', 14, 340],
];

const THREAD_ROWS =
  `navy #1F3A5F|sea blue #5B86A8|chalk blue #2D6A99|pale sky #B8D3E6|ink #1F2B3A|slate #59626E|dove #A7ADB5|silver grey #C9CDD2|white #FAFAF7|cream #F2E9D8|sand #E8DCC0|straw #E3C878|yellow #E0B33A|mustard #B98A22|amber #D9962B|carrot #D9772B|rust #A94F16|brick #A93F36|signal red #C8322B|coral #E07A63|rose #D9A0A0|blush #EBC9C4|plum #6B3A5B|heather #9A7FA6|lilac #C7B4D6|violet #4D3B73|moss #4C7550|leaf #5F8A63|sage #9DB59A|mint #BFD9C6|bottle #234A35|teal #2C6B6B|petrol #1E4D57|bark #5A3D28|oak #8A5A2B|tan #B88A5E|stone #B9AF9F|graphite #3A3F46|black #16181B|lighthouse red #C4554A`
    .split('|')
    .map((row) => row.split(' #'));

const threads: Thread[] = THREAD_ROWS.map(([name = '', hex = ''], i) => ({
  id: `thread-${String(i + 1).padStart(3, '0')}`,
  name,
  hex: `#${hex}`,
  weight: 40,
  fibre: 'polyester',
  metresLeft: 120 + ((i * 137) % 800),
  paid: { minor: 460, amount: 1000 },
  supplier: 'Capstan Threads',
}));

const BLANK_ROWS: [size: string, chestWidth: number, length: number, shoulder: number, armhole: number][] = [
  ['youth M', 395, 520, 112, 178],
  ['S', 470, 660, 134, 205],
  ['L', 560, 710, 158, 240],
  ['2XL', 640, 760, 180, 268],
];

/** The crest a little nearer the middle than the table has it, as the rowing club likes it. */
const CLUB_CHEST: OwnPlacement = {
  id: 'placement-club-chest',
  name: 'Our club chest',
  base: 'left-chest',
  offset: { x: -10, y: -15 },
  turnDeg: 0,
  atWidthMm: 520,
  school: 'table',
};

/** The shelf of the demo's one-person shop: 10 hoops, 2 machines, 12 materials, 40 threads. */
export const DEMO_SHELF: Shelf = {
  machines: [
    {
      ...USUAL_MACHINE,
      id: FLAT,
      name: 'Single-needle, flat bed',
      throatMm: 240,
      turnStepDeg: 90,
      resize: { leastPercent: 90, mostPercent: 120 },
      fitted: [{ type: '75-embroidery', hours: 5.5 }],
    },
    {
      ...USUAL_MACHINE,
      id: ARM,
      name: 'Six-needle, free arm',
      needles: 6,
      bed: 'free arm',
      bodySide: 'back',
      throatMm: 420,
      stitchesPerMinute: 850,
      fitted: [3, 2.4, 2.4, 1.1, 0.6, 0.2].map((hours) => ({ type: '75-embroidery', hours })),
      bobbinMetres: 110,
    },
  ],
  hoops: HOOP_ROWS.map(([id, name, field, ring, kind, bracket, machineIds]) => ({
    ...USUAL_HOOP,
    id,
    name,
    fieldWidthMm: field[0],
    fieldHeightMm: field[1],
    round: name.startsWith('Round'),
    ringWidthMm: ring[0],
    ringHeightMm: ring[1],
    kind,
    bracket,
    machineIds,
  })),
  materials: MATERIAL_ROWS.map(([type, name, widthMm, metresLeft, minorA10M]) => ({
    id: `material-${type}`,
    type,
    name,
    widthMm,
    metresLeft,
    loose: LOOSE[type] ?? [],
    paid: { minor: minorA10M, amount: 10 },
    supplier: 'Quay Street Haberdashery',
  })),
  threads,
  supplies: SUPPLY_ROWS.map(([type, left, minor]) => ({
    id: `supply-${type}`,
    name: SUPPLIES[type].name,
    type,
    left,
    machineId: null,
    paid: { minor, amount: type === 'tape' ? 20 : 1 },
    supplier: 'Quay Street Haberdashery',
  })),
  fabrics: [
    {
      id: 'fabric-club-interlock',
      name: 'Club interlock, 240 g',
      structure: 'knit',
      surface: 'smooth',
      stretchPercent: 18,
      thicknessMm: 1,
      weightGsm: 240,
      pileMm: 0,
      iron: 'yes',
      mayGetWet: true,
      ringMarks: false,
      seeThrough: false,
    },
  ],
  blanks: BLANK_ROWS.map(([size, chestWidth, length, shoulder, armhole]) => ({
    id: `blank-tee-${size.toLowerCase().replace(' ', '-')}`,
    name: `our ${size} tee`,
    kind: 't-shirt',
    fabricId: 'jersey-tee',
    fabricChanges: {},
    colour: '#C9D6DF',
    readings: { chestWidth, length, shoulder, armhole },
  })),
  placements: [CLUB_CHEST],
};
