import { isInTheWay } from '../../model/finding';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { EMPTY_SHELF } from '../../model/shelf';
import { applyChange, type Change, type Ticket } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { designed } from '../../testing/designed';
import { SAMPLE_SHELF } from '../../testing/samples';
import { tickOff } from '../deck/done';
import { jobSteps } from '../deck/jobSteps';
import { EXAMPLE_ID, exampleShelf, exampleTicket, GUIDE, guideAt } from './example';

const planned = (ticket: Ticket) => planTicket(ticket, exampleShelf(EMPTY_SHELF), DEFAULT_HOUSE_RULES);
const settle = (stage: Ticket['settled'][number]) => (ticket: Ticket) => ({
  ...ticket,
  settled: [...ticket.settled, stage],
});
const make = (change: Change) => (ticket: Ticket) => applyChange(ticket, change);

/** What the guide says to do, done. */
const HANDS: ((ticket: Ticket) => Ticket)[] = [
  make({ stage: 'piece', set: { readings: { chestWidth: 520.7 } } }),
  (ticket) => designed(ticket, { widthMm: 69.85, heightMm: 50.8 }),
  settle('place'),
  settle('hoop'),
  settle('layers'),
  (ticket) => {
    const step = jobSteps(planned(ticket), DEFAULT_HOUSE_RULES).find((s) => s.phase === 'check');
    const tick = step && tickOff(step, ticket);
    return tick ? applyChange(ticket, tick) : ticket;
  },
  settle('mount'),
];

it('goes on by what it says, a step at a time, and ends with a plan that nothing is in the way of', () => {
  expect(HANDS).toHaveLength(GUIDE.length);
  let ticket = exampleTicket();
  expect(ticket.id).toBe(EXAMPLE_ID);
  HANDS.forEach((hand, i) => {
    expect(guideAt(ticket, planned(ticket))).toBe(i);
    ticket = hand(ticket);
  });
  const plan = planned(ticket);
  expect(guideAt(ticket, plan)).toBe(GUIDE.length);
  expect(plan.findings.filter(isInTheWay)).toEqual([]);
  expect(plan.hoop?.laid?.verdict.hoop.name).toMatch(/100 × 100/);
});

it('goes by the shop’s own shelf where there is one', () => {
  expect(exampleShelf(SAMPLE_SHELF)).toEqual(SAMPLE_SHELF);
  expect(exampleShelf({ ...SAMPLE_SHELF, materials: [] }).hoops).toBe(SAMPLE_SHELF.hoops);
});
