import { afterMove, type Move, movesFrom } from '../src/business/day/moves';
import { gapOf, solveDay } from '../src/business/day/solve';
import { isPieceDone, type State, startOf, worthOf } from '../src/business/day/state';
import type { Day } from '../src/business/day/work';
import { bestByProgram, inSlots } from '../src/testing/exactDay';
import { exactSolver } from '../src/testing/exactOrder';
import { variedDay } from '../src/testing/variedDays';

/** The same days planned by us, in the order of the pile, and by a plain rule: what is ready first, then what is promised first. */
const DAYS = Number(process.env.DAYS ?? 50);
const LIMIT_MS = 10_000;

interface Outcome {
  endS: number;
  lateS: number;
  rethreads: number;
  ms: number;
}

type Pick = (day: Day, state: State, moves: readonly Move[]) => Move;

function simulated(day: Day, pick: Pick): Outcome {
  const from = performance.now();
  let state = startOf(day);
  while (!isPieceDone(state)) state = afterMove(day, state, pick(day, state, movesFrom(day, state)))[0];
  return { ...worthOf(state), rethreads: state.rethreads, ms: performance.now() - from };
}

const pieceOf = (move: Move, { on }: State): number =>
  'piece' in move ? move.piece : (on[move.machine]?.piece ?? 0);

/** The pile from its top: each piece all the way through before the next is touched. */
const inPileOrder: Pick = (_day, state, moves) =>
  [...moves].sort((a, b) => pieceOf(a, state) - pieceOf(b, state))[0] as Move;

/** Whatever is ready soonest at a machine; a piece into a free machine; else the one that is promised first into a hoop. */
const byList: Pick = (day, state, moves) => {
  const due = (move: Move) => day.works[pieceOf(move, state)]?.dueS ?? Number.POSITIVE_INFINITY;
  const isReady = (move: Move) =>
    (move.kind === 'tend' || move.kind === 'off') && (state.on[move.machine]?.endsS ?? 0) <= state.handsS;
  const rank = (move: Move): number => {
    if (isReady(move)) return 0;
    if (move.kind === 'mount') return 1;
    return move.kind === 'hoop' ? 2 : 3;
  };
  const when = (move: Move) => ('machine' in move ? (state.on[move.machine]?.endsS ?? 0) : 0);
  return [...moves].sort((a, b) => rank(a) - rank(b) || when(a) - when(b) || due(a) - due(b))[0] as Move;
};

function ours(day: Day): Outcome & { gap: number } {
  const from = performance.now();
  const work = solveDay(day);
  let step = work.next();
  while (!step.done) step = work.next(performance.now() - from > LIMIT_MS);
  const { worth, rethreads } = step.value;
  return { ...worth, rethreads, ms: performance.now() - from, gap: gapOf(step.value) };
}

const sums = { ours: [0, 0, 0, 0], pile: [0, 0, 0, 0], list: [0, 0, 0, 0] };
const gaps: number[] = [];
let longestMs = 0;
for (let seed = 1; seed <= DAYS; seed += 1) {
  const day = variedDay(seed * 97, 10 + ((seed * 7) % 51));
  const own = ours(day);
  gaps.push(own.gap);
  longestMs = Math.max(longestMs, own.ms);
  for (const [name, one] of [
    ['ours', own],
    ['pile', simulated(day, inPileOrder)],
    ['list', simulated(day, byList)],
  ] as const) {
    const sum = sums[name];
    [one.endS, one.lateS, one.rethreads, one.ms].forEach((value, i) => {
      sum[i] = (sum[i] ?? 0) + value;
    });
  }
}
const beside = (other: readonly number[]): string => {
  const ratio = (i: number) => ((sums.ours[i] ?? 0) / Math.max(1e-9, other[i] ?? 0)).toFixed(2);
  return `done in ${ratio(0)} × its time, ${ratio(1)} × as late, ${ratio(2)} × the threads put on, planned in ${ratio(3)} × the time`;
};
const near = gaps.filter((gap) => gap <= 0.05).length;
console.log(
  `a day of 10 to 60 pieces, ${DAYS} of them: ${near} within 5 % of the bound, the farthest ${(Math.max(...gaps) * 100).toFixed(1)} %, at most ${(longestMs / 1000).toFixed(1)} s; beside the pile from its top: ${beside(sums.pile)}; beside a list by promised days: ${beside(sums.list)}`,
);

/** Few pieces, in slots of ten minutes, beside an integer program of the same days. */
const highs = await exactSolver();
const [FEW, PIECES] = [6, 4];
let [ownMs, programMs, alike] = [0, 0, 0];
for (let seed = 1; seed <= FEW; seed += 1) {
  const varied = variedDay(seed * 53, PIECES);
  const machines = varied.machines.map((one) => ({ ...one, needles: one.needles === 1 ? 1 : 12 }));
  const day = inSlots({ ...varied, machines }, 600);
  const own = ours(day);
  const from = performance.now();
  const best = bestByProgram(highs, day);
  programMs += performance.now() - from;
  ownMs += own.ms;
  if (best.lateS === Math.round(own.lateS) && best.endS === Math.round(own.endS)) alike += 1;
}
console.log(
  `a day of ${PIECES} pieces, ${FEW} of them: ${alike} as good as an integer program of them, in ${(ownMs / programMs).toFixed(3)} × its time`,
);
