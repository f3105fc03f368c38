import type { HouseRules } from '../../model/houseRules';
import type { Hoop, Shelf } from '../../model/shelf';
import type { Change, Ticket } from '../../model/ticket';
import { otherHoop } from '../../model/ticket/hoop';
import type { NameRow } from '../../model/ticket/names';
import { again } from '../../planner/again';
import { wantedPieces } from '../../planner/hands/wantedPieces';
import { withRowOnTable } from '../../planner/onTable';
import type { Plan } from '../../planner/planned';
import { designOfRow } from '../../stages/design/names/onTable';
import type { NamePlan, PlannerOf } from './nameRun';

/** Names of an order that the same hoop takes. */
export interface NameGroup {
  hoop: Hoop;
  /** In the order of the list. */
  rows: NameRow[];
}

/** What it brings to hoop an order of names in groups, each in the smallest hoop that takes it. */
export interface Grouping {
  /** The largest hoop first; two at least. */
  groups: NameGroup[];
  /** Stabilizer for all pieces in the one hoop that takes every name, and what less of it the groups take, mm². */
  togetherMm2: number;
  savedMm2: number;
}

/** Stabilizer for one piece, mm²: its sheets as they are cut; null where nothing is hooped. */
function sheetsMm2(plan: Plan, rules: HouseRules): number | null {
  if (!plan.hoop?.laid || !plan.layers) return null;
  const sheets = wantedPieces(plan, rules).filter(({ thing }) => thing.startsWith('sheet'));
  const allMm2 = sheets.reduce((sum, { widthMm, heightMm, count }) => sum + widthMm * heightMm * count, 0);
  return allMm2 / Math.max(1, plan.piece.pieces);
}

/** Whichever hoop the rules propose, where they lay it. */
const FREE_HOOP = otherHoop(null);

/** The piece of one name as if it were the only one, in the hoop that the rules propose. */
const alone = (ticket: Ticket, { row }: NamePlan): Ticket => {
  const own = withRowOnTable(ticket, row);
  return {
    ...own,
    design: { ...designOfRow(own.design, row), names: null },
    hoop: { ...own.hoop, ...FREE_HOOP },
  };
};

/**
 * The groups of an order of names, each in a smaller hoop than all of them together need; null where one hoop is best for
 * every name, or where a name stands still before the hoop.
 */
export function grouped(
  ticket: Ticket,
  plans: readonly NamePlan[],
  { shelf, rules, plannerOf }: { shelf: Shelf; rules: HouseRules; plannerOf: PlannerOf },
): Grouping | null {
  const groups = new Map<string, NameGroup>();
  let [togetherMm2, savedMm2] = [0, 0];
  for (const one of plans) {
    const own = plannerOf(`alone ${one.row.id}`)(alone(ticket, one), shelf, rules);
    const verdict = own.hoop?.laid?.verdict;
    const [all, each] = [sheetsMm2(one.plan, rules), sheetsMm2(own, rules)];
    if (!verdict?.fits || own.hoop?.method !== one.plan.hoop?.method || all === null || each === null)
      return null;
    const { hoop } = verdict;
    const group = groups.get(hoop.id) ?? { hoop, rows: [] };
    groups.set(hoop.id, { hoop, rows: [...group.rows, one.row] });
    togetherMm2 += all;
    savedMm2 += all - each;
  }
  if (groups.size < 2 || savedMm2 <= 0) return null;
  const area = ({ hoop }: NameGroup) => hoop.fieldWidthMm * hoop.fieldHeightMm;
  return { groups: [...groups.values()].sort((a, b) => area(b) - area(a)), togetherMm2, savedMm2 };
}

/** A ticket with some of the names of an order, and the change that leaves the others on the first one. */
export interface Parted {
  ticket: Ticket;
  change: Change;
}

/** Gives a group of names a ticket of its own, with all else as it is, hooped as the rules propose for them. */
export function partedFrom(ticket: Ticket, { rows }: NameGroup, id: string): Parted | null {
  const { names, nameSets } = ticket.design;
  if (!names) return null;
  const isMoved = (rowId: string) => rows.some((row) => row.id === rowId);
  const setsOf = (are: boolean) =>
    Object.fromEntries(Object.entries(nameSets).filter(([rowId]) => isMoved(rowId) === are));
  const namesOnly = (are: boolean) => ({
    ...names,
    rows: names.rows.filter((row) => isMoved(row.id) === are),
  });
  return {
    ticket: {
      ...again(ticket, id),
      // Of the same order still, and what is made of it stays made.
      due: ticket.due,
      orderId: ticket.orderId,
      design: { ...ticket.design, names: namesOnly(true), nameSets: setsOf(true) },
      hoop: { ...ticket.hoop, ...FREE_HOOP, done: [] },
    },
    change: { stage: 'design', set: { names: namesOnly(false), nameSets: setsOf(false) } },
  };
}
