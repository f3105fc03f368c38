import { type Move, moved, type Timed } from './moves';
import { type State, startOf, workAt } from './state';
import type { Day } from './work';

/** What hands do. */
export type HandsDo = 'prepare' | 'hoop' | 'mount' | 'tend' | 'take off' | 'finish';

/** A stretch on the tape of hands, seconds from the beginning of the plan. */
export interface HandsStretch {
  fromS: number;
  toS: number;
  what: HandsDo;
  /** Which piece, from 0. */
  piece: number;
  /** Threads that are put on, where it is mounted. */
  threads: readonly string[];
  /** At which run hands are at the machine. */
  run?: number;
}

/** A stretch on the tape of a machine: it stitches by itself, or hands are at it. */
export interface MachineStretch {
  fromS: number;
  toS: number;
  piece: number;
  by: 'machine' | 'hands';
}

/** While a piece is in a hoop. */
export interface HoopStretch {
  fromS: number;
  toS: number;
  piece: number;
  hoop: string;
}

/** A day as it is drawn: a tape for hands, one for each machine, and which hoop is whose when. */
export interface Tapes {
  hands: HandsStretch[];
  machines: MachineStretch[][];
  hoops: HoopStretch[];
  endS: number;
}

interface Gap {
  fromS: number;
  toS: number;
}

/** What can be put down, to be done in gaps: from a time on, or before one. */
interface Filler {
  what: 'prepare' | 'finish';
  piece: number;
  leftS: number;
  fromS: number;
}

const LEAST_S = 1e-6;

/** Puts fillers into gaps, the first of them first, as early as each may begin; what found no room is left. */
function fill(
  gaps: readonly Gap[],
  fillers: readonly Filler[],
): { done: HandsStretch[]; gaps: Gap[]; left: Filler[] } {
  const done: HandsStretch[] = [];
  const left: Filler[] = [];
  let open = [...gaps];
  for (const filler of fillers) {
    let rest = filler.leftS;
    open = open.flatMap((gap): Gap[] => {
      const fromS = Math.max(gap.fromS, filler.fromS);
      const takes = Math.min(rest, gap.toS - fromS);
      if (takes <= LEAST_S) return [gap];
      rest -= takes;
      done.push({ fromS, toS: fromS + takes, what: filler.what, piece: filler.piece, threads: [] });
      return [
        { fromS: gap.fromS, toS: fromS },
        { fromS: fromS + takes, toS: gap.toS },
      ].filter((one) => one.toS - one.fromS > LEAST_S);
    });
    if (rest > LEAST_S) left.push({ ...filler, leftS: rest });
  }
  return { done, gaps: open, left };
}

/** Every move with when it is done, and the states between. */
function timed(day: Day, moves: readonly Move[]): { steps: Timed[]; states: State[] } {
  const states = [startOf(day)];
  const steps = moves.map((move) => {
    const before = states[states.length - 1] ?? startOf(day);
    const [after, step] = moved(day, before, move);
    states.push(after);
    return step;
  });
  return { steps, states };
}

const pieceOf = (move: Move, before: State | undefined): number =>
  move.kind === 'hoop' || move.kind === 'mount' ? move.piece : (before?.on[move.machine]?.piece ?? -1);

const DOES = { hoop: 'hoop', mount: 'mount', tend: 'tend', off: 'take off' } as const;

/** The stretches of what cannot be put down; preparing that nobody had time for stands right before its hooping. */
function mainStretches(steps: readonly Timed[], states: readonly State[]): HandsStretch[] {
  return steps.flatMap(({ move, fromS, toS, prepareS, threads }, i) => {
    const piece = pieceOf(move, states[i]);
    const own: HandsStretch = {
      fromS: fromS + prepareS,
      toS,
      what: DOES[move.kind],
      piece,
      threads,
      ...(move.kind === 'tend' ? { run: states[i]?.on[move.machine]?.run ?? 0 } : {}),
    };
    return prepareS > LEAST_S
      ? [{ fromS, toS: fromS + prepareS, what: 'prepare' as const, piece, threads: [] }, own]
      : [own];
  });
}

