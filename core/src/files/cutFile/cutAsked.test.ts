import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import type { Ticket } from '../../model/ticket';
import { USUAL_APPLIQUE } from '../../model/ticket/applique';
import { planTicket } from '../../planner/plan';
import { appliqued } from '../../testing/appliqued';
import { named, plainSetting } from '../../testing/named';
import { exampleA, SAMPLE_SHELF } from '../../testing/samples';
import { cutAskedOf } from './cutAsked';

const RULES = DEFAULT_HOUSE_RULES;
const askedOf = (ticket: Ticket) => cutAskedOf(ticket, planTicket(ticket, SAMPLE_SHELF, RULES), RULES);

it('is nothing of thread alone, and of cloth as often as there are pieces', () => {
  expect(askedOf(exampleA())).toBeNull();
  const of = (quantity: number): Ticket => ({
    ...exampleA(),
    piece: { ...exampleA().piece, quantity },
    design: { ...exampleA().design, parts: [appliqued()] },
  });
  expect([askedOf(of(1))?.times, askedOf(of(5))?.times]).toEqual([1, 5]);
  expect(askedOf(of(5))?.facts.cloths).toHaveLength(2);
});

it('of an order of names is every name once, called by it', async () => {
  const plain = named(exampleA(), ['Ann', 'Bo'], { setting: await plainSetting() });
  const ticket: Ticket = {
    ...plain,
    design: {
      ...plain.design,
      parts: plain.design.parts.map((part) => ({ ...part, appliques: [{ ...USUAL_APPLIQUE, stop: 0 }] })),
    },
  };
  const asked = askedOf(ticket);
  expect(asked?.times).toBe(1);
  expect(asked?.facts.cloths.map(({ name }) => name)).toEqual(['Ann 1', 'Ann 2', 'Ann 3', 'Bo 1', 'Bo 2']);
  const { findings } = planTicket(ticket, SAMPLE_SHELF, RULES);
  expect(findings.filter(({ code }) => code === 'design-applique-gone')).toEqual([]);
});
