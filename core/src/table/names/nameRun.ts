import type { Phrase } from '../../base/units/phrase';
import { isInTheWay } from '../../model/finding';
import type { HouseRules } from '../../model/houseRules';
import type { Shelf } from '../../model/shelf';
import type { Ticket } from '../../model/ticket';
import type { NameRow, NameSet } from '../../model/ticket/names';
import { namesOf, withRowOnTable } from '../../planner/onTable';
import { planTicket } from '../../planner/plan';
import type { Plan } from '../../planner/planned';
import { isTooWide } from '../../stages/design/names/rows';

/** One name of an order with the plan of its own piece. Lengths in mm. */
export interface NamePlan {
  row: NameRow;
  /** The ticket with this name on the table. */
  ticket: Ticket;
  plan: Plan;
  /** How it was set; null while it is not. */
  set: NameSet | null;
  isTooWide: boolean;
  /** As wide as the name itself is stitched; null while it is not set. */
  nameMm: number | null;
  /** The centre of the whole design from the centre line, to the viewer's right; null where nothing could be placed. */
  acrossMm: number | null;
  /** That centre from the landmark the tape starts at. */
  depthMm: number | null;
  stitches: number | null;
  minutes: number | null;
  /** What is wrong with this piece and not with every other; empty where nothing is. */
  troubles: Phrase[];
}

/** What plans the piece of a name, by its id: one that remembers, where names are worked on. */
export type PlannerOf = (id: string) => typeof planTicket;

/** Said of the list as a whole, with the names it concerns. */
const OF_THE_LIST = [
  'design-name-wide',
  'design-names-wide',
  'design-names-unset',
  'design-name-empty',
  'design-name-size',
];

function planOf(
  ticket: Ticket,
  row: NameRow,
  { shelf, rules, plannerOf }: { shelf: Shelf; rules: HouseRules; plannerOf: PlannerOf },
): NamePlan {
  const own = withRowOnTable(ticket, row);
  const plan = plannerOf(row.id)(own, shelf, rules);
  const { place, stitch, design } = plan;
  const scale = ticket.design.scalePercent / 100;
  const set = ticket.design.nameSets[row.id];
  const part = ticket.design.parts.find(({ id }) => id === ticket.design.names?.part);
  return {
    row,
    set: set ?? null,
    isTooWide: isTooWide(set),
    ticket: own,
    plan,
    nameMm: set ? set.widthMm * scale * ((part?.scalePercent ?? 100) / 100) : null,
    acrossMm: place?.acrossMm ?? null,
    depthMm: place?.depthMm ?? null,
    stitches: design.facts?.stitches ?? null,
    minutes: stitch ? (stitch.totalMinutes * (place?.copies.length || 1)) / stitch.stitchings : null,
    troubles: [],
  };
}

/** Findings of a plan that stand in the way or will show, but what is said of the list. */
const gravesOf = ({ plan }: NamePlan) =>
  plan.findings.filter((f) => !OF_THE_LIST.includes(f.code) && (isInTheWay(f) || f.severity === 'warn'));

/**
 * Every name of the order with its own piece: its marks, hoop and stitching. What every one of them has is said with the
 * ticket; here stands what only some have.
 */
export function nameRun(
  ticket: Ticket,
  { shelf, rules, plannerOf = () => planTicket }: { shelf: Shelf; rules: HouseRules; plannerOf?: PlannerOf },
): NamePlan[] {
  const plans = namesOf(ticket).map((row) => planOf(ticket, row, { shelf, rules, plannerOf }));
  const isOfAll = (code: string) => plans.every((one) => gravesOf(one).some((f) => f.code === code));
  return plans.map((one) => ({
    ...one,
    troubles: gravesOf(one).flatMap((f) => (plans.length > 1 && isOfAll(f.code) ? [] : [f.text])),
  }));
}

/** What an order of names takes: all stitches and minutes; and the widest of what is drawn of it, mm as it was set. */
export function totalOf(plans: readonly NamePlan[]): {
  stitches: number;
  minutes: number;
  widestSetMm: number;
} {
  const sum = (of: (one: NamePlan) => number | null) => plans.reduce((all, one) => all + (of(one) ?? 0), 0);
  return {
    stitches: sum(({ stitches }) => stitches),
    minutes: sum(({ minutes }) => minutes),
    widestSetMm: Math.max(0, ...plans.flatMap(({ set }) => (set ? [set.widthMm, set.withinMm ?? 0] : []))),
  };
}
