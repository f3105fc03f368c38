import { STAGE, type State, workAt } from './state';
import type { Day, Work, Worth } from './work';

const stitchS = ({ runs }: Work): number =>
  runs.reduce((sum, { aloneS, handsS }) => sum + aloneS + handsS, 0);
const tendS = ({ runs }: Work): number => runs.reduce((sum, { handsS }) => sum + handsS, 0);

/** What hands have still to do in all, beside preparing: that may have been done while they were idle. */
function handsLeft(day: Day, state: State): { sure: number; prepare: number } {
  let [sure, prepare] = [state.toFinishS - state.usableS, 0];
  for (let piece = 0; piece < day.works.length; piece += 1) {
    const work = workAt(day, piece);
    const stage = state.stage[piece];
    if (stage === STAGE.OFF) continue;
    sure += work.takeOffS;
    // Finishing is done at the end at the latest, or in what is idle until then.
    if (stage === STAGE.MOUNTED) {
      const run = state.on[work.machine]?.run ?? 0;
      for (const { handsS } of work.runs.slice(run)) sure += handsS;
      continue;
    }
    sure += work.mountS + tendS(work);
    if (stage === STAGE.WAITING) {
      sure += work.hoopS;
      prepare += work.prepareS;
    }
  }
  return { sure, prepare };
}

/** All finishing that is still to come. */
const finishLeft = (day: Day, state: State): number =>
  day.works.reduce((sum, { finishS }, piece) => sum + (state.stage[piece] === STAGE.OFF ? 0 : finishS), 0);

/** Threads that have to be put on a machine at least once more, for pieces that are still to be mounted on it. */
function threadingsLeft(day: Day, state: State, machine: number): number {
  const own = day.machines[machine];
  const now = new Set(state.threaded[machine] ?? []);
  const wanted = new Set<string>();
  /** On one needle what a piece ends with stays for the next. */
  const ends = new Set(now);
  const isOne = own?.needles === 1;
  const on = state.on[machine];
  if (isOne && on && on.piece >= 0) ends.add(workAt(day, on.piece).threads.at(-1) ?? '');
  for (let piece = 0; piece < day.works.length; piece += 1) {
    const work = workAt(day, piece);
    if (work.machine !== machine || (state.stage[piece] ?? 0) >= STAGE.MOUNTED) continue;
    // Of one needle only the first has to be there; of many as many as there are needles.
    for (const thread of isOne ? work.threads.slice(0, 1) : work.threads.slice(0, own?.needles))
      wanted.add(thread);
    if (isOne) ends.add(work.threads.at(-1) ?? '');
  }
  return [...wanted].filter((thread) => !(isOne ? ends : now).has(thread)).length;
}

/**
 * When one machine is done at the earliest with what is still to go through it, and the last of it finished. The hands that
 * take a piece off it are those that put the next one on: it stands still meanwhile.
 */
function machineBound(day: Day, state: State, machine: number): number {
  const on = state.on[machine];
  const isBusy = on !== undefined && on.piece >= 0;
  let at = state.handsS;
  let tail = Number.POSITIVE_INFINITY;
  let head = Number.POSITIVE_INFINITY;
  let waiting = 0;
  if (isBusy) {
    const work = workAt(day, on.piece);
    at = Math.max(at, on.endsS);
    for (const [i, { aloneS, handsS }] of work.runs.entries()) {
      if (i > on.run) at += aloneS;
      if (i >= on.run) at += handsS;
    }
    at += work.takeOffS;
    tail = work.finishS;
    head = 0;
  }
  for (let piece = 0; piece < day.works.length; piece += 1) {
    const work = workAt(day, piece);
    const stage = state.stage[piece];
    if (work.machine !== machine || stage === STAGE.OFF || stage === STAGE.MOUNTED) continue;
    waiting += work.mountS + stitchS(work) + work.takeOffS;
    tail = Math.min(tail, work.finishS);
    const own = stage === STAGE.HOOPED ? 0 : work.hoopS + Math.max(0, work.prepareS - state.idleS);
    head = Math.min(head, own);
  }
  if (tail === Number.POSITIVE_INFINITY) return 0;
  const threading = threadingsLeft(day, state, machine) * (day.machines[machine]?.threadS ?? 0);
  return at + (isBusy ? 0 : head) + waiting + threading + tail;
}

/**
 * How late the pieces of one machine will be at least, all together, seconds: whatever their order, the k-th of them is
 * done no sooner than with the shortest first, and the k-th promised time is met best by the k-th that is done.
 */
