import { STAGE, type State } from './state';
import type { Day, Work } from './work';

/** What comes before each piece: those pinned before it, the one that is just like it, its own hooping before. */
interface Order {
  pinned: readonly (readonly number[])[];
  twin: readonly number[];
  after: readonly number[];
}

const orders = new WeakMap<Day, Order>();

/** What of a piece decides how it is made: pieces that have all of it in common are taken in the order they are listed. */
const likenessOf = (work: Work): string => {
  const { prepareS, hoopS, hoops, machine, mountS, runs, threads, takeOffS, finishS, dueS, after } = work;
  return JSON.stringify([
    prepareS,
    hoopS,
    hoops,
    machine,
    mountS,
    runs,
    threads,
    takeOffS,
    finishS,
    dueS,
    after,
  ]);
};

function readOrder(day: Day): Order {
  const index = new Map(day.works.map(({ id }, i) => [id, i]));
  const after = day.works.map((work) => (work.after === undefined ? -1 : (index.get(work.after) ?? -1)));
  const pins = withHoopingsBefore(
    (day.pinned ?? []).flatMap((id) => index.get(id) ?? []),
    after,
  );
  const begun = new Set((day.begun ?? []).flatMap(({ id }) => index.get(id) ?? []));
  const last = new Map<string, number>();
  const twin = day.works.map((work, i) => {
    if (pins.includes(i) || begun.has(i)) return -1;
    const key = likenessOf(work);
    const before = last.get(key) ?? -1;
    last.set(key, i);
    return before;
  });
  const pinned = day.works.map(({ machine }, i) => {
    const own = pins.filter((pin) => day.works[pin]?.machine === machine);
    // What is in its hoop already waits for none: its hoop may be the one that a pinned piece waits for.
    if (begun.has(i)) return [];
    // What is not pinned comes behind all that is.
    return own.includes(i) ? own.slice(0, own.indexOf(i)) : own;
  });
  return { twin, pinned, after };
}

/** A pinned hooping has those before it, of the same piece, pinned before it. */
function withHoopingsBefore(pins: readonly number[], after: readonly number[]): number[] {
  const all: number[] = [];
  const put = (piece: number) => {
    const before = after[piece] ?? -1;
    if (before >= 0) put(before);
    if (!all.includes(piece)) all.push(piece);
  };
  pins.forEach(put);
  return all;
}

export function orderOf(day: Day): Order {
  const order = orders.get(day) ?? readOrder(day);
  orders.set(day, order);
  return order;
}

/** Whether everything that comes before a piece is at least at a stage. */
export function isTurnOf(
  day: Day,
  { stage }: State,
  { piece, least }: { piece: number; least: number },
): boolean {
  const { pinned, twin } = orderOf(day);
  const isThere = (before: number): boolean => (stage[before] ?? STAGE.OFF) >= least;
  return isThere(twin[piece] ?? -1) && (pinned[piece] ?? []).every(isThere);
}
