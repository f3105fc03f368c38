import { toEnd } from '../../base/inSteps';
import { planTicket } from '../../planner/plan';
import { exampleA, exampleB, SAMPLE_RULES, SAMPLE_SHELF } from '../../testing/samples';
import { whatDecides } from './decides';

it('names the tickets that each rule decides, as their plans say; none without layers', () => {
  const tickets = [exampleA(), exampleB()];
  const decided = toEnd(whatDecides(tickets, SAMPLE_SHELF, SAMPLE_RULES));
  const { layers } = planTicket(exampleA(), SAMPLE_SHELF, SAMPLE_RULES);
  expect(decided.get(layers?.supportRule ?? '')).toContain('Rowing club crest');
  const told = [...decided.values()].flat();
  expect(new Set(told)).toEqual(new Set(['Rowing club crest', 'Guesthouse monogram']));
  expect(toEnd(whatDecides([], SAMPLE_SHELF, SAMPLE_RULES)).size).toBe(0);
});

it('says before each ticket how many it read', () => {
  const work = whatDecides([exampleA(), exampleB()], SAMPLE_SHELF, SAMPLE_RULES);
  expect([work.next().value, work.next().value, work.next().done]).toEqual([
    { read: 0, of: 2 },
    { read: 1, of: 2 },
    true,
  ]);
});
