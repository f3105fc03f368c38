import { USUAL_HOOP, USUAL_MACHINE } from '../catalogue/presets';
import type { HouseRules } from '../model/houseRules';
import { DEFAULT_HOUSE_RULES } from '../model/houseRules';
import type { PieceKindId } from '../model/pieceKindIds';
import type { Hoop, Machine, Shelf } from '../model/shelf';
import type { Ticket } from '../model/ticket';
import type { Artwork } from '../model/ticket/artwork';
import type { Sheet } from '../model/ticket/layers';
import { newTicket } from '../planner/newTicket';
import { PIECE_KINDS } from '../stages/piece/kinds';
import { designed, oneDesign } from './designed';

/** The worked examples and a small shelf, shared by tests and the benchmark. */

const machine = (id: string, rest: Partial<Machine>): Machine => ({
  ...USUAL_MACHINE,
  id,
  name: 'Single-needle, flat bed',
  fitted: [{ type: null, hours: 2 }],
  ...rest,
});

export const hoop = (
  id: string,
  field: [number, number],
  ring: [number, number],
  rest: Partial<Hoop> = {},
): Hoop => ({
  ...USUAL_HOOP,
  id,
  name: `${field[0]} × ${field[1]} screw hoop`,
  fieldWidthMm: field[0],
  fieldHeightMm: field[1],
  round: false,
  ringWidthMm: ring[0],
  ringHeightMm: ring[1],
  kind: 'screw',
  machineIds: ['machine-flat'],
  ...rest,
});

export const SAMPLE_SHELF: Shelf = {
  machines: [machine('machine-flat', {})],
  hoops: [
    hoop('hoop-60x40', [60, 40], [84, 72]),
    hoop('hoop-100x100', [100, 100], [132, 140]),
    hoop('hoop-130x180', [130, 180], [164, 222]),
    hoop('hoop-round150', [150, 150], [178, 178], { round: true, name: 'Round 150 screw hoop' }),
    hoop('hoop-200x200', [200, 200], [236, 240], { kind: 'magnetic', name: '200 × 200 magnetic hoop' }),
  ],
  materials: [
    'cut-away',
    'mesh-fusible',
    'tear-away',
    'tear-away-light-fusible',
    'tear-away-sticky',
    'soluble-film',
  ].map((type, i) => ({ id: `material-${i}`, name: type, type, widthMm: 500, metresLeft: 8, loose: [] })),
  threads: [
    { id: 'thread-navy', name: 'navy', hex: '#1F3A5F', weight: 40, fibre: 'polyester', metresLeft: 800 },
    { id: 'thread-yellow', name: 'yellow', hex: '#E0B33A', weight: 40, fibre: 'polyester', metresLeft: 400 },
  ],
  supplies: [],
  fabrics: [],
  blanks: [],
  placements: [],
};

/** A sheet held so; in the ring, neither bonded nor fastened, unless it is said. */
export const sheet = (
  stabilizer: Sheet['stabilizer'],
  where: Sheet['where'] = 'in the ring',
  bond: Sheet['bond'] = 'none',
  fastening: Sheet['fastening'] = 'none',
): Sheet => ({ stabilizer, where, bond, fastening });

/** Every reading of a kind at its usual length. */
export const typicalReadings = (kind: PieceKindId): Record<string, number> =>
  Object.fromEntries(PIECE_KINDS[kind].readings.map((r) => [r.id, r.typicalMm]));

/** A ticket for a kind, measured as usual, with a plain design of this size in mm. */
export function measuredTicket(
  kind: PieceKindId,
  placement: string,
  [width, height]: [number, number],
): Ticket {
  const bare = newTicket(`ticket-${kind}`, kind);
  return {
    ...bare,
    piece: { ...bare.piece, readings: typicalReadings(kind) },
    design: oneDesign(bare.design, { widthMm: width, heightMm: height, densityClass: 'light' }),
    place: { ...bare.place, placement },
  };
}

export const SAMPLE_RULES: HouseRules = DEFAULT_HOUSE_RULES;

/** T-shirt, 20 1/2 in underarm to underarm, left chest, 88 × 51 mm with 6 400 stitches in two colours. */
export function exampleA(): Ticket {
  const bare = newTicket('ticket-example-a', 't-shirt');
  return {
    ...bare,
    name: 'Rowing club crest',
    piece: {
      ...bare.piece,
      fabricId: 'jersey-tee',
      fabricChanges: { weightGsm: 170 },
      readings: { chestWidth: 20.5 * 25.4, length: 620, shoulder: 145, armhole: 220 },
    },
    design: oneDesign(bare.design, {
      name: 'Crossed oars',
      widthMm: 88,
      heightMm: 51,
      stitches: 6400,
      colours: [
        { hex: '#1F3A5F', name: 'navy', stitches: null },
        { hex: '#E0B33A', name: 'yellow', stitches: null },
      ],
    }),
    place: { ...bare.place, placement: 'left-chest' },
  };
}

/** Bath towel 68 cm wide, band 60 mm high whose far edge is 90 mm from the hem, dense monogram 95 × 95 mm. */
export function exampleB(): Ticket {
  const bare = newTicket('ticket-example-b', 'bath-towel');
  return {
    ...bare,
    name: 'Guesthouse monogram',
    piece: {
      ...bare.piece,
      fabricId: 'terry-towel',
      colour: '#E8DCC0',
      readings: { width: 680, length: 1350, bandHeight: 60, bandTop: 90 },
    },
    design: oneDesign(bare.design, {
      name: 'Monogram',
      widthMm: 95,
      heightMm: 95,
      stitches: null,
      densityClass: 'heavy',
      lettering: true,
      letterHeightMm: 80,
      colours: [{ hex: '#5B86A8', name: 'sea blue', stitches: null }],
    }),
    place: { ...bare.place, placement: 'above-border' },
  };
}

/** A drawing of two squares of 40 mm with 40 mm between them: two elements. */
export const TWO_SQUARES: Artwork = {
  fileName: 'two.svg',
  paths: [
    { d: 'M-60 -20L-20 -20L-20 20L-60 20Z', stop: 0, strokeMm: null },
    { d: 'M20 -20L60 -20L60 20L20 20Z', stop: 1, strokeMm: null },
  ],
  hull: [
    { x: -60, y: -20 },
    { x: 60, y: -20 },
    { x: 60, y: 20 },
    { x: -60, y: 20 },
  ],
  fileCentre: { x: 0, y: 0 },
  remarks: [],
  letters: [],
  madeFrom: '',
  source: null,
};

/** A T-shirt with two leaves side by side, 120 × 40 mm. */
export function twoLeaves(): Ticket {
  return designed(exampleA(), { widthMm: 120, heightMm: 40, stitches: 5000, artwork: TWO_SQUARES });
}
