import { type Phrase, phrase } from '../../base/units/phrase';
import { type DayTicket, workId } from '../../model/day';
import type { HouseRules } from '../../model/houseRules';
import type { Hoop, Machine, Shelf } from '../../model/shelf';
import type { Ticket } from '../../model/ticket';
import { hoopingsOn } from '../../planner/hands/hoopings';
import { planTicket } from '../../planner/plan';
import type { Plan } from '../../planner/planned';
import { titleOf } from '../../planner/titleOf';
import { machineFor } from '../../stages/hoop/machineFor';
import type { HoopPlan } from '../../stages/hoop/planHoop';
import type { Timeline } from '../../stages/stitch/timeline';
import { minutesOfHands } from '../cost/runFacts';
import { runPieces } from './runPieces';
import type { Run, Work } from './work';

const S_A_MINUTE = 60;

/** One hooping of one piece as work, and which ticket, piece and hooping it is, from 0. */
export interface PieceWork extends Work {
  ticketId: string;
  title: string;
  piece: number;
  pieces: number;
  /** What tells the piece from the others of its run: its name or size; empty for nothing. */
  label: string;
  hooping: number;
  hoopings: number;
  due: string | null;
  floated: boolean;
  /** Its threads by what they are called. */
  called: Record<string, string>;
}

/** A ticket that cannot be planned yet, and why. */
export interface NotPlanned {
  ticketId: string;
  title: string;
  why: Phrase;
}

export interface WorksQuestion {
  shelf: Shelf;
  rules: HouseRules;
  /** The kind of each hoop. */
  kinds: ReadonlyMap<string, string>;
}

/** Hoops that are as good as one another are one kind, whatever they are called: each by the first of them. */
export function hoopKinds(hoops: readonly Hoop[]): Map<string, string> {
  const first = new Map<string, string>();
  return new Map(
    hoops.map(({ id, name: _name, unread: _unread, offers: _offers, assumed: _assumed, ...rest }) => {
      const like = JSON.stringify(rest);
      const kind = first.get(like) ?? id;
      first.set(like, kind);
      return [id, kind];
    }),
  );
}

/** What hands are told at a stretch, one after the other; nothing where nobody is told anything. */
function told(presences: Timeline['presences'], from: number, to: number): Phrase | null {
  const own = presences.filter(({ at }) => at >= from - HAIR && at < to - HAIR).map(({ what }) => what);
  return own.length === 0 ? null : own.reduce((all, one) => phrase`${all}, ${one}`);
}
/** Minutes nearer than this are one and the same. */
const HAIR = 1e-9;

/** A stitch-out as runs of the machine by itself, each with what hands do behind it; and what hands do before the first. */
export function workRunsOf({ stretches, presences }: Pick<Timeline, 'stretches' | 'presences'>): {
  firstS: number;
  runs: Run[];
} {
  const runs: Run[] = [];
  let firstS = 0;
  for (const { from, to, by } of stretches) {
    const seconds = (to - from) * S_A_MINUTE;
    const last = runs[runs.length - 1];
    if (by === 'machine' && (!last || last.handsS > 0)) runs.push({ aloneS: seconds, handsS: 0 });
    else if (!last) firstS += seconds;
    else if (by === 'machine') last.aloneS += seconds;
    else {
      const what = told(presences, from, to);
      last.handsS += seconds;
      if (what) last.what = last.what ? phrase`${last.what}, ${what}` : what;
    }
  }
  return { firstS, runs };
}

/** One run after another: where hands have nothing to do between them they are one. */
function joined(runs: readonly Run[], next: Run): Run[] {
  const last = runs[runs.length - 1];
  if (!last || last.handsS > 0) return [...runs, { ...next }];
  return [...runs.slice(0, -1), { ...next, aloneS: last.aloneS + next.aloneS }];
}

/** The runs of so many copies, one copy after the other; of a part of one, as much of each run. */
export function runsOfCopies(runs: readonly Run[], copies: number): Run[] {
  if (copies < 1)
    return runs.map((run) => ({ ...run, aloneS: run.aloneS * copies, handsS: run.handsS * copies }));
  return Array.from({ length: Math.round(copies) }, () => runs)
    .flat()
    .reduce<Run[]>(joined, []);
}

/** How many copies each hooping stitches; of a design that is split, its share of the one there is. */
const copiesOfHoopings = ({ hoopings }: HoopPlan, count: number): number[] =>
  hoopings.length > 0
    ? hoopings.map(({ copies }) => copies.length)
    : Array.from({ length: count }, () => 1 / count);

/** Why a piece cannot be planned into a day; null where it can. */
function whyNot({ hoop, stitch }: Plan, machine: Machine | null): Phrase | null {
  if (!hoop?.laid) return phrase`no hoop is chosen that fits it`;
  if (!stitch || stitch.timeline.machineMinutes === 0) return phrase`what is stitched is not known yet`;
  return machine ? null : phrase`no machine on the shelf takes ${hoop.laid.verdict.hoop.name}`;
}

