import { sheetPieces } from '../layers/sheetPieces';
import { planTicket } from '../plan';
import { numberFor } from '../rules/numbers';
import type { HouseRules } from '../rules/schema';
import type { Ticket } from '../ticket';
import type { Shelf } from './schema';

/** Something to buy: what the bench needs of it, what the shelf has, and for whom. Metres. */
export interface ShoppingLine {
  type: string;
  name: string;
  neededM: number;
  hasM: number;
  /** Names of the tickets that need it. */
  tickets: string[];
  /** `missing`: none there. `short`: less than the bench needs. `low`: enough for the bench, but nearly gone. */
  why: 'missing' | 'short' | 'low';
}

/** A roll of this width is taken for what is not on the shelf, mm. */
const USUAL_ROLL_MM = 500;

interface Need {
  name: string;
  neededM: number;
  tickets: string[];
}

function needsOf(tickets: readonly Ticket[], shelf: Shelf, rules: HouseRules): Map<string, Need> {
  const needs = new Map<string, Need>();
  for (const ticket of tickets)
    for (const piece of sheetPieces(planTicket(ticket, shelf, rules), shelf, rules)) {
      const need = needs.get(piece.type) ?? { name: piece.name, neededM: 0, tickets: [] };
      const area = piece.widthMm * piece.heightMm * piece.count;
      need.neededM += piece.metres ?? area / USUAL_ROLL_MM / 1000;
      if (!need.tickets.includes(ticket.name)) need.tickets.push(ticket.name);
      needs.set(piece.type, need);
    }
  return needs;
}

const URGENCY = ['missing', 'short', 'low'] as const;

/** What to buy for the tickets on the bench: needs less the shelf, and rolls that are nearly gone. */
export function shoppingList(tickets: readonly Ticket[], shelf: Shelf, rules: HouseRules): ShoppingLine[] {
  const needs = needsOf(tickets, shelf, rules);
  const lowM = numberFor(rules, 'lowRollM');
  const types = new Map(shelf.materials.map((m) => [m.type, m.name]));
  for (const [type, need] of needs) types.set(type, types.get(type) ?? need.name);
  return [...types]
    .flatMap(([type, name]): ShoppingLine[] => {
      const hasM = shelf.materials.filter((m) => m.type === type).reduce((sum, m) => sum + m.metresLeft, 0);
      const { neededM, tickets: names } = needs.get(type) ?? { neededM: 0, tickets: [] };
      const why =
        neededM > 0 && hasM === 0
          ? 'missing'
          : neededM > hasM
            ? 'short'
            : hasM - neededM < lowM
              ? 'low'
              : null;
      return why ? [{ type, name, neededM, hasM, tickets: names, why }] : [];
    })
    .sort((a, b) => URGENCY.indexOf(a.why) - URGENCY.indexOf(b.why));
}
