import { threadsFor, wantedLater } from './needles';
import { beforeNight } from './night';
import { isTurnOf, orderOf } from './order';
import { idledTo, NOBODY, type OnMachine, STAGE, type State, workAt } from './state';
import type { Day } from './work';

/** What hands do next: everything that cannot be put down. Times follow from the order of these. */
export type Move =
  | { kind: 'hoop'; piece: number; hoop: string }
  | { kind: 'mount'; piece: number }
  /** At the machine: a thread is changed, a cloth laid. */
  | { kind: 'tend'; machine: number }
  | { kind: 'off'; machine: number }
  /** What is off its machine, without being put down: for the sake of a promised time. */
  | { kind: 'finish'; piece: number };

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

/** All moves that may come next but for finishing, which can be put down; none once every piece is off its machine. */
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
      state.stage[piece] === STAGE.HOOPED &&
      (state.on[work.machine]?.piece ?? 0) < 0 &&
      isTurnOf(day, state, { piece, least: STAGE.MOUNTED })
    )
      moves.push({ kind: 'mount', piece });
    if (state.stage[piece] === STAGE.WAITING && mayHoop(day, state, piece))
      for (const hoop of work.hoops)
        if ((state.free[hoop] ?? 0) > 0) moves.push({ kind: 'hoop', piece, hoop });
  }
  return moves;
}

/** A piece is not hooped before what comes before it is: its hoop might be theirs. */
const mayHoop = (day: Day, state: State, piece: number): boolean =>
  isTurnOf(day, state, { piece, least: STAGE.HOOPED }) &&
  (state.stage[orderOf(day).after[piece] ?? -1] ?? STAGE.OFF) === STAGE.OFF;

function onWith(state: State, machine: number, now: OnMachine): readonly OnMachine[] {
  return state.on.map((was, i) => (i === machine ? now : was));
}
function stagedAs(state: State, piece: number, stage: number): Uint8Array {
  const next = state.stage.slice();
  next[piece] = stage;
  return next;
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
    stage: stagedAs(before, piece, STAGE.HOOPED),
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
    later: wantedLater(day, { ...before, stage: stagedAs(before, piece, STAGE.MOUNTED) }, machine),
  });
  const toS = before.handsS + mountS + putOn.length * own.threadS;
  const after: State = {
    ...before,
    stage: stagedAs(before, piece, STAGE.MOUNTED),
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
    stage: stagedAs(before, piece, STAGE.OFF),
    held: before.held.map((was, i) => (i === piece ? null : was)),
    on: onWith(before, machine, NOBODY),
    free: { ...before.free, [hoop]: (before.free[hoop] ?? 0) + 1 },
    handsS: toS,
    toFinishS: before.toFinishS + finishS,
    lateS: before.lateS + (dueS === null ? 0 : Math.max(0, toS + finishS - dueS)),
  };
  return [after, { move, fromS: before.handsS, toS, prepareS: 0, threads: [] }];
}

function finishedAtOnce(day: Day, before: State, move: Extract<Move, { kind: 'finish' }>): [State, Timed] {
  const { finishS } = workAt(day, move.piece);
  const toS = before.handsS + finishS;
  const toFinishS = before.toFinishS - finishS;
  const after = { ...before, handsS: toS, toFinishS, usableS: Math.min(before.usableS, toFinishS) };
  return [after, { move, fromS: before.handsS, toS, prepareS: 0, threads: [] }];
}

/** The day after a move, and when that was done. */
export function afterMove(day: Day, state: State, move: Move): [State, Timed] {
  switch (move.kind) {
    case 'hoop':
      return hooped(day, state, move);
    case 'mount':
      return mounted(day, state, move);
    case 'tend':
      return tended(day, state, move);
    case 'finish':
      return finishedAtOnce(day, state, move);
    default:
      return takenOff(day, state, move);
  }
}
