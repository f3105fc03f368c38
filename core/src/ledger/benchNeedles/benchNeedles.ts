import type { HowFar } from '../../base/inSteps';
import type { HouseRules } from '../../model/houseRules';
import type { Machine, Shelf } from '../../model/shelf';
import type { Ticket } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { titleOf } from '../../planner/titleOf';
import { fewestThreadings, type Threads, threadingsOf } from '../../stages/stitch/needles';
import type { StitchStop } from '../../stages/stitch/planStitch';

/** A thread that goes onto a needle, from 0. */
export interface PutOn {
  needle: number;
  name: string;
  hex: string;
}

/** What one ticket asks of the needles once those before it are stitched. */
export interface NeedlesOfTicket {
  ticketId: string;
  title: string;
  /** What is put on for it, in the order it is needed. */
  putOn: PutOn[];
  /** The needles of its colours, stop by stop, from 0. */
  needles: number[];
}

export interface BenchNeedles {
  /** The tickets that go on this machine, in the order they are promised. */
  tickets: NeedlesOfTicket[];
  /** Threads put on in all, the first ones too. */
  threadings: number;
  /** And if each ticket began again at the first needle. */
  eachAnew: number;
}

interface Planned {
  ticket: Ticket;
  stops: readonly StitchStop[];
}

const threadOf = ({ thread, hex }: StitchStop): string => thread?.id ?? hex;

/** Promised for the earlier day first; what is promised for none last, as it stands on the bench. */
const byDay = (a: Ticket, b: Ticket): number => (a.due ?? '9').localeCompare(b.due ?? '9');

/** What a ticket's threads must be on at once: all of them where the machine has the needles, else stop by stop. */
function jobsOf({ stops }: Planned, needles: number): Threads[] {
  const all = [...new Set(stops.map(threadOf))];
  return all.length <= needles ? [all] : stops.map((stop) => [threadOf(stop)]);
}

/** Threads put on when every ticket goes onto the needles in its own order, from the first. */
function threadingsEachAnew(planned: readonly Planned[], needles: number): number {
  const on = new Map<number, string>();
  let count = 0;
  for (const { stops } of planned)
    [...new Set(stops.map(threadOf))].forEach((thread, i) => {
      if (on.get(i % needles) === thread) return;
      on.set(i % needles, thread);
      count += 1;
    });
  return count;
}

/**
 * Which thread goes onto which needle of a machine, over all tickets of the bench that go on it, so that as few are put on
 * as can be. Tickets that cannot be planned yet, and those of other machines, are left out. Yields before
 * each ticket how many were read.
 */
export function* benchNeedles(
  tickets: readonly Ticket[],
  machine: Pick<Machine, 'id' | 'needles'>,
  { shelf, rules }: { shelf: Shelf; rules: HouseRules },
): Generator<HowFar, BenchNeedles> {
  const planned: Planned[] = [];
  for (const [read, ticket] of [...tickets].sort(byDay).entries()) {
    yield { read, of: tickets.length };
    const { stitch, mount } = planTicket(ticket, shelf, rules);
    if (stitch && mount?.machine?.id === machine.id) planned.push({ ticket, stops: stitch.stops });
  }
  const jobs = planned.map((one) => jobsOf(one, machine.needles));
  const served = fewestThreadings(jobs.flat(), machine.needles);
  let first = 0;
  const rows = planned.map(({ ticket, stops }, i): NeedlesOfTicket => {
    const own = jobs[i] ?? [];
    const here = served.slice(first, first + own.length);
    first += own.length;
    const onNeedle = own.map(
      (threads, k) => new Map(threads.map((thread, t) => [thread, here[k]?.needles[t] ?? 0])),
    );
    const needleOf = (stop: StitchStop, at: number) =>
      onNeedle[own.length === 1 ? 0 : at]?.get(threadOf(stop)) ?? 0;
    const putOn = here.flatMap(({ putOn: threads }, k) =>
      threads.flatMap((thread): PutOn[] => {
        const stop = stops.find((one) => threadOf(one) === thread);
        return stop ? [{ needle: onNeedle[k]?.get(thread) ?? 0, name: stop.called, hex: stop.hex }] : [];
      }),
    );
    return { ticketId: ticket.id, title: titleOf(ticket), putOn, needles: stops.map(needleOf) };
  });
  return {
    tickets: rows,
    threadings: threadingsOf(served),
    eachAnew: threadingsEachAnew(planned, machine.needles),
  };
}
