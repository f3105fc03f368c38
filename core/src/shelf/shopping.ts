import { cutSheets } from '../layers/sheetPieces';
import { planTicket } from '../plan';
import { type NumberId, numberFor } from '../rules/numbers';
import type { HouseRules } from '../rules/schema';
import type { Ticket } from '../ticket';
import type { Material, Shelf, SupplyType } from './schema';
import { suppliesNeeded } from './shelfUse';
import { isOut, SUPPLIES } from './supplies';

/** What amounts are counted in. */
export type ShoppingUnit = 'm' | (typeof SUPPLIES)[SupplyType]['unit'];

/** Something to buy: what the bench needs of it, what the shelf has, and for whom. */
export interface ShoppingLine {
  type: string;
  name: string;
  unit: ShoppingUnit;
  needed: number;
  has: number;
  /** Names of the tickets that need it. */
  tickets: string[];
  /** `missing`: none there. `short`: less than the bench needs. `low`: enough for the bench, but nearly gone. */
  why: 'missing' | 'short' | 'low';
}

/** A roll of this width is taken for what is not on the shelf, mm. */
const USUAL_ROLL_MM = 500;
/** Longer than any roll: what is needed is counted as if none ran out. */
const ENDLESS_M = 1e6;

/** Amounts by what they are of, each with the tickets that need it. */
type Needs = Map<string, { name: string; needed: number; tickets: string[] }>;

function need(
  needs: Needs,
  key: string,
  { name, amount, ticket }: { name: string; amount: number; ticket: string },
) {
  const before = needs.get(key) ?? { name, needed: 0, tickets: [] };
  before.needed += amount;
  if (!before.tickets.includes(ticket)) before.tickets.push(ticket);
  needs.set(key, before);
}

/** What the tickets need of rolls, threads, colours the shelf has no thread for, and supplies, one after the other: an offcut of the first serves the next. */
function needsOf(tickets: readonly Ticket[], shelf: Shelf, rules: HouseRules) {
  const rolls: Needs = new Map();
  const threads: Needs = new Map();
  const colours: Needs = new Map();
  const supplies: Needs = new Map();
  let materials: Material[] = shelf.materials.map((m) => ({ ...m, metresLeft: ENDLESS_M }));
  for (const ticket of tickets) {
    const plan = planTicket(ticket, shelf, rules);
    const cut = cutSheets(plan, { materials }, rules);
    materials = cut.after;
    const add = (needs: Needs, key: string, name: string, amount: number) =>
      need(needs, key, { name, amount, ticket: ticket.name });
    for (const { type, name, widthMm, heightMm, from, missing } of cut.pieces) {
      const rolled = from.reduce((sum, { metres }) => sum + metres, 0);
      add(rolls, type, name, rolled + (widthMm * heightMm * missing) / USUAL_ROLL_MM / 1000);
    }
    const copies = Math.max(1, plan.place?.copies.length ?? 1);
    const kind = plan.layers?.parts.thread.choice.name;
    for (const { thread, match, hex, name, topM } of plan.stitch?.stops ?? [])
      if (thread && match !== 'substitute') add(threads, thread.id, `Thread, ${thread.name}`, topM * copies);
      else add(colours, `${hex} ${kind}`, `Thread like ${name} ${hex}, ${kind}`, topM * copies);
    for (const { type, amount } of suppliesNeeded(plan, rules))
      add(supplies, type, SUPPLIES[type].name, amount);
    const needle = plan.layers?.parts.needle.choice.id as SupplyType | undefined;
    if (needle && isOut(needle, shelf)) add(supplies, needle, SUPPLIES[needle].name, 1);
  }
  return { rolls, threads, colours, supplies };
}

const URGENCY = ['missing', 'short', 'low'] as const;

function lineFor(
  line: Omit<ShoppingLine, 'why' | 'needed' | 'tickets'>,
  needs: Needs,
  low: number,
): ShoppingLine[] {
  const { needed, tickets } = needs.get(line.type) ?? { needed: 0, tickets: [] };
  const why =
    needed > 0 && line.has === 0
      ? 'missing'
      : needed > line.has
        ? 'short'
        : line.has - needed < low
          ? 'low'
          : null;
  return why ? [{ ...line, needed, tickets, why }] : [];
}

/** Supplies are on the list once the shop counts such things: those it has, and those it needs and has not. */
function supplyLines(needs: Needs, shelf: Shelf, rules: HouseRules): ShoppingLine[] {
  const types = new Set(shelf.supplies.map((s) => s.type));
  for (const type of needs.keys()) if (isOut(type as SupplyType, shelf)) types.add(type as SupplyType);
  return [...types].flatMap((type) => {
    const { name, unit, low } = SUPPLIES[type];
    const has = shelf.supplies.filter((s) => s.type === type).reduce((sum, s) => sum + s.left, 0);
    return lineFor({ type, name, unit, has }, needs, numberFor(rules, low));
  });
}

/** What to buy for the tickets on the bench: needs less the shelf, and what is nearly gone. */
export function shoppingList(tickets: readonly Ticket[], shelf: Shelf, rules: HouseRules): ShoppingLine[] {
  const { rolls, threads, colours, supplies } = needsOf(tickets, shelf, rules);
  const low = (id: NumberId) => numberFor(rules, id);
  const types = new Map(shelf.materials.map((m) => [m.type, m.name]));
  for (const [type, { name, needed }] of rolls) if (needed > 0) types.set(type, types.get(type) ?? name);
  return [
    ...[...types].flatMap(([type, name]) => {
      const ofType = shelf.materials.filter((m) => m.type === type);
      const has = ofType.reduce((sum, m) => sum + m.metresLeft, 0);
      const onlySheets = ofType.length > 0 && ofType.every((m) => m.widthMm === 0);
      return lineFor({ type, name, unit: 'm', has }, rolls, onlySheets ? 0 : low('lowRollM'));
    }),
    ...shelf.threads.flatMap(({ id, name, metresLeft }) =>
      lineFor({ type: id, name: `Thread, ${name}`, unit: 'm', has: metresLeft }, threads, low('lowThreadM')),
    ),
    ...[...colours].flatMap(([type, { name }]) => lineFor({ type, name, unit: 'm', has: 0 }, colours, 0)),
    ...supplyLines(supplies, shelf, rules),
  ].sort((a, b) => URGENCY.indexOf(a.why) - URGENCY.indexOf(b.why));
}
