import { type Filler, filled } from './gaps';
import { afterMove, type Move, type Timed } from './moves';
import { type State, startOf, workAt } from './state';
import type { HandsStretch, HoopStretch, MachineStretch, Tapes } from './stretches';
import { type Day, EPSILON } from './work';

/** Every move with when it is done, and the states between. */
function timed(day: Day, moves: readonly Move[]): { steps: Timed[]; states: State[] } {
  const states = [startOf(day)];
  const steps = moves.map((move) => {
    const before = states[states.length - 1] ?? startOf(day);
    const [after, step] = afterMove(day, before, move);
    states.push(after);
    return step;
  });
  return { steps, states };
}

const pieceOf = (move: Move, before: State | undefined): number =>
  'piece' in move ? move.piece : (before?.on[move.machine]?.piece ?? -1);

const DOES = { hoop: 'hoop', mount: 'mount', tend: 'tend', off: 'take off', finish: 'finish' } as const;

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
    return prepareS > EPSILON
      ? [{ fromS, toS: fromS + prepareS, what: 'prepare' as const, piece, threads: [] }, own]
      : [own];
  });
}

/** What each machine does, from when a piece is mounted until it is taken off. */
function machineTapes(day: Day, steps: readonly Timed[], states: readonly State[]): MachineStretch[][] {
  const tapes: MachineStretch[][] = day.machines.map(() => []);
  const put = (machine: number, stretch: MachineStretch) => {
    if (stretch.toS - stretch.fromS > EPSILON) tapes[machine]?.push(stretch);
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
    if (move.kind !== 'mount' && move.kind !== 'tend') return;
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

/** What can be put down of each piece: preparing until it is hooped, finishing once it is off. */
function fillersOf(day: Day, steps: readonly Timed[], states: readonly State[]): Filler[] {
  const finishing = (piece: number, fromS: number): Filler => {
    const { finishS, dueS } = workAt(day, piece);
    return { what: 'finish', piece, leftS: finishS, fromS, byS: dueS ?? Number.POSITIVE_INFINITY };
  };
  const begun = (day.begun ?? []).flatMap(({ id, at }) => {
    const piece = day.works.findIndex((work) => work.id === id);
    return at === 'off' && piece >= 0 ? [finishing(piece, 0)] : [];
  });
  const planned = steps.flatMap(({ move, fromS, toS, prepareS }, i): Filler[] => {
    const piece = pieceOf(move, states[i]);
    if (move.kind === 'off') return [finishing(piece, toS)];
    if (move.kind !== 'hoop') return [];
    return [{ what: 'prepare', piece, leftS: workAt(day, piece).prepareS - prepareS, fromS: 0, byS: fromS }];
  });
  const atOnce = new Set(steps.flatMap(({ move }) => (move.kind === 'finish' ? [move.piece] : [])));
  return [...begun, ...planned].filter(({ what, piece }) => what !== 'finish' || !atOnce.has(piece));
}

/** The tapes of a planned day. What can be put down is done in what hands have free; the rest of it at the end. */
export function tapesOf(day: Day, moves: readonly Move[]): Tapes {
  const { steps, states } = timed(day, moves);
  const main = mainStretches(steps, states);
  const hands = [...main, ...filled(main, fillersOf(day, steps, states))].sort((a, b) => a.fromS - b.fromS);
  const endS = hands.reduce((end, { toS }) => Math.max(end, toS), 0);
  return { hands, machines: machineTapes(day, steps, states), hoops: hoopTape(steps, states), endS };
}
