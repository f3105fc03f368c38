import type { HowFar } from '../../base/inSteps';
import { numberFor } from '../../catalogue/houseNumber';
import { LAYER_NUMBERS } from '../../catalogue/numbers/layers';
import { cutSheets, type SheetPiece } from '../../ledger/rolls/sheetPieces';
import type { HouseRules } from '../../model/houseRules';
import type { Material, Shelf, SupplyType, Thread } from '../../model/shelf';
import type { Ticket } from '../../model/ticket';
import type { NeedleId } from '../../model/ticket/layers';
import { planTicket } from '../../planner/plan';
import type { Plan } from '../../planner/planned';
import { suppliesNeeded } from '../../records/logbook/shelfUse';
import { isOut, SUPPLIES } from '../../stock/supplies';

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
  /** From whom it was bought; empty where nobody said. */
  supplier: string;
  /** The first ticket, those promised first before others, for which there is no more of it; null where it lasts. */
  runsOut: { ticket: string; due: string | null } | null;
  /** `missing`: none there. `short`: less than the bench needs. `low`: enough for the bench, but nearly gone. */
  why: 'missing' | 'short' | 'low';
}

/** A roll of this width is taken for what is not on the shelf, mm. */
const USUAL_ROLL_MM = 500;
/** Longer than any roll: what is needed is counted as if none ran out. */
const ENDLESS_M = 1e6;

/** What one ticket needs of one thing. A colour is one that no thread of the shelf is close to. */
interface Need {
  group: 'roll' | 'thread' | 'colour' | 'supply';
  type: string;
  name: string;
  amount: number;
  ticket: string;
  due: string | null;
}

type Bare = Omit<Need, 'ticket' | 'due'>;

/** What the pieces to cut take of rolls; of what no roll is wide enough for, by area on a usual roll. */
const rollNeeds = (pieces: readonly SheetPiece[]): Bare[] =>
  pieces.map(({ type, name, widthMm, heightMm, from, missing }) => {
    const metres = from.reduce((sum, cut) => sum + cut.metres, 0);
    const lacking = (widthMm * heightMm * missing) / USUAL_ROLL_MM / 1000;
    return { group: 'roll', type, name, amount: metres + lacking };
  });

/** What all spools of one thread are called by. */
const threadType = ({ hex, weight, fibre }: Thread): string => `${hex.toUpperCase()} ${weight} ${fibre}`;

function threadNeeds({ stitch, layers }: Plan, shelf: Shelf): Bare[] {
  if (!stitch || !layers || shelf.threads.length === 0) return [];
  const copies = stitch.stitchings;
  const kind = layers.parts.thread.choice.name;
  return stitch.stops.map(({ thread, match, hex, name, topM }) =>
    thread && match !== 'substitute'
      ? { group: 'thread', type: threadType(thread), name: thread.name, amount: topM * copies }
      : {
          group: 'colour',
          type: `${hex} ${kind}`,
          name: `Thread like ${name} ${hex}, ${kind}`,
          amount: topM * copies,
        },
  );
}

/**
 * Bobbins and adhesives as they are used up, and a needle of the right kind where there is none; each once the shop
 * counts such things.
 */
function supplyNeeds(plan: Plan, shelf: Shelf, rules: HouseRules): Bare[] {
  const needle = plan.layers?.parts.needle.choice.id as NeedleId | undefined;
  const usedUp = suppliesNeeded(plan, rules).filter(
    ({ type }) => isOut(type, shelf) || shelf.supplies.some((s) => s.type === type),
  );
  return [...usedUp, ...(needle && isOut(needle, shelf) ? [{ type: needle, amount: 1 }] : [])].map(
    ({ type, amount }) => ({ group: 'supply', type, name: SUPPLIES[type].name, amount }),
  );
}

/** What the tickets need, one after the other: an offcut of the first serves the next. */
function* needsOf(tickets: readonly Ticket[], shelf: Shelf, rules: HouseRules): Generator<HowFar, Need[]> {
  let materials: Material[] = shelf.materials.map((m) => ({ ...m, metresLeft: ENDLESS_M }));
  const needs: Need[] = [];
  for (const [read, ticket] of tickets.entries()) {
    yield { read, of: tickets.length };
    const plan = planTicket(ticket, shelf, rules);
    const { pieces, after } = cutSheets(plan, { materials }, rules);
    materials = after;
    for (const need of [
      ...rollNeeds(pieces),
      ...threadNeeds(plan, shelf),
      ...supplyNeeds(plan, shelf, rules),
    ])
      needs.push({ ...need, ticket: ticket.name, due: ticket.due });
  }
  return needs;
}

