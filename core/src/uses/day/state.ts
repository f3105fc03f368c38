import { type Day, type DayMachine, EPSILON, type Work, type Worth } from './work';

/** What hands do next: everything that cannot be put down. Times follow from the order of these. */
export type Move =
  | { kind: 'hoop'; piece: number; hoop: string }
  | { kind: 'mount'; piece: number }
  /** At the machine: a thread is changed, a cloth laid. */
  | { kind: 'tend'; machine: number }
  | { kind: 'off'; machine: number };

/** What is on a machine: a piece at one of its runs, and when that run ends; no piece where it is free. */
interface OnMachine {
  piece: number;
  run: number;
  endsS: number;
}

const WAITING = 0;
const HOOPED = 1;
const MOUNTED = 2;
const OFF = 3;

/** The day so far, after some moves. */
export interface State {
  stage: Uint8Array;
  /** The hoop each piece is in. */
  held: readonly (string | null)[];
  on: readonly OnMachine[];
  /** What is on the needles of each machine, the last used last. */
  threaded: readonly (readonly string[])[];
  free: Readonly<Record<string, number>>;
  /** When hands are free. */
  handsS: number;
  /**
   * Hands that were idle and did nothing yet: whatever can be put down is done in them, looking back. Of these,
   * `usableS` could also serve what is to be finished by now.
   */
  idleS: number;
  usableS: number;
  /** What is off the machine and still to be finished, seconds of hands. */
  toFinishS: number;
  lateS: number;
  rethreads: number;
}

/** When a hand’s move begins and ends. */
export interface Timed {
  move: Move;
  fromS: number;
  toS: number;
  /** Preparing that idle hands had not done before, at its beginning. */
  prepareS: number;
  /** Threads put on. */
  threads: readonly string[];
}

const NOBODY: OnMachine = { piece: -1, run: 0, endsS: 0 };

export const workAt = ({ works }: Day, piece: number): Work => {
  const work = works[piece];
  if (!work) throw new Error('assertion failed: every move is of a piece of the day');
  return work;
};

/** How a day begins, with what is begun already. */
export function startOf(day: Day): State {
  const stage = new Uint8Array(day.works.length);
  const held: (string | null)[] = day.works.map(() => null);
  const free: Record<string, number> = { ...day.hoops };
  const on: OnMachine[] = day.machines.map(() => NOBODY);
  let [toFinishS, lateS] = [0, 0];
  for (const begun of day.begun ?? []) {
    const piece = day.works.findIndex(({ id }) => id === begun.id);
    if (piece < 0) continue;
    if (begun.at === 'off') {
      const { finishS, dueS } = workAt(day, piece);
      stage[piece] = OFF;
      toFinishS += finishS;
      lateS += dueS === null ? 0 : Math.max(0, finishS - dueS);
      continue;
    }
    held[piece] = begun.hoop;
    free[begun.hoop] = (free[begun.hoop] ?? 0) - 1;
    stage[piece] = begun.at === 'machine' ? MOUNTED : HOOPED;
    if (begun.at === 'machine')
      on[workAt(day, piece).machine] = { piece, run: begun.run, endsS: begun.leftS };
  }
  return {
    stage,
    held,
    on,
    threaded: day.machines.map(({ threaded }) => threaded),
    free,
    handsS: 0,
    idleS: 0,
    usableS: 0,
    toFinishS,
    lateS,
    rethreads: 0,
  };
}

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

function orderOf(day: Day): Order {
  const order = orders.get(day) ?? readOrder(day);
  orders.set(day, order);
  return order;
}

/** Whether everything that comes before a piece is at least at a stage. */
function isTurnOf(day: Day, { stage }: State, { piece, least }: { piece: number; least: number }): boolean {
  const { pinned, twin } = orderOf(day);
  const isThere = (before: number): boolean => (stage[before] ?? OFF) >= least;
  return isThere(twin[piece] ?? -1) && (pinned[piece] ?? []).every(isThere);
}

