import type { HouseRules } from '@zt/core/model/houseRules';
import { EMPTY_SHELF } from '@zt/core/model/shelf';
import { STAGES, type Stage } from '@zt/core/model/stages';
import type { Ticket } from '@zt/core/model/ticket';
import type { Part } from '@zt/core/model/ticket/part';
import { newTicket } from '@zt/core/planner/newTicket';
import { planTicket } from '@zt/core/planner/plan';
import { scatterAll } from '@zt/core/stages/place/scatter';
import { scatterQuestionFor } from '@zt/core/stages/place/scatterQuestion';
import { type DrawingId, drawnDesign } from './designs';
import { demoOrderOf } from './orders';

type Kind = Ticket['piece']['kind'];
type Overrides = { [S in Exclude<Stage, 'design'>]?: Partial<Ticket[S]> } & {
  design?: Partial<Omit<Ticket['design'], 'parts'>>;
  /** What is said of the one part of its design. */
  part?: Partial<Part>;
};

interface DemoTicket extends Overrides {
  kind: Kind;
  name: string;
  customer: string;
  /** Days from today. */
  dueIn: number | null;
  drawing?: DrawingId;
  /** What one bare piece costs, cents; left out where nobody has said yet. */
  blankMinor?: number;
  /** Every stage before this one is settled. */
  at: Stage;
}

const TEE = { chestWidth: 520.7, length: 640, shoulder: 148, armhole: 225 };
const TOWEL = { width: 680, length: 1350, bandHeight: 60, bandTop: 90 };
const HAND = { width: 480, length: 900, bandHeight: 45, bandTop: 70 };