type OneHooping = Omit<
  PieceWork,
  'id' | 'name' | 'title' | 'ticketId' | 'piece' | 'pieces' | 'label' | 'hooping' | 'due' | 'runs'
> & {
  /** What the machine does at each hooping. */
  runsByHooping: Run[][];
};

/** What one hooping of a piece takes, by its own plan; or why it cannot be planned. */
function oneHooping(ticket: Ticket, { shelf, rules, kinds }: WorksQuestion): OneHooping | { why: Phrase } {
  const plan = planTicket(ticket, shelf, rules);
  const { hoop, stitch } = plan;
  const chosen = hoop?.laid?.verdict.hoop ?? null;
  const machine = chosen && machineFor(ticket.mount, chosen, shelf);
  const why = whyNot(plan, machine);
  if (why || !hoop || !stitch || !machine || !chosen) return { why: why ?? phrase`it has no hoop` };
  const hoopings = hoopingsOn(plan);
  const { firstS, runs } = workRunsOf(stitch.timeline);
  const minutes = minutesOfHands(hoop.method, rules);
  return {
    hoopings,
    floated: hoop.method === 'floated',
    called: Object.fromEntries(
      stitch.stops.map(({ thread, hex, name }) => [thread?.id ?? hex, thread?.name ?? name]),
    ),
    prepareS: minutes.prepare * S_A_MINUTE,
    hoopS: minutes.hoop * S_A_MINUTE,
    hoops: [kinds.get(chosen.id) ?? chosen.id],
    machine: shelf.machines.indexOf(machine),
    mountS: minutes.mount * S_A_MINUTE + firstS,
    runsByHooping: copiesOfHoopings(hoop, hoopings).map((copies) => runsOfCopies(runs, copies)),
    threads: stitch.stops.map(({ thread, hex }) => thread?.id ?? hex),
    takeOffS: minutes.takeOff * S_A_MINUTE,
    finishS: minutes.finish * S_A_MINUTE,
    dueS: null,
  };
}

/** What is done once to a piece is done at its first hooping, or at its last. */
const shareOf = (work: OneHooping, hooping: number): Pick<Work, 'prepareS' | 'finishS'> => ({
  prepareS: hooping === 0 ? work.prepareS : 0,
  finishS: hooping === work.hoopings - 1 ? work.finishS : 0,
});

/** What of a ticket can be planned, and what cannot: its pieces are not all alike. */
export interface TicketWorks {
  works: PieceWork[];
  notPlanned: NotPlanned[];
}

/** The pieces that cannot be planned for one and the same reason, as one line; of a ticket none of which can only its title. */
function notPlannedOf(
  ticketId: string,
  title: string,
  pieces: readonly { label: string; why: Phrase | null }[],
): NotPlanned[] {
  const whys = new Map<string, { why: Phrase; labels: string[] }>();
  for (const { label, why } of pieces) {
    if (!why) continue;
    const same = whys.get(JSON.stringify(why)) ?? { why, labels: [] };
    same.labels.push(label);
    whys.set(JSON.stringify(why), same);
  }
  return [...whys.values()].map(({ why, labels }) => {
    const named = labels.filter(Boolean);
    const which = labels.length === pieces.length ? '' : `, ${named.join(', ') || `${labels.length} pieces`}`;
    return { ticketId, title: `${title}${which}`, why };
  });
}

/** The pieces of one ticket, hooping by hooping, each as its own size or name is made; and those that cannot be planned yet. */
export function pieceWorks({ ticket, due }: DayTicket, bench: WorksQuestion): TicketWorks {
  const title = titleOf(ticket);
  const pieces = runPieces(ticket);
  const planned = new Map<Ticket, OneHooping | { why: Phrase }>();
  const works: PieceWork[] = [];
  const whys = pieces.map(({ ticket: own, label }, piece) => {
    const work = planned.get(own) ?? oneHooping(own, bench);
    planned.set(own, work);
    if ('why' in work) return { label, why: work.why };
    const { runsByHooping, ...every } = work;
    const which = [label, pieces.length > 1 ? `${piece + 1} of ${pieces.length}` : ''].filter(Boolean);
    for (let hooping = 0; hooping < work.hoopings; hooping += 1)
      works.push({
        ...every,
        ...shareOf(work, hooping),
        runs: runsByHooping[hooping] ?? [],
        id: workId(ticket.id, piece, hooping),
        name: [title, ...which].join(', '),
        title,
        ticketId: ticket.id,
        piece,
        pieces: pieces.length,
        label,
        hooping,
        due,
        ...(hooping > 0 ? { after: workId(ticket.id, piece, hooping - 1) } : {}),
      });
    return { label, why: null };
  });
  return { works, notPlanned: notPlannedOf(ticket.id, title, whys) };
}