/** All moves that may come next; none once every piece is off its machine. */
export function movesFrom(day: Day, state: State): Move[] {
  const moves: Move[] = [];
  for (const [machine, { piece, run }] of state.on.entries()) {
    if (piece < 0) continue;
    const { runs } = workAt(day, piece);
    const now = runs[run];
    if (now && now.handsS > 0) moves.push({ kind: 'tend', machine });
    else moves.push({ kind: 'off', machine });
  }
  for (let piece = 0; piece < day.works.length; piece += 1) {
    const work = workAt(day, piece);
    if (
      state.stage[piece] === HOOPED &&
      (state.on[work.machine]?.piece ?? 0) < 0 &&
      isTurnOf(day, state, { piece, least: MOUNTED })
    )
      moves.push({ kind: 'mount', piece });
    if (state.stage[piece] === WAITING && mayHoop(day, state, piece))
      for (const hoop of work.hoops)
        if ((state.free[hoop] ?? 0) > 0) moves.push({ kind: 'hoop', piece, hoop });
  }
  return moves;
}

/** A piece is not hooped before what comes before it is: its hoop might be theirs. */
const mayHoop = (day: Day, state: State, piece: number): boolean =>
  isTurnOf(day, state, { piece, least: HOOPED }) &&
  (state.stage[orderOf(day).after[piece] ?? -1] ?? OFF) === OFF;

/** Threads that pieces which are not mounted yet want on a machine. */
function wantedLater(day: Day, { stage }: State, machine: number): Set<string> {
  const wanted = new Set<string>();
  for (const [piece, work] of day.works.entries())
    if (work.machine === machine && (stage[piece] ?? OFF) < MOUNTED)
      for (const thread of work.threads) wanted.add(thread);
  return wanted;
}

/**
 * Threads that have to be put on for a piece, and the needles after it: what nobody wants any more gives way, then what was
 * not used for longest.
 */
export function threadsFor(
  threaded: readonly string[],
  threads: readonly string[],
  { needles, later }: Pick<DayMachine, 'needles'> & { later: ReadonlySet<string> },
): { putOn: string[]; after: string[] } {
  let now = [...threaded];
  const putOn: string[] = [];
  // Only what is stitched first has to be there when it is mounted, as far as there are needles.
  const wanted = [...new Set(threads)].slice(0, needles);
  for (const thread of wanted) {
    if (!now.includes(thread)) {
      putOn.push(thread);
      if (now.length >= needles) {
        const idle = now.filter((one) => !wanted.includes(one));
        const out = idle.find((one) => !later.has(one)) ?? idle[0];
        now = now.filter((one) => one !== out);
      }
      now.push(thread);
    }
  }
  // What is stitched last was used last; on one needle it is what stays there.
  for (const thread of threads) {
    now = now.filter((one) => one !== thread);
    if (now.length >= needles) now.shift();
    now.push(thread);
  }
  return { putOn, after: now };
}

/** Idle hands up to a time: they are counted, to be used looking back. */
function idledTo(state: State, toS: number): State {
  const idle = Math.max(0, toS - state.handsS);
  return {
    ...state,
    handsS: state.handsS + idle,
    idleS: state.idleS + idle,
    usableS: state.usableS + Math.min(idle, state.toFinishS - state.usableS),
  };
}

function onWith(state: State, machine: number, now: OnMachine): readonly OnMachine[] {
  return state.on.map((was, i) => (i === machine ? now : was));
}
function stagedAs(state: State, piece: number, stage: number): Uint8Array {
  const next = state.stage.slice();
  next[piece] = stage;
  return next;
}

const stitchS = ({ runs }: Work): number =>
  runs.reduce((sum, { aloneS, handsS }) => sum + aloneS + handsS, 0);

/** What a piece takes from being put on its machine to being off it, each of its threads put on. */
const throughS = ({ machines }: Day, { mountS, takeOffS, machine, threads, ...work }: Work): number =>
  mountS + stitchS(work as Work) + takeOffS + new Set(threads).size * (machines[machine]?.threadS ?? 0);