const URGENCY = ['missing', 'short', 'low'] as const;

type Line = Omit<ShoppingLine, 'why'>;

/** Why a thing is to be bought: against what is needed, and the figure below which it is low; null when it is not. */
function whyBuy({ needed, has }: Line, low: number): ShoppingLine['why'] | null {
  if (needed > 0 && has === 0) return 'missing';
  if (needed > has) return 'short';
  return has - needed < low ? 'low' : null;
}

/** The need at which what is there is used up, in their order; null where it lasts. */
function runsOut(needs: readonly Need[], has: number): ShoppingLine['runsOut'] {
  let left = has;
  for (const { amount, ticket, due } of needs) {
    left -= amount;
    if (left < -1e-9) return { ticket, due };
  }
  return null;
}

const sum = (amounts: readonly number[]): number => amounts.reduce((total, amount) => total + amount, 0);

/** Those promised first before others; as they come where none is. */
const byDue = (tickets: readonly Ticket[]): Ticket[] =>
  [...tickets].sort((a, b) => (a.due ?? NEVER).localeCompare(b.due ?? NEVER));
/** After every day. */
const NEVER = '9999';

/**
 * What to buy for the tickets on the bench: needs less the shelf, and what is nearly gone. Yields before each ticket how
 * many were read.
 */
export function* shoppingList(
  tickets: readonly Ticket[],
  shelf: Shelf,
  rules: HouseRules,
): Generator<HowFar, ShoppingLine[]> {
  const needs = yield* needsOf(byDue(tickets), shelf, rules);
  const line = (
    of: {
      group: Need['group'];
      type: string;
      name: string;
      unit: ShoppingUnit;
      has: number;
      owned: readonly { supplier?: string | undefined }[];
    },
    low: number,
  ): ShoppingLine[] => {
    const { group, owned, ...thing } = of;
    const wanted = needs.filter((n) => n.group === group && n.type === thing.type && n.amount > 0);
    const names = [...new Set(wanted.map((n) => n.ticket))];
    const supplier = owned.find((item) => item.supplier)?.supplier ?? '';
    const whole: Line = {
      ...thing,
      needed: sum(wanted.map((n) => n.amount)),
      tickets: names,
      supplier,
      runsOut: runsOut(wanted, thing.has),
    };
    const why = whyBuy(whole, low);
    return why ? [{ ...whole, why }] : [];
  };
  /** The types of a group: those on the shelf by their name there, then those that are only needed. */
  const typesOf = (group: Need['group'], owned: readonly { type: string; name: string }[]) => {
    const needed = needs.filter((n) => n.group === group);
    const types = new Map<string, string>();
    for (const { type, name } of [...owned, ...needed]) if (!types.has(type)) types.set(type, name);
    return [...types];
  };
  const rolls = typesOf('roll', shelf.materials).flatMap(([type, name]) => {
    const ofType = shelf.materials.filter((m) => m.type === type);
    const has = sum(ofType.map((m) => m.metresLeft));
    const onlySheets = ofType.length > 0 && ofType.every((m) => m.widthMm === 0);
    const low = onlySheets ? 0 : numberFor(rules, LAYER_NUMBERS.lowRollM);
    return line({ group: 'roll', type, name, unit: 'm', has, owned: ofType }, low);
  });
  const spools = shelf.threads.map((thread) => ({ type: threadType(thread), name: thread.name }));
  const threads = typesOf('thread', spools).flatMap(([type, name]) => {
    const owned = shelf.threads.filter((t) => threadType(t) === type);
    const left = owned.map((t) => t.metresLeft);
    // of a thread that is not counted nobody knows that it is nearly gone
    if (left.includes(null)) return [];
    const has = sum(left.map((metres) => metres ?? 0));
    return line(
      { group: 'thread', type, name: `Thread, ${name}`, unit: 'm', has, owned },
      numberFor(rules, LAYER_NUMBERS.lowThreadM),
    );
  });
  const colours = typesOf('colour', []).flatMap(([type, name]) =>
    line({ group: 'colour', type, name, unit: 'm', has: 0, owned: [] }, 0),
  );
  const supplies = typesOf('supply', shelf.supplies).flatMap(([id]) => {
    const type = id as SupplyType;
    const { name, unit, low } = SUPPLIES[type];
    const owned = shelf.supplies.filter((s) => s.type === type);
    const has = sum(owned.map((s) => s.left));
    return line({ group: 'supply', type, name, unit, has, owned }, numberFor(rules, low));
  });
  return [...rolls, ...threads, ...colours, ...supplies].sort(
    (a, b) => URGENCY.indexOf(a.why) - URGENCY.indexOf(b.why),
  );
}
