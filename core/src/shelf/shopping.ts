import { sheetPieces } from '../layers/sheetPieces';
import { planTicket } from '../plan';
import { numberFor } from '../rules/numbers';
import type { HouseRules } from '../rules/schema';
import type { Ticket } from '../ticket';
import type { Shelf } from './schema';
import { shelfUseOf } from './shelfUse';

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

function rollNeeds(tickets: readonly Ticket[], shelf: Shelf, rules: HouseRules): Map<string, Need> {
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

/** Metres of each thread that the tickets take, by the thread's id. */
function threadNeeds(tickets: readonly Ticket[], shelf: Shelf, rules: HouseRules): Map<string, Need> {
  const needs = new Map<string, Need>();
  for (const ticket of tickets)
    for (const use of shelfUseOf(
      planTicket(ticket, shelf, rules),
      { ...shelf, threads: endless(shelf) },
      rules,
    )) {
      if (use.noun !== 'threads') continue;
      const name = shelf.threads.find((t) => t.id === use.id)?.name ?? use.id;
      const need = needs.get(use.id) ?? { name, neededM: 0, tickets: [] };
      need.neededM += use.metres;
      if (!need.tickets.includes(ticket.name)) need.tickets.push(ticket.name);
      needs.set(use.id, need);
    }
  return needs;
}

/** The threads as if none ran out: what is needed, not what is there. */
const endless = (shelf: Shelf): Shelf['threads'] =>
  shelf.threads.map((t) => ({ ...t, metresLeft: Infinity }));

const URGENCY = ['missing', 'short', 'low'] as const;

function lineFor(
  type: string,
  { name, neededM, tickets }: Need,
  { hasM, lowM }: { hasM: number; lowM: number },
): ShoppingLine[] {
  const why =
    neededM > 0 && hasM === 0 ? 'missing' : neededM > hasM ? 'short' : hasM - neededM < lowM ? 'low' : null;
  return why ? [{ type, name, neededM, hasM, tickets, why }] : [];
}

/** What to buy for the tickets on the bench: needs less the shelf, and rolls and threads that are nearly gone. */
export function shoppingList(tickets: readonly Ticket[], shelf: Shelf, rules: HouseRules): ShoppingLine[] {
  const rolls = rollNeeds(tickets, shelf, rules);
  const types = new Map(shelf.materials.map((m) => [m.type, m.name]));
  for (const [type, need] of rolls) types.set(type, types.get(type) ?? need.name);
  const threads = threadNeeds(tickets, shelf, rules);
  return [
    ...[...types].flatMap(([type, name]) => {
      const hasM = shelf.materials.filter((m) => m.type === type).reduce((sum, m) => sum + m.metresLeft, 0);
      const need = rolls.get(type) ?? { neededM: 0, tickets: [] };
      return lineFor(type, { ...need, name }, { hasM, lowM: numberFor(rules, 'lowRollM') });
    }),
    ...shelf.threads.flatMap(({ id, name, metresLeft }) => {
      const need = threads.get(id) ?? { neededM: 0, tickets: [] };
      const lowM = numberFor(rules, 'lowThreadM');
      return lineFor(id, { ...need, name: `Thread, ${name}` }, { hasM: metresLeft, lowM });
    }),
  ].sort((a, b) => URGENCY.indexOf(a.why) - URGENCY.indexOf(b.why));
}