/** When a machine is free of what is on it, and of what waits in its hoops for it, at the earliest. */
function freeS(day: Day, { stage, on, handsS }: State, machine: number): number {
  const now = on[machine] ?? NOBODY;
  let at = handsS;
  if (now.piece >= 0) {
    const { runs, takeOffS } = workAt(day, now.piece);
    at = Math.max(at, now.endsS) + takeOffS;
    for (const [i, { aloneS, handsS: hands }] of runs.entries())
      at += (i > now.run ? aloneS : 0) + (i >= now.run ? hands : 0);
  }
  for (const [piece, work] of day.works.entries())
    if (stage[piece] === HOOPED && work.machine === machine) at += throughS(day, work);
  return at;
}

/** The state in which a piece may be hooped: now, or when the shop opens again, so that it is not in its hoop overnight. */
function beforeNight(day: Day, state: State, piece: number): State {
  const closes = day.closesS ?? [];
  if (closes.length === 0) return state;
  const work = workAt(day, piece);
  const longestS = Math.max(...closes.map((closeS, i) => closeS - (closes[i - 1] ?? 0)));
  // What no day is long enough for is begun all the same.
  if (work.hoopS + throughS(day, work) > longestS + EPSILON) return state;
  let now = state;
  for (const closeS of closes) {
    if (closeS <= now.handsS + EPSILON) continue;
    const hoopedS = now.handsS + Math.max(0, work.prepareS - now.idleS) + work.hoopS;
    const offS = Math.max(hoopedS, freeS(day, now, work.machine)) + throughS(day, work);
    if (offS <= closeS + EPSILON) return now;
    now = idledTo(now, closeS);
  }
  return now;
}

function hooped(day: Day, now: State, move: Extract<Move, { kind: 'hoop' }>): [State, Timed] {
  const { piece, hoop } = move;
  const before = beforeNight(day, now, piece);
  const { prepareS, hoopS } = workAt(day, piece);
  const done = Math.min(before.idleS, prepareS);
  const idleS = before.idleS - done;
  const rest = prepareS - done;
  const toS = before.handsS + rest + hoopS;
  const after: State = {
    ...before,
    stage: stagedAs(before, piece, HOOPED),
    held: before.held.map((was, i) => (i === piece ? hoop : was)),
    free: { ...before.free, [hoop]: (before.free[hoop] ?? 0) - 1 },
    handsS: toS,
    idleS,
    usableS: Math.min(before.usableS, idleS),
  };
  return [after, { move, fromS: before.handsS, toS, prepareS: rest, threads: [] }];
}

function mounted(day: Day, before: State, move: Extract<Move, { kind: 'mount' }>): [State, Timed] {
  const { piece } = move;
  const { machine, mountS, runs, threads } = workAt(day, piece);
  const own = day.machines[machine] ?? { needles: 1, threaded: [], threadS: 0 };
  const { putOn, after: needles } = threadsFor(before.threaded[machine] ?? [], threads, {
    needles: own.needles,
    later: wantedLater(day, { ...before, stage: stagedAs(before, piece, MOUNTED) }, machine),
  });
  const toS = before.handsS + mountS + putOn.length * own.threadS;
  const after: State = {
    ...before,
    stage: stagedAs(before, piece, MOUNTED),
    on: onWith(before, machine, { piece, run: 0, endsS: toS + (runs[0]?.aloneS ?? 0) }),
    threaded: before.threaded.map((was, i) => (i === machine ? needles : was)),
    handsS: toS,
    rethreads: before.rethreads + putOn.length,
  };
  return [after, { move, fromS: before.handsS, toS, prepareS: 0, threads: putOn }];
}

