import fc from 'fast-check';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { applyChange, type Ticket, TicketSchema } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { exampleA, exampleB, SAMPLE_SHELF } from '../../testing/samples';
import { isDone, nextToDo, tickOff } from './done';
import { jobSteps } from './jobSteps';

const RULES = DEFAULT_HOUSE_RULES;
const stepsOf = (ticket: Ticket) => jobSteps(planTicket(ticket, SAMPLE_SHELF, RULES), RULES);

/** The ticket after the step that is next was gone through. */
function goneOn(ticket: Ticket): Ticket {
  const step = stepsOf(ticket)[nextToDo(stepsOf(ticket), ticket)];
  const change = step && tickOff(step, ticket);
  return change ? applyChange(ticket, change) : ticket;
}

it.each([exampleA(), exampleB()])('going through the job ticks every step of it, each once', (begun) => {
  let ticket = begun;
  const steps = stepsOf(ticket);
  const open = steps.filter((step) => !isDone(step, ticket)).length;
  expect(open).toBeGreaterThan(10);
  for (let i = 0; i < open; i += 1) {
    expect(nextToDo(steps, ticket)).toBeLessThan(steps.length);
    ticket = goneOn(ticket);
  }
  expect(nextToDo(steps, ticket)).toBe(steps.length);
  expect(TicketSchema.parse(ticket)).toEqual(ticket);
  // Nothing else of it changed: the job is the same.
  expect(stepsOf(ticket)).toEqual(steps);
});

it('what was marked at another figure is not marked any more, and the checks stay', () => {
  let ticket = exampleA();
  for (let i = 0; i < 60; i += 1) ticket = goneOn(ticket);
  const moved = applyChange(ticket, { stage: 'place', set: { offset: { x: 0, y: 12 } } });
  const again = stepsOf(moved).filter((step) => !isDone(step, moved));
  expect(again.map(({ phase }) => phase)).toContain('mark');
  expect(again.map(({ phase }) => phase)).not.toContain('check');
  // Moved back, it stands as it was chalked.
  const back = applyChange(moved, { stage: 'place', set: { offset: ticket.place.offset } });
  expect(stepsOf(back).every((step) => isDone(step, back))).toBe(true);
  // Marked anew, the earlier mark counts no more.
  let anew = moved;
  for (let i = 0; i < 60; i += 1) anew = goneOn(anew);
  const old = applyChange(anew, { stage: 'place', set: { offset: ticket.place.offset } });
  expect(stepsOf(old).every((step) => isDone(step, old))).toBe(false);
});

it('ticked in whatever order, each stays ticked', () => {
  const steps = stepsOf(exampleA()).filter(({ phase }) => phase !== 'stitch');
  fc.assert(
    fc.property(fc.shuffledSubarray(steps), (some) => {
      const ticket = some.reduce((t, step) => {
        const change = tickOff(step, t);
        return change ? applyChange(t, change) : t;
      }, exampleA());
      expect(some.every((step) => isDone(step, ticket))).toBe(true);
      expect(TicketSchema.safeParse(ticket).success).toBe(true);
    }),
    { numRuns: 100 },
  );
});
