import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import type { Shelf } from '../../model/shelf';
import { applyChange, type Ticket } from '../../model/ticket';
import { hoopingsOn } from '../../planner/hands/hoopings';
import { jobActs } from '../../planner/hands/jobActs';
import { planTicket } from '../../planner/plan';
import { casesOf } from '../../testing/cases';
import { oneDesign } from '../../testing/designed';
import { priced } from '../../testing/priced';
import { exampleA, exampleB, measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import { variedJob } from '../../testing/variedTickets';
import { whatIsCheaper } from './cheaper';
import type { CostOf } from './costLine';
import { isWholeCost, leftOfOrder, orderCost, type TicketCost } from './orderCost';
import { breakEven, leftOf, priceCurve, priceFor } from './price';
import { runFacts, timesOfHands } from './runFacts';
import { spoiltShare } from './spoilt';
import { trueCost } from './trueCost';

const MM = { system: 'mm' } as const;
const RULES: HouseRules = { ...DEFAULT_HOUSE_RULES, units: MM };
const SHELF = priced(SAMPLE_SHELF);
const NOTHING_SEEN = { pieces: 0, spoilt: 0 };

const asked = (ticket: Ticket, shelf: Shelf = SHELF, rules: HouseRules = RULES): CostOf => ({
  ticket,
  plan: planTicket(ticket, shelf, rules),
  shelf,
  rules,
});
const costOf = (of: CostOf, seen = NOTHING_SEEN) => {
  const cost = trueCost(of, spoiltShare(seen, of.rules));
  if (!cost) throw new Error('this one can be costed');
  return cost;
};
const ofPieces = (ticket: Ticket, quantity: number): Ticket => ({
  ...ticket,
  piece: { ...ticket.piece, quantity },
});

const twentyTees = () => ofPieces({ ...exampleA(), blankMinor: 420 }, 20);
const fourTowels = () => ofPieces({ ...exampleB(), blankMinor: 0 }, 4);
function oneTote(): Ticket {
  const bare = measuredTicket('tote', 'clear-face', [90, 80]);
  const navy = { hex: '#1F3A5F', name: 'navy' };
  const colours = [
    { ...navy, stitches: 5000 },
    { hex: '#E0B33A', name: 'yellow', stitches: 2500 },
    { ...navy, stitches: 1500 },
  ];
  return {
    ...bare,
    blankMinor: 350,
    design: oneDesign(bare.design, { stitches: 9000, densityClass: null, colours }),
  };
}
const SIX_NEEDLES: Shelf = {
  ...SHELF,
  machines: SHELF.machines.map((m) => ({ ...m, needles: 6, trims: false, stitchesPerMinute: 800 })),
};

/** Three orders as somebody works them with a spreadsheet: cents, before rounding. 18.00, 4.00 and 1.00 an hour. */
const BY_HAND = [
  {
    called: 'twenty tees',
    of: () => asked(twentyTees()),
    seen: NOTHING_SEEN,
    lines: {
      blank: 20 * 420,
      // 132 × 140 and 25 all round; two abreast across 500, 182 along.
      sheets: ((20 * 0.182) / 2) * 240,
      adhesive: (20 / 60) * 1250,
      // 6400 stitches of 3 mm × 1.15, and 0.6 mm each.
      thread: 20 * (6400 * 0.003 * 1.15 + 6400 * 0.0006) * 0.45,
      bobbin: ((20 * 25.92 * 0.4) / 70) * 30,
      needle: ((20 * 6400) / (8 * 60 * 650)) * 160,
      hoop: 20 * 5,
      // 650 a minute, six trims of 8 s.
      machineWear: ((20 * (6400 / 650 + 0.8)) / 60) * 100,
      // One change of 75 s.
      hands: ((20 * (3 + 3 + 1.5 + 2 + 3 + 1.25)) / 60) * 1800,
      machine: ((20 * (6400 / 650 + 0.8 + 1.25)) / 60) * 400,
      setUp: (15 / 60) * 1800,
    },
    spoilt: 0.6 / 20,
    total: 24149,
  },
  {
    called: 'four towels that were brought',
    of: () => asked(fourTowels()),
    seen: { pieces: 12, spoilt: 1 },
    lines: {
      blank: 0,
      // A patch of 150 three abreast, a sticky sheet of 182 along two abreast, a film of 140 three abreast.
      sheets: 4 * (0.15 / 3 + 0.182 / 2 + 0.14 / 3) * 240,
      // Four strips of tape to a sheet: the field has no room for a basting box.
      adhesive: 4 * 0.24 * (300 / 20),
      thread: 4 * 17_148 * (0.003 * 1.15 + 0.0006) * 0.45,
      bobbin: ((4 * 17_148 * 0.00405 * 0.4) / 70) * 30,
      needle: ((4 * 17_148) / 312_000) * 160,
      hoop: 4 * 5,
      machineWear: ((4 * (17_148 / 650 + 0.4)) / 60) * 100,
      hands: ((4 * (3 + 4 + 1.5 + 2 + 3)) / 60) * 1800,
      machine: ((4 * (17_148 / 650 + 0.4)) / 60) * 400,
      setUp: 450,
    },
    spoilt: (0.6 + 1) / (20 + 12),
    total: 4070,
  },
  {
    called: 'one tote on six needles, trimmed by hand',
    of: () => asked(oneTote(), SIX_NEEDLES),
    seen: { pieces: 12, spoilt: 1 },
    lines: {
      blank: 350,
      thread: 9000 * 0.00405 * 0.45,
      bobbin: ((9000 * 0.00405 * 0.4) / 70) * 30,
      needle: (9000 / (8 * 60 * 800)) * 160,
      hoop: 5,
      // Two changes of 8 s by the machine; nine trims of 20 s by hand.
      machineWear: ((9000 / 800 + 16 / 60) / 60) * 100,
      hands: ((12.5 + 3) / 60) * 1800,
      machine: ((9000 / 800 + 16 / 60 + 3) / 60) * 400,
      setUp: 450,
    },
    spoilt: 1.6 / 32,
    total: 1682,
  },
];

describe.each(BY_HAND)('$called', ({ of, seen, lines, spoilt, total }) => {
  const cost = costOf(of(), seen);
  const exactOf = (id: string) => cost.lines.find((line) => line.id === id)?.exact ?? Number.NaN;

  it.each(Object.entries(lines))('%s is as worked by hand', (id, exact) => {
    // Counts of stitches by area are whole only on paper.
    expect(exactOf(id)).toBeCloseTo(exact, 1);
  });

  it('what is spoilt and overhead are shares of the rest, and all of it is the total', () => {
    const made = Object.values(lines).reduce((sum, exact) => sum + exact, 0) - lines.setUp;
    const again = (made * spoilt) / (1 - spoilt);
    expect(exactOf('spoilt')).toBeCloseTo(again, 1);
    expect(exactOf('overhead')).toBeCloseTo(0.15 * (made + again + lines.setUp), 1);
    expect(cost.lines.map(({ id }) => id)).toEqual([...Object.keys(lines), 'spoilt', 'overhead']);
    expect(cost.totalMinor).toBe(total);
    expect(cost.lines.reduce((sum, { minor }) => sum + minor, 0)).toBe(total);
    expect(cost.lowMinor).toBeLessThan(total);
    expect(cost.highMinor).toBeGreaterThan(total);
    expect(cost.unpriced).toEqual([]);
  });
});

it('every line opens the sum it is', () => {
  const sums = costOf(asked(twentyTees())).lines.map(
    ({ name, sum }) => `${name}: ${sum.map((s) => say(s, MM)).join('; ')}`,
  );
  expect(sums).toContain(
    'Sheets and films, with their waste: Cut-away, medium, 20 of 182 mm × 190 mm, 2 abreast on 500 mm: 1.82 m × €2.40 a metre',
  );
  expect(sums).toContain(
    'Hands: prepare 3 min; hoop 3 min; put on the machine 1.5 min; take off 2 min; finish 3 min; at the machine 1.25 min, each piece; 275 min × €18.00 an hour',
  );
  expect(sums).toContain('Overhead: 15 % of €209.99');
});

it('what has no price is named and not counted, and brought is not unknown', () => {
  const cost = costOf(asked(exampleA(), SAMPLE_SHELF));
  expect(cost.unpriced).toEqual([
    'the bare piece',
    'Cut-away, medium',
    'Temporary spray adhesive',
    'thread, navy',
    'thread, yellow',
    '60 wt bobbin thread',
    'needle, 75/11 ballpoint',
  ]);
  expect(cost.lines.filter(({ id }) => ['blank', 'thread'].includes(id)).map(({ minor }) => minor)).toEqual([
    0, 0,
  ]);
  expect(costOf(asked({ ...exampleA(), blankMinor: 0 })).unpriced).toEqual([]);
  // A second design on the piece of another ticket: its bare piece is counted there.
  const back = costOf(asked({ ...exampleA(), blankMinor: 420, samePieceAs: 'ticket-of-the-front' }));
  expect(back.lines.find(({ id }) => id === 'blank')?.minor).toBe(0);
});

it('a plan that is not done has no cost', () => {
  const bare = measuredTicket('t-shirt', 'left-chest', [400, 400]);
  expect(trueCost(asked(bare), spoiltShare(NOTHING_SEEN, RULES))).toBeNull();
});

it('rates of nothing are counted as free, and say so', () => {
  const rules = { ...RULES, numbers: { handsPerHour: 0, priceStep: 0, marginPercent: 100 } };
  const cost = costOf(asked(twentyTees(), SHELF, rules));
  const hands = cost.lines.find(({ id }) => id === 'hands');
  expect(hands?.minor).toBe(0);
  expect(say(hands?.sum.at(-1) ?? [], MM)).toBe(
    'An hour of hands is set to nothing: 275 min are counted as free',
  );
  expect(priceFor(cost, 20, rules)).toBeNull();
});

describe('prices', () => {
  const cost = costOf(asked(twentyTees()));

  it('leave the wanted margin, rounded up to whole prices', () => {
    const price = priceFor(cost, 20, RULES) ?? 0;
    expect(price).toBe(1750);
    const { marginPercent, naiveMinor, trueMinor } = leftOf(price, cost, 420);
    expect(marginPercent).toBeGreaterThanOrEqual(30);
    expect(naiveMinor).toBe(20 * (1750 - 420));
    expect(trueMinor).toBe(20 * 1750 - cost.totalMinor);
    expect(leftOf(0, cost, 420).marginPercent).toBeNull();
  });

  it('by quantity are what planning that quantity comes to', () => {
    for (const { pieces, costExact } of priceCurve(cost, RULES)) {
      const planned = costOf(asked(ofPieces(twentyTees(), pieces)));
      expect(costExact).toBeCloseTo(planned.eachExact + planned.onceExact / pieces, 6);
      expect(Math.abs(costExact * pieces - planned.totalMinor)).toBeLessThan(planned.lines.length);
    }
  });

  it('break even where what is left first pays the set-up, and not before', () => {
    for (const price of [1182, 1190, 1250, 1500, 2500]) {
      const from = breakEven(price, cost) ?? 0;
      const left = (n: number) => n * (price - cost.eachExact) - cost.onceExact;
      expect(left(from)).toBeGreaterThanOrEqual(-1e-6);
      if (from > 1) expect(left(from - 1)).toBeLessThan(0);
    }
    expect(breakEven(Math.floor(cost.eachExact), cost)).toBeNull();
  });
});

describe('what is spoilt', () => {
  it('is believed until pieces say otherwise', () => {
    expect(spoiltShare(NOTHING_SEEN, RULES).share).toBeCloseTo(0.03, 3);
    const much = spoiltShare({ pieces: 400, spoilt: 40 }, RULES);
    expect(much.share).toBeCloseTo(0.097, 2);
    expect(much.high - much.low).toBeLessThan(0.06);
  });

  it('is taught even to a shop that believes in none, or in nothing else', () => {
    for (const spoiltPercent of [0, 100]) {
      const rules = { ...RULES, numbers: { spoiltPercent } };
      const { low, share, high } = spoiltShare({ pieces: 10, spoilt: 5 }, rules);
      expect(low < share && share < high && high < 1).toBe(true);
    }
  });
});

describe('what is cheaper', () => {
  it('is planned as it would be: nothing is offered that does not save what it says', () => {
    const ticket = twentyTees();
    const blues = oneDesign(ticket.design, {
      colours: [
        { hex: '#1F3A5F', name: 'navy', stitches: null },
        { hex: '#35588A', name: 'mid blue', stitches: null },
      ],
    });
    const [navy] = SHELF.threads;
    const threads = navy ? [navy, { ...navy, id: 'mid', name: 'mid blue', hex: '#35588A' }] : [];
    const of = asked({ ...ticket, design: blues }, { ...SHELF, threads });
    const spoilt = spoiltShare(NOTHING_SEEN, RULES);
    const found = whatIsCheaper(of, spoilt);
    expect(found.map(({ label }) => say(label, MM))).toContain(
      'One colour less: mid blue stitched as navy, 10 apart',
    );
    for (const { change, savesMinor } of found) {
      if (!change) continue;
      const after = asked(applyChange(of.ticket, change), of.shelf);
      expect(costOf(of).totalMinor - costOf(after).totalMinor).toBe(savesMinor);
    }
    expect(found.map(({ savesMinor }) => savesMinor)).toEqual(
      found.map(({ savesMinor }) => savesMinor).sort((a, b) => b - a),
    );
  });

  it('is another roll where less is cut away on it', () => {
    const found = whatIsCheaper(asked(twentyTees()), spoiltShare(NOTHING_SEEN, RULES));
    expect(found.map(({ label }) => say(label, MM))).toContain(
      'cut-away off a roll 750 mm wide, at the same price for its area',
    );
  });

  it('never takes colours that are far apart for one', () => {
    const found = whatIsCheaper(asked(twentyTees()), spoiltShare(NOTHING_SEEN, RULES));
    expect(found.some(({ id }) => id === 'colours')).toBe(false);
  });
});

describe('an order', () => {
  const tees = costOf(asked(twentyTees()));
  const tote = costOf(asked(oneTote(), SIX_NEEDLES));
  const order = (tickets: TicketCost[]) => orderCost(tickets, RULES);

  it('is the sum of its tickets, and says what a price leaves by habit and in truth', () => {
    const both = order([
      { id: 'tees', name: 'Tees', cost: tees },
      { id: 'tote', name: 'Tote', cost: tote },
    ]);
    expect([both.totalMinor, both.pieces, both.blankMinor]).toEqual([24149 + tote.totalMinor, 21, 8750]);
    expect(isWholeCost(both)).toBe(true);
    const left = leftOfOrder(40_000, both);
    expect([left.naiveMinor, left.trueMinor]).toEqual([31_250, 40_000 - both.totalMinor]);
    expect(left.marginPercent).toBeCloseTo((100 * left.trueMinor) / 40_000, 9);
    expect(leftOfOrder(0, both).marginPercent).toBeNull();
  });

  it('of which a ticket is not planned, or a thing not priced, is not whole', () => {
    const some = order([
      { id: 'tees', name: 'Tees', cost: tees },
      { id: 'bag', name: 'Bag', cost: null },
    ]);
    expect([isWholeCost(some), some.wantedMinor]).toEqual([false, null]);
    const bare = costOf(asked(exampleA(), SAMPLE_SHELF));
    expect(isWholeCost(order([{ id: 'tee', name: 'Tee', cost: bare }]))).toBe(false);
  });
});

it('hands are counted by the acts of the job: every laying into the hoop, latching and taking off', () => {
  const timesOf = (ticket: Ticket) => {
    const plan = planTicket(ticket, SAMPLE_SHELF, RULES);
    return { plan, times: timesOfHands(jobActs(plan, RULES)) };
  };
  expect(timesOf(exampleA()).times).toEqual({ hooped: 1, latched: 1, takenOff: 1 });
  const corners = measuredTicket('bread-cloth', 'four-corners', [60, 40]);
  expect(timesOf(corners).times).toEqual({ hooped: 4, latched: 4, takenOff: 4 });
  let [jobs, again] = [0, 0];
  for (let n = 0; n < casesOf(700, 60); n += 1) {
    const { ticket, shelf, rules } = variedJob(n);
    const plan = planTicket(ticket, shelf, rules);
    const run = runFacts(plan, rules);
    if (!run) continue;
    const hoopings = hoopingsOn(plan);
    const split = plan.hoop?.laid?.split?.split;
    jobs += 1;
    again += hoopings > 1 ? 1 : 0;
    // A hoop that is latched in another place keeps its piece.
    const places = split?.byPositions && plan.mount ? split.parts.length : 1;
    const timesOfWhat = Object.fromEntries(run.hands.map(({ what, times }) => [what, times]));
    expect([n, run.hoopings, timesOfWhat]).toEqual([
      n,
      hoopings,
      {
        prepare: 1,
        [plan.hoop?.method === 'floated' ? 'float' : 'hoop']: hoopings,
        'put on the machine': hoopings * places,
        'take off': hoopings,
        finish: 1,
      },
    ]);
  }
  expect([jobs > casesOf(300, 24), again > casesOf(20, 1)]).toEqual([true, true]);
});