function lateBound(day: Day, state: State, machine: number): number {
  const on = state.on[machine];
  let at = state.handsS;
  let late = 0;
  if (on && on.piece >= 0) {
    const work = workAt(day, on.piece);
    at = Math.max(at, on.endsS);
    for (const [i, { aloneS, handsS }] of work.runs.entries())
      at += (i > on.run ? aloneS : 0) + (i >= on.run ? handsS : 0);
    at += work.takeOffS;
    late += work.dueS === null ? 0 : Math.max(0, at + work.finishS - work.dueS);
  }
  const times: number[] = [];
  const dues: number[] = [];
  for (let piece = 0; piece < day.works.length; piece += 1) {
    const work = workAt(day, piece);
    if (work.machine !== machine || (state.stage[piece] ?? 0) >= STAGE.MOUNTED) continue;
    times.push(work.mountS + stitchS(work) + work.takeOffS);
    // What is finished after it is taken off its promised time, so that only the machine counts here.
    dues.push(work.dueS === null ? Number.POSITIVE_INFINITY : work.dueS - work.finishS);
  }
  dues.sort((x, y) => x - y);
  for (const [k, took] of times.sort((x, y) => x - y).entries()) {
    at += took;
    late += Math.max(0, at - (dues[k] ?? Number.POSITIVE_INFINITY));
  }
  return late;
}

/** How long a piece is still in a hoop, seconds, from when hands are free: hooped, mounted, stitched and taken off. */
function heldS(day: Day, state: State, piece: number): number {
  const work = workAt(day, piece);
  const stage = state.stage[piece];
  if (stage === STAGE.OFF) return 0;
  if (stage !== STAGE.MOUNTED)
    return (stage === STAGE.WAITING ? work.hoopS : 0) + work.mountS + stitchS(work) + work.takeOffS;
  const on = state.on[work.machine];
  const run = on?.run ?? 0;
  const rest = work.runs.reduce(
    (sum, { aloneS, handsS }, i) => sum + (i > run ? aloneS : 0) + (i >= run ? handsS : 0),
    0,
  );
  return Math.max(0, (on?.endsS ?? 0) - state.handsS) + rest + work.takeOffS;
}

/** The sets of hoops that are looked at: each kind by itself, and all of them. */
const hoopSets = ({ hoops }: Day): string[][] => {
  const kinds = Object.keys(hoops);
  return kinds.length > 1 ? [...kinds.map((kind) => [kind]), kinds] : [kinds];
};

/** When pieces that fit no other hoops are out of these at the earliest, and the last of them finished. */
function hoopBound(day: Day, state: State, kinds: readonly string[]): number {
  const count = kinds.reduce((sum, kind) => sum + (day.hoops[kind] ?? 0), 0);
  let [busy, tail] = [0, Number.POSITIVE_INFINITY];
  for (let piece = 0; piece < day.works.length; piece += 1) {
    const { hoops, finishS } = workAt(day, piece);
    const held = state.held[piece] ?? null;
    const isTheirs = held === null ? hoops.every((hoop) => kinds.includes(hoop)) : kinds.includes(held);
    if (!isTheirs || state.stage[piece] === STAGE.OFF) continue;
    busy += heldS(day, state, piece);
    tail = Math.min(tail, finishS);
  }
  return count === 0 || tail === Number.POSITIVE_INFINITY ? 0 : state.handsS + busy / count + tail;
}

/**
 * What no way on from a state can be better than: hands have their work to do whatever they wait for, so has every
 * machine, the first piece before it and the last one after it, and so have the hoops.
 */
export function boundOf(day: Day, state: State): Worth {
  const { sure, prepare } = handsLeft(day, state);
  const threading = day.machines.reduce(
    (sum, { threadS }, machine) => sum + threadingsLeft(day, state, machine) * threadS,
    0,
  );
  const hands = state.handsS + sure + threading + finishLeft(day, state) + Math.max(0, prepare - state.idleS);
  // What is idle from now on serves preparing and finishing alike: it is in the time that passes anyway.
  const endS = Math.max(
    hands,
    ...day.machines.map((_, machine) => machineBound(day, state, machine)),
    ...hoopSets(day).map((kinds) => hoopBound(day, state, kinds)),
  );
  const lateS = day.machines.reduce((sum, _, machine) => sum + lateBound(day, state, machine), state.lateS);
  return { lateS, endS };
}