/** A week in a one-person shop in Pennyscar, a seaside town of our own. */
const TICKETS: DemoTicket[] = [
  {
    kind: 't-shirt',
    blankMinor: 480,
    name: 'Crew tee, crossed oars',
    customer: 'Pennyscar Rowing Club',
    dueIn: 2,
    drawing: 'oars',
    at: 'hoop',
    piece: {
      readings: TEE,
      colour: '#C9D6DF',
      sizes: [
        { name: 'youth M', count: 1, readings: { chestWidth: 395, length: 520 } },
        { name: 'S', count: 1, readings: { chestWidth: 470, length: 600 } },
        { name: 'L', count: 1, readings: { chestWidth: 560, length: 690 } },
        { name: '2XL', count: 1, readings: { chestWidth: 640, length: 760 } },
      ],
    },
    design: { scalePercent: 100 },
  },
  {
    kind: 'bath-towel',
    blankMinor: 1150,
    name: 'Bath towel, monogram',
    customer: 'Lantern House guesthouse',
    dueIn: 3,
    drawing: 'monogram',
    at: 'layers',
    piece: { readings: TOWEL, colour: '#E8DCC0' },
  },
  {
    kind: 't-shirt',
    blankMinor: 480,
    name: 'Practice tee, paw',
    customer: 'Harbour Road veterinary practice',
    dueIn: 1,
    drawing: 'paw',
    at: 'stitch',
    piece: { fabricId: 'pique-polo', readings: { ...TEE, chestWidth: 480, length: 610 }, colour: '#DCE7DA' },
    stitch: { bobbinLeftM: 1.6 },
  },
  {
    kind: 't-shirt',
    blankMinor: 480,
    name: 'Reading hour tee',
    customer: 'Pennyscar Library',
    dueIn: 6,
    drawing: 'book',
    at: 'place',
    piece: {
      fabricId: 'thick-tee',
      readings: { chestWidth: 385, length: 500, shoulder: 110, armhole: 175 },
      colour: '#F3EAD7',
    },
    // As the machine counts it.
    part: { stitches: 3400 },
    place: { placement: 'centre-chest' },
  },
  {
    kind: 'hand-towel',
    name: 'Allotment hand towel',
    customer: 'Slipway Allotment Society',
    dueIn: 5,
    drawing: 'carrot',
    at: 'place',
    piece: { fabricId: 'waffle-towel', readings: HAND, colour: '#EFE6D2' },
    place: { offset: { x: 0, y: 42 } },
  },
  {
    kind: 't-shirt',
    blankMinor: 480,
    name: 'Regatta tee, lighthouse',
    customer: 'Pennyscar Rowing Club',
    dueIn: 9,
    drawing: 'lighthouse',
    at: 'hoop',
    piece: { readings: { ...TEE, chestWidth: 575, length: 700, armhole: 240 }, colour: '#E3DCCB' },
    place: { placement: 'centre-chest' },
    hoop: { hoopId: 'hoop-130x180' },
  },
  {
    kind: 't-shirt',
    blankMinor: 480,
    name: 'Leaning tee, gull',
    customer: 'Market stall',
    dueIn: 8,
    drawing: 'gull',
    at: 'place',
    piece: {
      readings: { ...TEE, chestWidth: 560, length: 690 },
      colour: '#E5E0D4',
      evenness: [
        { atMm: 150, leftMm: 274, rightMm: 286 },
        { atMm: 450, leftMm: 268, rightMm: 292 },
      ],
    },
    place: { placement: 'centre-chest' },
  },
  {
    kind: 'hand-towel',
    name: 'Guest hand towel',
    customer: 'Lantern House guesthouse',
    dueIn: 4,
    at: 'piece',
    piece: { readings: { width: 480, bandHeight: 45 } },
    design: { name: 'LH, small' },
    part: {
      widthMm: 60,
      heightMm: 60,
      densityClass: 'medium',
      lettering: true,
      letterHeightMm: 32,
    },
  },
  {
    kind: 'bath-towel',
    blankMinor: 1150,
    name: 'Sauna towel, gull',
    customer: 'Lantern House guesthouse',
    dueIn: null,
    drawing: 'gull',
    at: 'log',
    piece: { readings: { ...TOWEL, width: 700 }, colour: '#D5DEE2' },
  },
  {
    kind: 'hoodie',
    name: 'Coxswain’s hoodie',
    customer: 'Pennyscar Rowing Club',
    dueIn: 7,
    drawing: 'oars',
    at: 'place',
    piece: {
      readings: {
        chestWidth: 545,
        length: 655,
        shoulder: 152,
        armhole: 240,
        hemWidth: 490,
        pocketTop: 390,
        pocketWidth: 215,
      },
      colour: '#1F3A5F',
    },
  },
  {
    kind: 'skirt-hem',
    name: 'Market skirt, gull border',
    customer: 'Market stall',
    dueIn: 10,
    drawing: 'gull',
    at: 'place',
    piece: { readings: { circumference: 1480, hemDepth: 30 }, colour: '#DCE7DA' },
    place: { repeat: { gapMm: 35, marginMm: null, keep: 'gap' } },
  },
  {
    kind: 'bread-cloth',
    name: 'Bread cloth, four carrots',
    customer: 'Slipway Allotment Society',
    dueIn: 11,
    drawing: 'carrot',
    at: 'place',
    piece: { readings: { width: 460, length: 460, hemDepth: 15 }, colour: '#EFE6D2' },
    design: { scalePercent: 90 },
    place: { placement: 'four-corners-diagonal' },
  },
  {
    kind: 'panel',
    name: 'Scattered paws, child’s skirt',
    customer: 'Harbour Road veterinary practice',
    dueIn: 12,
    drawing: 'paw',
    at: 'place',
    piece: {
      readings: {
        panelWidth: 760,
        panelHeight: 560,
        patternTop: 420,
        patternFoot: 660,
        patternHeight: 480,
        seam: 15,
      },
      colour: '#EBC9C4',
    },
    place: { placement: 'scatter' },
  },
  {
    kind: 'bib',
    name: 'Bib, sitting hare',
    customer: 'Harbour Road veterinary practice',
    dueIn: 13,
    drawing: 'hare',
    at: 'hoop',
    piece: { fabricId: 'stable-cotton', readings: { width: 260, drop: 200 }, colour: '#DCE7DA' },
    place: { offset: { x: 0, y: -36 } },
    hoop: { method: 'hooped', methodWhy: 'It is washed often', hoopId: 'hoop-100x100' },
  },
  {
    kind: 'napkin',
    name: 'Napkin, three gulls',
    customer: 'Lantern House guesthouse',
    dueIn: 14,
    drawing: 'threeGulls',
    at: 'hoop',
    piece: { readings: { width: 420, length: 420, hemDepth: 12 }, colour: '#FAFAF7' },
    hoop: { hoopId: 'hoop-100x100' },
  },
];
export function isoDay(now: Date, days: number): string {
  const day = new Date(now);
  day.setUTCDate(day.getUTCDate() + days);
  return day.toISOString().slice(0, 10);
}

