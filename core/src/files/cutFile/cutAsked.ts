import type { HouseRules } from '../../model/houseRules';
import type { Ticket } from '../../model/ticket';
import { namesOf, withRowOnTable } from '../../planner/onTable';
import type { Plan } from '../../planner/planned';
import type { ClothShape } from '../../stages/design/applique/cloths';
import { calledName } from '../../stages/design/names/onTable';
import { planDesign } from '../../stages/design/planDesign';
import type { CutAsked } from './cutSheet';

/** The shapes of cloth of every name of an order, each called by it. */
function clothsOfNames(ticket: Ticket, { piece }: Pick<Plan, 'piece'>, rules: HouseRules): ClothShape[] {
  return namesOf(ticket).flatMap((row) => {
    const { design } = withRowOnTable(ticket, row);
    const cloths = planDesign(design, rules, piece.fabric).facts?.cloths ?? [];
    const isSaid = (name: string): boolean => name.startsWith(calledName(row));
    return cloths.map((shape) => ({
      ...shape,
      name: isSaid(shape.name) ? shape.name : `${calledName(row)}: ${shape.name}`,
    }));
  });
}

/**
 * What is cut for a ticket: the cloth of its design for every piece and copy; of an order of names that of each name once to
 * a copy. Null where it is all thread, or not planned.
 */
export function cutAskedOf(
  ticket: Ticket,
  plan: Pick<Plan, 'piece' | 'design' | 'place' | 'stitch'>,
  rules: HouseRules,
): CutAsked | null {
  const { facts } = plan.design;
  if (!facts || facts.cloths.length === 0) return null;
  const copies = Math.max(1, plan.place?.copies.length ?? 1);
  const ofNames = clothsOfNames(ticket, plan, rules);
  return ofNames.length > 0
    ? { facts: { cloths: ofNames, scale: facts.scale }, times: copies, rules }
    : { facts: { cloths: facts.cloths, scale: facts.scale }, times: copies * plan.piece.pieces, rules };
}