function gapsOf(main: readonly HandsStretch[]): Gap[] {
  let at = 0;
  return main.flatMap(({ fromS, toS }) => {
    const gap = { fromS: at, toS: fromS };
    at = toS;
    return gap.toS - gap.fromS > LEAST_S ? [gap] : [];
  });
}

/** What each machine does, from when a piece is mounted until it is taken off. */
function machineTapes(day: Day, steps: readonly Timed[], states: readonly State[]): MachineStretch[][] {
  const tapes: MachineStretch[][] = day.machines.map(() => []);
  const put = (machine: number, stretch: MachineStretch) => {
    if (stretch.toS - stretch.fromS > LEAST_S) tapes[machine]?.push(stretch);
  };
  const runs = (machine: number, state: State | undefined, fromS: number) => {
    const on = state?.on[machine];
    if (on && on.piece >= 0)
      put(machine, { fromS, toS: Math.max(fromS, on.endsS), piece: on.piece, by: 'machine' });
  };
  day.machines.forEach((_, machine) => {
    runs(machine, states[0], 0);
  });
  steps.forEach(({ move, fromS, toS }, i) => {
    const piece = pieceOf(move, states[i]);
    if (move.kind === 'hoop' || move.kind === 'off') return;
    const { machine } = workAt(day, piece);
    put(machine, { fromS, toS, piece, by: 'hands' });
    runs(machine, states[i + 1], toS);
  });
  return tapes;
}

function hoopTape(steps: readonly Timed[], states: readonly State[]): HoopStretch[] {
  const from = new Map<number, HoopStretch>();
  const all: HoopStretch[] = [];
  const begin = (piece: number, hoop: string, fromS: number) =>
    from.set(piece, { fromS, toS: fromS, piece, hoop });
  states[0]?.held.forEach((hoop, piece) => {
    if (hoop !== null) begin(piece, hoop, 0);
  });
  steps.forEach(({ move, fromS, toS, prepareS }, i) => {
    const piece = pieceOf(move, states[i]);
    if (move.kind === 'hoop') begin(piece, move.hoop, fromS + prepareS);
    const held = from.get(piece);
    if (move.kind === 'off' && held) all.push({ ...held, toS });
  });
  return all;
}

/**
 * The tapes of a planned day. What can be put down is done in what hands have free: preparing as early as can be, so that
 * later gaps are left for finishing; what is not finished then comes at the end.
 */
export function tapesOf(day: Day, moves: readonly Move[]): Tapes {
  const { steps, states } = timed(day, moves);
  const main = mainStretches(steps, states);
  const ahead = steps.flatMap(({ move, prepareS }): Filler[] => {
    if (move.kind !== 'hoop') return [];
    const leftS = workAt(day, move.piece).prepareS - prepareS;
    return leftS > LEAST_S ? [{ what: 'prepare', piece: move.piece, leftS, fromS: 0 }] : [];
  });
  const prepared = fill(gapsOf(main), ahead);
  const behind = steps.flatMap(({ move, toS }, i): Filler[] => {
    if (move.kind !== 'off') return [];
    const piece = pieceOf(move, states[i]);
    return [{ what: 'finish', piece, leftS: workAt(day, piece).finishS, fromS: toS }];
  });
  const begun = (day.begun ?? []).flatMap(({ id, at: stands }): Filler[] => {
    const piece = day.works.findIndex((work) => work.id === id);
    const leftS = day.works[piece]?.finishS ?? 0;
    return stands === 'off' && piece >= 0 ? [{ what: 'finish', piece, leftS, fromS: 0 }] : [];
  });
  const finished = fill(prepared.gaps, [...begun, ...behind]);
  let at = main.reduce((end, { toS }) => Math.max(end, toS), 0);
  const last = finished.left.map(({ piece, leftS }): HandsStretch => {
    const fromS = at;
    at += leftS;
    return { fromS, toS: at, what: 'finish', piece, threads: [] };
  });
  const hands = [...main, ...prepared.done, ...finished.done, ...last].sort((a, b) => a.fromS - b.fromS);
  return { hands, machines: machineTapes(day, steps, states), hoops: hoopTape(steps, states), endS: at };
}
