import { STAGE, type State, workAt } from './state';
import { type Day, restS, stitchS, type Work, type Worth } from './work';

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

/** What of a day decides its bounds and stays as it is: threads by number, and the pieces of each machine in two orders. */
interface Facts {
  /** Threads by their number. */
  numberOf: ReadonlyMap<string, number>;
  /** Of each piece the thread it begins and ends with, and those that are on its machine at once. */
  begins: readonly number[];
  ends: readonly number[];
  together: readonly (readonly number[])[];
  /** Pieces of each machine, those first that are on it shortest, and those that are promised first. */
  byTime: readonly (readonly number[])[];
  byDue: readonly (readonly number[])[];
}

const known = new WeakMap<Day, Facts>();

const onMachineS = (work: Work): number => work.mountS + stitchS(work) + work.takeOffS;
/** When a piece is to be off its machine, to be finished in time. */
const offByS = ({ dueS, finishS }: Work): number =>
  dueS === null ? Number.POSITIVE_INFINITY : dueS - finishS;

function readFacts(day: Day): Facts {
  const numberOf = new Map<string, number>();
  for (const { threads } of day.works)
    for (const thread of threads) if (!numberOf.has(thread)) numberOf.set(thread, numberOf.size);
  const number = (thread: string | undefined): number => numberOf.get(thread ?? '') ?? -1;
  const sorted = (machine: number, of: (work: Work) => number): number[] =>
    day.works
      .map((_, piece) => piece)
      .filter((piece) => workAt(day, piece).machine === machine)
      .sort((a, b) => of(workAt(day, a)) - of(workAt(day, b)));
  return {
    numberOf,
    begins: day.works.map(({ threads }) => number(threads[0])),
    ends: day.works.map(({ threads }) => number(threads.at(-1))),
    together: day.works.map(({ threads, machine }) =>
      [...new Set(threads)].slice(0, day.machines[machine]?.needles).map(number),
    ),
    byTime: day.machines.map((_, machine) => sorted(machine, onMachineS)),
    byDue: day.machines.map((_, machine) => sorted(machine, offByS)),
  };
}

function factsOf(day: Day): Facts {
  const facts = known.get(day) ?? readFacts(day);
  known.set(day, facts);
  return facts;
}

/**
 * Of one needle: each piece has the thread it begins with put on, unless the piece before it ended with that. An end
 * serves one beginning, so no more are saved than there are ends and beginnings of each thread.
 */
function oneNeedleThreadings(day: Day, state: State, machine: number): number {
  const { numberOf, begins, ends, byTime } = factsOf(day);
  const on = state.on[machine];
  const last = on && on.piece >= 0 ? workAt(day, on.piece).threads.at(-1) : state.threaded[machine]?.at(-1);
  const lacking = new Int32Array(numberOf.size + 1);
  const add = (thread: number, by: number) => {
    lacking[thread + 1] = (lacking[thread + 1] ?? 0) + by;
  };
  add(numberOf.get(last ?? '') ?? -1, -1);
  for (const piece of byTime[machine] ?? []) {
    if ((state.stage[piece] ?? 0) >= STAGE.MOUNTED) continue;
    add(begins[piece] ?? -1, 1);
    add(ends[piece] ?? -1, -1);
  }
  // What has no thread is the first of them, and needs none.
  let putOn = 0;
  for (let i = 1; i < lacking.length; i += 1) putOn += Math.max(0, lacking[i] ?? 0);
  return putOn;
}

/** Threads that have to be put on a machine at least, for pieces that are still to be mounted on it. */
function threadingsLeft(day: Day, state: State, machine: number): number {
  if ((day.machines[machine]?.needles ?? 1) === 1) return oneNeedleThreadings(day, state, machine);
  const { numberOf, together, byTime } = factsOf(day);
  const isOn = new Uint8Array(numberOf.size + 1);
  for (const thread of state.threaded[machine] ?? []) isOn[numberOf.get(thread) ?? numberOf.size] = 1;
  let putOn = 0;
  for (const piece of byTime[machine] ?? []) {
    if ((state.stage[piece] ?? 0) >= STAGE.MOUNTED) continue;
    for (const thread of together[piece] ?? []) {
      if (isOn[thread] === 1) continue;
      isOn[thread] = 1;
      putOn += 1;
    }
  }
  return putOn;
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
    at += restS(work, on.run);
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
    at += restS(work, on.run);
    at += work.takeOffS;
    late += work.dueS === null ? 0 : Math.max(0, at + work.finishS - work.dueS);
  }
  const { byTime, byDue } = factsOf(day);
  const dues = byDue[machine] ?? [];
  let k = 0;
  for (const piece of byTime[machine] ?? []) {
    if ((state.stage[piece] ?? 0) >= STAGE.MOUNTED) continue;
    while ((state.stage[dues[k] ?? 0] ?? 0) >= STAGE.MOUNTED) k += 1;
    at += onMachineS(workAt(day, piece));
    late += Math.max(0, at - offByS(workAt(day, dues[k] ?? 0)));
    k += 1;
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
  return Math.max(0, (on?.endsS ?? 0) - state.handsS) + restS(work, on?.run ?? 0) + work.takeOffS;
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
