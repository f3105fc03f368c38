import { type Phrase, phrase } from '../../base/units/phrase';
import { type Finding, isInTheWay } from '../../model/finding';
import type { HouseRules } from '../../model/houseRules';
import type { LogEntry } from '../../model/logEntry';
import type { PieceKindId } from '../../model/pieceKindIds';
import type { Shelf } from '../../model/shelf';
import { applyChange, type Ticket } from '../../model/ticket';
import { otherHoop } from '../../model/ticket/hoop';
import { CHOICE_IDS, CHOICE_PARTS, type Choices, withChoice } from '../../model/ticket/layers';
import { again } from '../../planner/again';
import { newTicket } from '../../planner/newTicket';
import { planTicket } from '../../planner/plan';
import { sheetsOfToday } from '../../stages/layers/keptSheets';
import { asUsed } from '../logbook/asUsed';
import { frozenPlan } from '../logbook/frozenPlan';
import { type Figure, figuresOf, isSame, keptHoop, keptPlace } from './figures';

/** For what a piece is made again: just as it was, in another size, or on another kind of piece. */
export type AgainFor =
  | { as: 'same' }
  | { as: 'size'; name: string; readings: Readonly<Record<string, number>> }
  | { as: 'kind'; kind: PieceKindId };

/** A figure that is not what it was, and why. */
export interface Difference {
  id: string;
  name: string;
  was: Phrase;
  is: Phrase;
}

/** A piece to be made again. */
export interface Again {
  ticket: Ticket;
  differences: Difference[];
  /** What is in the way of it now, or will show, and was not then. */
  follows: Finding[];
}

interface Shop {
  shelf: Shelf;
  rules: HouseRules;
}

const WHY = 'as it was made before';

/** Sheets, topper, needle and the rest as they were, where the rules of today would have them otherwise. */
function withLayersOf(ticket: Ticket, { plan }: LogEntry, { shelf, rules }: Shop): Ticket {
  const { layers } = plan;
  const now = planTicket(ticket, shelf, rules).layers;
  if (!layers || !now) return ticket;
  const sheets = sheetsOfToday(layers.sheets, plan.hoop?.method ?? null);
  const support =
    ticket.layers.support ??
    (JSON.stringify(sheets) === JSON.stringify(now.sheets) ? null : { sheets, why: WHY });
  const parts = layers.parts as unknown as Record<string, { choice: { id: string } } | undefined>;
  let choices: Choices = ticket.layers.choices;
  for (const part of CHOICE_PARTS) {
    const then = parts[part]?.choice.id;
    const isKnown = then !== undefined && (CHOICE_IDS[part] as readonly string[]).includes(then);
    if (isKnown && choices[part] === undefined && now.parts[part].choice.id !== then)
      choices = withChoice(choices, part, then, WHY);
  }
  return applyChange(ticket, { stage: 'layers', set: { support, choices } });
}

/** The hoop as it was, where it is on the shelf, and hooped or floated as then. */
function withHoopOf(ticket: Ticket, { plan }: LogEntry, { shelf, rules }: Shop): Ticket {
  const then = keptHoop(plan);
  const method = plan.hoop?.method ?? null;
  const now = planTicket(ticket, shelf, rules).hoop;
  const isOther =
    then && now?.laid?.verdict.hoop.id !== then.id && shelf.hoops.some(({ id }) => id === then.id);
  return applyChange(ticket, {
    stage: 'hoop',
    set: {
      ...(isOther && ticket.hoop.hoopId === null ? otherHoop(then.id) : {}),
      ...(method && now?.method !== method && ticket.hoop.method === null ? { method, methodWhy: WHY } : {}),
    },
  });
}

