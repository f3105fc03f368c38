import { afterMove, type Move } from './moves';
import { STAGE, startOf } from './state';
import type { Tapes } from './stretches';
import { tapesOf } from './tapes';
import { type Day, EPSILON, isBetter, type Worth } from './work';

/** When each piece is done: the last of what hands do to it, seconds. */
export const doneOf = ({ hands }: Pick<Tapes, 'hands'>, piece: number): number =>
  hands.reduce((latest, one) => (one.piece === piece ? Math.max(latest, one.toS) : latest), 0);

/** What tapes are worth by when each piece is really finished, which may be long after it is off its machine. */
export const worthOfTapes = ({ works }: Day, tapes: Tapes): Worth => ({
  lateS: works.reduce(
    (sum, { dueS }, piece) => sum + (dueS === null ? 0 : Math.max(0, doneOf(tapes, piece) - dueS)),
    0,
  ),
  endS: tapes.endS,
});

/** So many moves after it is off a piece is tried to be finished: at once, or when the next is on the machine. */
const TRIED = 5;

/** After how many moves a piece is off its machine: the first place where it may be finished. */
function offAfter(day: Day, moves: readonly Move[], piece: number): number {
  let state = startOf(day);
  for (const [at, move] of moves.entries()) {
    if (state.stage[piece] === STAGE.OFF) return at;
    [state] = afterMove(day, state, move);
  }
  return moves.length;
}

/**
 * The moves of a day with finishing among them, where a promised time would be missed because hands only come to it after
 * everything else. Each such piece, what is promised first before the rest, is finished soon after it is off its machine, if
 * all in all less is late then.
 */
export function finishedInTime(day: Day, moves: readonly Move[]): Move[] {
  const told = (some: readonly Move[]) => {
    const tapes = tapesOf(day, some);
    return { moves: [...some], tapes, worth: worthOfTapes(day, tapes) };
  };
  let best = told(moves);
  const byDue = day.works
    .flatMap(({ dueS }, piece) => (dueS === null ? [] : [{ piece, dueS }]))
    .sort((a, b) => a.dueS - b.dueS);
  for (const { piece, dueS } of byDue) {
    if (doneOf(best.tapes, piece) <= dueS + EPSILON) continue;
    const before = best.moves;
    const from = offAfter(day, before, piece);
    for (let at = from; at <= Math.min(before.length, from + TRIED); at += 1) {
      const tried = told([...before.slice(0, at), { kind: 'finish', piece }, ...before.slice(at)]);
      if (isBetter(tried.worth, best.worth)) best = tried;
    }
  }
  return best.moves;
}
