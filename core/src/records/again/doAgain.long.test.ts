import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import type { LogEntry } from '../../model/logEntry';
import { TicketSchema } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { casesOf } from '../../testing/cases';
import { exampleA, exampleB, SAMPLE_SHELF } from '../../testing/samples';
import { variedJob } from '../../testing/variedTickets';
import { frozenPlan } from '../logbook/frozenPlan';
import { doAgain } from './doAgain';
import { compared, figuresOf, keptPlace } from './figures';

const RULES = DEFAULT_HOUSE_RULES;
const SHOP = { shelf: SAMPLE_SHELF, rules: RULES };
const MM = { system: 'mm' } as const;
const entryOf = (ticket: ReturnType<typeof exampleA>, shop = SHOP): LogEntry => ({
  id: 'entry-of-again',
  loggedAt: '2025-03-01T10:00:00.000Z',
  ticket,
  plan: frozenPlan(planTicket(ticket, shop.shelf, shop.rules)),
  log: ticket.log,
});
const said = (entry: LogEntry, wanted: Parameters<typeof doAgain>[1]['wanted'], shop = SHOP) =>
  doAgain(entry, { id: 'ticket-again', wanted }, shop).differences.map(
    ({ name, was, is }) => `${name}: ${say(was, MM)}, now ${say(is, MM)}`,
  );

it('just as it was, nothing is other, for pieces of every kind', () => {
  for (let seed = 1; seed < casesOf(60, 20); seed += 1) {
    const { ticket, shelf, rules } = variedJob(seed * 13);
    const shop = { shelf, rules };
    const { ticket: next, differences } = doAgain(
      entryOf(ticket, shop),
      { id: 'ticket-again', wanted: { as: 'same' } },
      shop,
    );
    expect(differences).toEqual([]);
    expect(TicketSchema.safeParse(next).success).toBe(true);
    expect(next.stitch.stopsDone).toBe(0);
  }
});

it('a year later, under other rules and with another shelf, it lands where the first one did', () => {
  const entry = entryOf(exampleA());
  const rules: HouseRules = {
    ...RULES,
    schools: { ...RULES.schools, wearableBacking: 'mesh', hold: 'spray' } as HouseRules['schools'],
    numbers: { ...RULES.numbers, mostLayers: 1 },
  };
  const shelf = { ...SAMPLE_SHELF, hoops: [...SAMPLE_SHELF.hoops].reverse() };
  // The piece was measured anew, and lies a little otherwise.
  const { ticket } = doAgain(entry, { id: 'ticket-again', wanted: { as: 'same' } }, { shelf, rules });
  const plan = frozenPlan(planTicket(ticket, shelf, rules));
  const [then, now] = [keptPlace(entry.plan), keptPlace(plan)];
  expect(
    Math.hypot((then?.centre.x ?? 0) - (now?.centre.x ?? 9), (then?.centre.y ?? 0) - (now?.centre.y ?? 9)),
  ).toBeLessThan(0.1);
  const figures = (e: Pick<LogEntry, 'ticket' | 'plan' | 'log'>) =>
    figuresOf(e).map(({ id, value }) => [
      id,
      typeof value === 'number' ? Math.round(value * 10) / 10 : value,
    ]);
  expect(figures({ ticket, plan, log: ticket.log })).toEqual(figures(entry));
  expect(said(entry, { as: 'same' }, { shelf, rules })).toEqual([]);
});

it('what is not on the shelf any more is listed as what it is now', () => {
  const entry = entryOf(exampleA());
  const hoop = entry.plan.hoop?.laid?.verdict.hoop.name;
  const shelf = { ...SAMPLE_SHELF, hoops: SAMPLE_SHELF.hoops.filter(({ name }) => name !== hoop) };
  const lines = said(entry, { as: 'same' }, { shelf, rules: RULES });
  expect(lines.some((line) => line.startsWith(`Hoop: ${hoop}, now `))).toBe(true);
});

it('what was really used goes before what was planned', () => {
  const entry = entryOf(exampleA());
  const used = { ...entry.log.used, topper: 'soluble-film' as const };
  const { ticket } = doAgain(
    { ...entry, log: { ...entry.log, used } },
    { id: 'ticket-again', wanted: { as: 'same' } },
    SHOP,
  );
  expect(planTicket(ticket, SAMPLE_SHELF, RULES).layers?.parts.topper.choice.id).toBe('soluble-film');
});

it('in another size it is placed by the rules for that size, with the same layers, and what follows is listed', () => {
  const entry = entryOf(exampleA());
  const { chestWidth = 500, ...others } = entry.ticket.piece.readings;
  const small = { ...others, chestWidth: chestWidth * 0.7 };
  const { ticket, differences } = doAgain(
    entry,
    { id: 'ticket-again', wanted: { as: 'size', name: 'S', readings: small } },
    SHOP,
  );
  expect(ticket.piece.readings.chestWidth).toBeCloseTo(chestWidth * 0.7, 6);
  expect(differences.map(({ id }) => id)).toContain('across');
  expect(differences.map(({ id }) => id)).not.toContain('stack');
});

it('on another kind of piece it keeps design, cloth and customer', () => {
  const entry = entryOf(exampleB());
  const { ticket, differences } = doAgain(
    entry,
    { id: 'ticket-again', wanted: { as: 'kind', kind: 'hand-towel' } },
    SHOP,
  );
  expect(ticket.piece.kind).toBe('hand-towel');
  expect(ticket.design.parts).toEqual(entry.ticket.design.parts);
  expect(differences.find(({ id }) => id === 'kind')).toMatchObject({ name: 'Piece' });
});

it('an entry of half a plan is made again as far as it was kept', () => {
  const entry = entryOf(exampleA());
  const bare = { ...entry, plan: { ...entry.plan, layers: null, place: null, mount: null, stitch: null } };
  expect(() => doAgain(bare, { id: 'ticket-again', wanted: { as: 'same' } }, SHOP)).not.toThrow();
});

it('compares what differs first, each figure beside the same of the others', () => {
  const [tee, towel] = [entryOf(exampleA()), entryOf(exampleB())];
  const same = compared([
    tee,
    { ...tee, log: { ...tee.log, faults: { puckering: 2 }, minutes: { stitch: 14 } } },
  ]);
  expect(same.filter(({ differs }) => differs).map(({ id }) => id)).toEqual(['outcome', 'minutes stitch']);
  expect(same[1]?.figures.map((figure) => figure && say(figure.said, MM))).toEqual([undefined, '14']);
  const apart = compared([tee, towel]);
  const last = apart.findLastIndex(({ differs }) => differs);
  expect(apart.slice(0, last + 1).every(({ differs }) => differs)).toBe(true);
  expect(apart.some(({ id, differs }) => id === 'cloth' && differs)).toBe(true);
});
