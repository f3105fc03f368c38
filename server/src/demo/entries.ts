import type { HouseRules } from '@zt/core/model/houseRules';
import type { LogEntry } from '@zt/core/model/logEntry';
import type { Shelf } from '@zt/core/model/shelf';
import type { LogInput } from '@zt/core/model/ticket/log';
import { planTicket } from '@zt/core/planner/plan';
import { frozenPlan } from '@zt/core/records/logbook/frozenPlan';
import type { DrawingId } from './designs';
import { loggedTicket } from './tickets';

type Row = [
  daysAgo: number,
  kind: 't-shirt' | 'bath-towel' | 'hand-towel',
  name: string,
  drawing: DrawingId,
  fabricId: string,
  colour: string,
  faults: LogInput['faults'],
  misplacementMm: number | null,
  note: string,
];

/** Twenty pieces of the last weeks, with what went well and what did not. */
const ROWS: Row[] = [
  [2, 't-shirt', 'Crew tee, crossed oars', 'oars', 'jersey-tee', '#C9D6DF', {}, 1, 'Flat. Bonded first.'],
  [
    3,
    't-shirt',
    'Crew tee, crossed oars',
    'oars',
    'jersey-tee',
    '#C9D6DF',
    { puckering: 1 },
    2,
    'A little tight below the left blade.',
  ],
  [
    4,
    'bath-towel',
    'Bath towel, monogram',
    'monogram',
    'terry-towel',
    '#E8DCC0',
    {},
    0,
    'Film came off in one piece.',
  ],
  [
    5,
    'bath-towel',
    'Bath towel, monogram',
    'monogram',
    'terry-towel',
    '#2E3D50',
    { 'show-through': 2 },
    1,
    'Dark loops shine through. Permanent film next time.',
  ],
  [
    6,
    'hand-towel',
    'Hand towel, carrot',
    'carrot',
    'waffle-towel',
    '#EFE6D2',
    { sinking: 1 },
    3,
    'Film too short on the left.',
  ],
  [8, 't-shirt', 'Practice tee, paw', 'paw', 'pique-polo', '#DCE7DA', {}, 1, ''],
  [
    9,
    't-shirt',
    'Practice tee, paw',
    'paw',
    'pique-polo',
    '#DCE7DA',
    { 'off-place': 2 },
    9,
    'Only the centre was marked; it turned in the ring.',
  ],
  [10, 't-shirt', 'Library volunteer tee', 'book', 'thick-tee', '#F3EAD7', {}, 2, ''],
  [
    11,
    't-shirt',
    'Library volunteer tee',
    'book',
    'thick-tee',
    '#F3EAD7',
    { 'backing-edge': 1 },
    2,
    'Trimmed with a corner.',
  ],
  [13, 'bath-towel', 'Pool towel, gull', 'gull', 'terry-towel', '#B8D3E6', {}, 1, ''],
  [
    14,
    'bath-towel',
    'Pool towel, gull',
    'gull',
    'terry-towel',
    '#B8D3E6',
    { gaps: 2 },
    4,
    'Not basted. Never again.',
  ],
  [16, 'hand-towel', 'Guest towel, monogram', 'monogram', 'terry-towel', '#FAFAF7', {}, 0, ''],
  [
    18,
    't-shirt',
    'Regatta tee, gull',
    'gull',
    'jersey-tee',
    '#FAFAF7',
    { puckering: 3 },
    3,
    'Stretched it after closing. Spoilt.',
  ],
  [
    19,
    't-shirt',
    'Regatta tee, gull',
    'gull',
    'jersey-tee',
    '#FAFAF7',
    { puckering: 1 },
    1,
    'Bonded to mesh: better.',
  ],
  [21, 't-shirt', 'Fleece, paw', 'paw', 'sweatshirt-fleece', '#59626E', {}, 2, ''],
  [
    23,
    't-shirt',
    'Fleece, paw',
    'paw',
    'sweatshirt-fleece',
    '#59626E',
    { 'needle-break': 1 },
    2,
    'Adhesive on the needle.',
  ],
  [25, 'hand-towel', 'Tea towel, carrot', 'carrot', 'linen', '#F2E9D8', {}, 1, ''],
  [
    27,
    'hand-towel',
    'Tea towel, carrot',
    'carrot',
    'linen',
    '#F2E9D8',
    { 'ring-marks': 1 },
    1,
    'Hooped it. Float it.',
  ],
  [30, 't-shirt', 'Crew tee, crossed oars', 'oars', 'thin-jersey', '#FAFAF7', { 'show-through': 1 }, 2, ''],
  [33, 't-shirt', 'Crew tee, crossed oars', 'oars', 'jersey-tee', '#1F3A5F', {}, 1, ''],
];

const CUSTOMERS: Record<DrawingId, string> = {
  oars: 'Pennyscar Rowing Club',
  monogram: 'Lantern House guesthouse',
  paw: 'Harbour Road veterinary practice',
  book: 'Pennyscar Library',
  carrot: 'Slipway Allotment Society',
  gull: 'Market stall',
  hare: 'Harbour Road veterinary practice',
  threeGulls: 'Lantern House guesthouse',
  lighthouse: 'Market stall',
};

const DAY_MS = 86_400_000;

/** So far off in all, mostly too low, now to the left and now to the right. */
function offFor(mm: number | null, i: number): LogInput['off'] {
  const [right, down] = [
    [0.6, 0.8],
    [-0.6, 0.8],
    [0.8, 0.6],
    [-0.28, -0.96],
  ][i % 4] ?? [0, 1];
  const tenth = (share: number) => Math.round(share * (mm ?? 0) * 10) / 10;
  return mm === null
    ? { right: null, down: null, endDown: null }
    : { right: tenth(right ?? 0), down: tenth(down ?? 1), endDown: null };
}

export function demoEntries(shelf: Shelf, rules: HouseRules, now: Date): LogEntry[] {
  return ROWS.map(([daysAgo, kind, name, drawing, fabricId, colour, faults, misplacementMm, note], i) => {
    const number = String(i + 1).padStart(2, '0');
    const ticket = loggedTicket(
      { kind, name, customer: CUSTOMERS[drawing], drawing, fabricId, colour, scale: 100 },
      `demo-logged-${number}`,
      rules,
    );
    const log: LogInput = {
      ...ticket.log,
      faults,
      off: offFor(misplacementMm, i),
      note,
      minutes: { place: 6, hoop: 5, stitch: 14 + (i % 7), finish: 6 },
      by: 'Ottilie',
    };
    return {
      id: `demo-entry-${number}`,
      loggedAt: new Date(now.getTime() - daysAgo * DAY_MS).toISOString(),
      ticket: { ...ticket, log },
      plan: frozenPlan(planTicket(ticket, shelf, rules)),
      log,
    };
  });
}