function tended(day: Day, begun: State, move: Extract<Move, { kind: 'tend' }>): [State, Timed] {
  const { machine } = move;
  const { piece, run, endsS } = begun.on[machine] ?? NOBODY;
  const before = idledTo(begun, endsS);
  const { runs } = workAt(day, piece);
  const toS = before.handsS + (runs[run]?.handsS ?? 0);
  const next = runs[run + 1];
  // Where hands were at it last, it is done.
  const on = next
    ? { piece, run: run + 1, endsS: toS + next.aloneS }
    : { piece, run: runs.length, endsS: toS };
  return [
    { ...before, on: onWith(before, machine, on), handsS: toS },
    { move, fromS: before.handsS, toS, prepareS: 0, threads: [] },
  ];
}

function takenOff(day: Day, begun: State, move: Extract<Move, { kind: 'off' }>): [State, Timed] {
  const { machine } = move;
  const { piece, endsS } = begun.on[machine] ?? NOBODY;
  const before = idledTo(begun, endsS);
  const { takeOffS, finishS, dueS } = workAt(day, piece);
  const toS = before.handsS + takeOffS;
  const hoop = before.held[piece] ?? '';
  const after: State = {
    ...before,
    stage: stagedAs(before, piece, OFF),
    held: before.held.map((was, i) => (i === piece ? null : was)),
    on: onWith(before, machine, NOBODY),
    free: { ...before.free, [hoop]: (before.free[hoop] ?? 0) + 1 },
    handsS: toS,
    toFinishS: before.toFinishS + finishS,
    lateS: before.lateS + (dueS === null ? 0 : Math.max(0, toS + finishS - dueS)),
  };
  return [after, { move, fromS: before.handsS, toS, prepareS: 0, threads: [] }];
}

/** The day after a move, and when that was done. */
export function moved(day: Day, state: State, move: Move): [State, Timed] {
  switch (move.kind) {
    case 'hoop':
      return hooped(day, state, move);
    case 'mount':
      return mounted(day, state, move);
    case 'tend':
      return tended(day, state, move);
    default:
      return takenOff(day, state, move);
  }
}

export const isDone = ({ stage }: State): boolean => stage.every((one) => one === OFF);

/** What a finished day is worth: finishing that idle hands could not do comes at its end. */
export const worthOf = ({ lateS, handsS, toFinishS, usableS }: State): Worth => ({
  lateS,
  endS: handsS + toFinishS - usableS,
});

/** What is on the needles of a machine, as far as it decides anything: what nobody wants is as good as nothing. */
function needlesKey(day: Day, state: State, machine: number): string {
  const later = wantedLater(day, state, machine);
  const needed = (state.threaded[machine] ?? []).filter((thread) => later.has(thread));
  // With a needle for every thread, none gives way: which was used last decides nothing.
  return (later.size <= (day.machines[machine]?.needles ?? 1) ? [...needed].sort() : needed).join();
}

/** What decides how a day goes on, but for times. */
export const keyOf = (day: Day, state: State): string => {
  const { stage, held, on } = state;
  const needles = day.machines.map((_, machine) => needlesKey(day, state, machine));
  return `${stage.join('')}|${held.map((hoop) => hoop ?? '').join()}|${on.map(({ piece, run }) => `${piece}.${run}`).join()}|${needles.join(';')}`;
};

/**
 * Whether whatever follows one state is at least as good as what follows the other; both with one key. Who is done
 * sooner may be idle until then.
 */
export function dominates(a: State, b: State): boolean {
  if (a.handsS > b.handsS || a.lateS > b.lateS) return false;
  for (let m = 0; m < a.on.length; m += 1) {
    const [one, other] = [a.on[m], b.on[m]];
    if (one && other && one.piece >= 0 && Math.max(one.endsS, b.handsS) > Math.max(other.endsS, b.handsS))
      return false;
  }
  const waited = idledTo(a, b.handsS);
  return (
    waited.idleS >= b.idleS &&
    waited.idleS - waited.usableS >= b.idleS - b.usableS &&
    waited.toFinishS - waited.usableS <= b.toFinishS - b.usableS
  );
}

export const STAGE = { WAITING, HOOPED, MOUNTED, OFF } as const;