/** Where it lay: whatever the rules of today would have, the design lands on the same spot of the piece. */
function withPlaceOf(ticket: Ticket, { plan }: LogEntry, { shelf, rules }: Shop): Ticket {
  const then = keptPlace(plan);
  const now = planTicket(ticket, shelf, rules).place;
  if (!then || !now) return ticket;
  const [x, y] = [then.centre.x - now.centre.x, then.centre.y - now.centre.y];
  const turn = then.turnDeg - now.turnDeg;
  if (Math.hypot(x, y) < 0.05 && Math.abs(turn) < 0.05) return ticket;
  const { offset, turnDeg } = ticket.place;
  return applyChange(ticket, {
    stage: 'place',
    set: { offset: { x: offset.x + x, y: offset.y + y }, turnDeg: turnDeg + turn },
  });
}

/** The entry's piece as a bare ticket for what it is made for now. */
function begun(entry: LogEntry, id: string, wanted: AgainFor): Ticket {
  const ticket = again(asUsed({ ...entry.ticket, log: entry.log }), id);
  if (wanted.as === 'size')
    return {
      ...ticket,
      piece: { ...ticket.piece, readings: { ...ticket.piece.readings, ...wanted.readings }, sizes: [] },
      // Lengths of the other piece say nothing of this one.
      place: { ...ticket.place, depth: null },
    };
  if (wanted.as === 'kind') {
    const bare = newTicket(id, wanted.kind);
    const { name, customer, design, layers } = ticket;
    const cloth = { fabricId: ticket.piece.fabricId, fabricChanges: ticket.piece.fabricChanges };
    return {
      ...bare,
      name,
      customer,
      design,
      layers,
      piece: { ...bare.piece, ...cloth, colour: ticket.piece.colour },
    };
  }
  return ticket;
}

const differenceOf = (was: Figure | undefined, is: Figure | undefined): Difference[] => {
  const [any] = [was ?? is];
  if (!any || isSame(was, is)) return [];
  const nothing = phrase`nothing`;
  return [{ id: any.id, name: any.name, was: was?.said ?? nothing, is: is?.said ?? nothing }];
};

/**
 * A logged piece to be made once more. Just as it was, it lands where the first one did, whatever rules and shelf are by
 * now: within 1 mm, half a degree and 2 % of the stitches, in the same hoop, stack, needle and threads where they are
 * still there. In another size or on another kind the rules place and hoop it anew, with the same layers. What is
 * other than it was is listed.
 */
export function doAgain(
  entry: LogEntry,
  { id, wanted }: { id: string; wanted: AgainFor },
  shop: Shop,
): Again {
  let ticket = begun(entry, id, wanted);
  if (wanted.as === 'same') ticket = withPlaceOf(ticket, entry, shop);
  if (wanted.as !== 'kind') ticket = withHoopOf(ticket, entry, shop);
  if (wanted.as !== 'kind') ticket = withLayersOf(ticket, entry, shop);
  // Another hoop or method may move what was placed.
  if (wanted.as === 'same') ticket = withPlaceOf(ticket, entry, shop);
  const plan = planTicket(ticket, shop.shelf, shop.rules);
  const was = figuresOf(entry);
  const is = figuresOf({ ticket, plan: frozenPlan(plan), log: ticket.log });
  // What was keyed for a piece that lay crooked, or was keyed otherwise, was so for that piece alone.
  const ofThatPiece = entry.ticket.mount.readings.length > 0 || entry.log.used.keyed !== null;
  const ids = [...new Set([...was, ...is].map((figure) => figure.id))].filter(
    (one) => !(ofThatPiece && one.startsWith('keyed')),
  );
  const before = planTicket(again(entry.ticket, entry.ticket.id), shop.shelf, shop.rules);
  const known = new Set(before.findings.map(({ code }) => code));
  return {
    ticket,
    differences: ids.flatMap((one) =>
      differenceOf(
        was.find((figure) => figure.id === one),
        is.find((figure) => figure.id === one),
      ),
    ),
    follows: plan.findings.filter(
      (finding) => !known.has(finding.code) && (isInTheWay(finding) || finding.severity === 'warn'),
    ),
  };
}
