import type { HouseRules } from '../model/houseRules';
import type { Shelf } from '../model/shelf';
import type { Ticket } from '../model/ticket';
import { nameInHand, namesOf, withRowOnTable } from '../planner/onTable';
import { planTicket } from '../planner/plan';
import type { Plan } from '../planner/planned';
import { calledName } from '../stages/design/names/onTable';
import type { PaperDrawing } from './drawing';
import { placementRuler } from './placementRuler';
import { rulerSlots } from './rulerSlots';
import { sheetDrawing } from './sheetDrawing';
import { templateDrawing } from './templateDrawing';
import { traceDrawing } from './traceDrawing';

/** What is printed: a ticket with its plan against a shop. */
export interface Printed {
  ticket: Ticket;
  plan: Plan;
  shelf: Shelf;
  rules: HouseRules;
}

/** A drawing at true size, or why there is nothing to draw yet. */
export type Paper =
  | { ok: true; drawing: PaperDrawing }
  | { ok: false; code: 'not-placed' | 'not-hooped'; why: string };

const NOT_PLACED: Paper = {
  ok: false,
  code: 'not-placed',
  why: 'There is nothing to print yet: piece, design and place must be right first. The ticket is as it was.',
};
const NOT_HOOPED: Paper = {
  ok: false,
  code: 'not-hooped',
  why: 'There is no path yet: no hoop on the shelf takes this design.',
};

const drawn = (drawing: PaperDrawing): Paper => ({ ok: true, drawing });

/** The paper template, the placement ruler, the pattern sheet, and the boundary that the needle follows. */
export const PAPER = {
  template: ({ ticket, plan, rules }) => {
    const { place, design } = plan;
    if (!design.facts || !place) return NOT_PLACED;
    const inHand = nameInHand(ticket);
    const words = [inHand ? calledName(inHand.row) : '', ticket.name, ticket.design.name];
    const name = words.filter(Boolean).join(', ') || 'Design';
    const where = place.placement.name.toLowerCase();
    return drawn(templateDrawing(design.facts, place, { name, where, units: rules.units }));
  },
  ruler: ({ ticket, plan, shelf, rules }) => {
    const { place, piece } = plan;
    if (!plan.design.facts || !place) return NOT_PLACED;
    const title = `${place.placement.name}, ${piece.kind.name}`;
    const slots = rulerSlots(ticket, shelf, rules);
    return drawn(placementRuler(slots, { title, landmark: place.depthName, units: rules.units }));
  },
  sheet: ({ plan, rules }) => drawn(sheetDrawing(plan, rules.units)),
  trace: ({ ticket, plan: { design, place, mount, hoop } }) => {
    if (!design.facts || !place) return NOT_PLACED;
    if (!mount || !hoop?.laid) return NOT_HOOPED;
    return drawn(traceDrawing(mount.trace, hoop.laid.verdict.hoop, ticket.mount.obstacles));
  },
} satisfies Record<string, (printed: Printed) => Paper>;
export type PaperName = keyof typeof PAPER;

/** A template for each name of an order, or the one of a ticket without names; each with what its pages are called. */
export function templatesOf(printed: Printed): (Paper & { title: string })[] {
  const { ticket, shelf, rules } = printed;
  const title = paperTitle(printed);
  const rows = namesOf(ticket);
  if (rows.length === 0) return [{ ...PAPER.template(printed), title }];
  return rows.map((row) => {
    const own = withRowOnTable(ticket, row);
    const plan = planTicket(own, shelf, rules);
    return { ...PAPER.template({ ...printed, ticket: own, plan }), title: `${calledName(row)}, ${title}` };
  });
}

export const paperTitle = ({ ticket }: Pick<Printed, 'ticket'>): string => ticket.name || 'Ticket';