/** The place with its motifs scattered, as the app's own search does it. */
function scatteredPlace(ticket: Ticket, rules: HouseRules): Ticket['place'] {
  const { design, piece } = planTicket(ticket, EMPTY_SHELF, rules);
  if (!design.facts || !piece.geometry)
    throw new Error('assertion failed: the demo’s panel can be scattered on');
  const scatter = { ...ticket.place.scatter, count: 14, seed: 7, turns: 'any' as const };
  const question = scatterQuestionFor({ facts: design.facts, outline: piece.geometry }, scatter, rules);
  return { ...ticket.place, scatter: { ...scatter, spots: scatterAll(question).spots } };
}

function build(demo: DemoTicket, id: string, rules: HouseRules, now: Date): Ticket {
  const { kind, name, customer, dueIn, drawing, at, part, blankMinor = null, ...stages } = demo;
  const bare = newTicket(id, kind);
  const cloth = stages.piece?.colour ?? bare.piece.colour;
  const whole = drawing ? { ...bare.design, ...drawnDesign(drawing, { rules, cloth }) } : bare.design;
  const drawn = { ...whole, parts: whole.parts.map((own) => ({ ...own, ...part })) };
  const changed = Object.fromEntries(
    STAGES.map((stage) => [stage, { ...(stage === 'design' ? drawn : bare[stage]), ...stages[stage] }]),
  ) as Pick<Ticket, Stage>;
  return {
    ...bare,
    ...changed,
    place:
      changed.place.placement === 'scatter' ? scatteredPlace({ ...bare, ...changed }, rules) : changed.place,
    name,
    customer,
    due: dueIn === null ? null : isoDay(now, dueIn),
    orderId: at === 'log' ? null : demoOrderOf(customer),
    blankMinor,
    settled: STAGES.slice(0, STAGES.indexOf(at)),
  };
}

export function demoTickets(rules: HouseRules, now: Date): Ticket[] {
  return TICKETS.map((demo, i) => build(demo, `demo-ticket-${String(i + 1).padStart(2, '0')}`, rules, now));
}

/** What the logbook's pieces were; outcomes come from `entries.ts`. */
export function loggedTicket(
  row: {
    kind: Kind;
    name: string;
    customer: string;
    drawing: DrawingId;
    fabricId: string;
    colour: string;
    scale: number;
  },
  id: string,
  rules: HouseRules,
): Ticket {
  const worn = row.kind === 't-shirt';
  const readings = worn ? TEE : row.kind === 'bath-towel' ? TOWEL : HAND;
  const demo: DemoTicket = {
    kind: row.kind,
    name: row.name,
    customer: row.customer,
    dueIn: null,
    drawing: row.drawing,
    at: 'log',
    piece: { fabricId: row.fabricId, colour: row.colour, readings },
    design: { scalePercent: row.scale },
  };
  const ticket = build(demo, id, rules, new Date(0));
  return { ...ticket, settled: [...STAGES] };
}
