import { afterMove, movesFrom } from '../business/day/moves';
import { isPieceDone, type State, startOf, worthOf } from '../business/day/state';
import { type Day, isBetter, type Worth } from '../business/day/work';

/** Everything of a state, so that only one that is the very same is not gone through again. */
const whole = (state: State): string => JSON.stringify({ ...state, stage: [...state.stage], rethreads: 0 });

/** The best worth of a day by going through every order of what hands do: no bound, nothing ruled out. */
export function bestOfAll(day: Day): Worth {
  const known = new Map<string, Worth>();
  const from = (state: State): Worth => {
    if (isPieceDone(state)) return worthOf(state);
    const key = whole(state);
    const before = known.get(key);
    if (before) return before;
    let best: Worth = { lateS: Number.POSITIVE_INFINITY, endS: Number.POSITIVE_INFINITY };
    for (const move of movesFrom(day, state)) {
      const found = from(afterMove(day, state, move)[0]);
      if (isBetter(found, best)) best = found;
    }
    known.set(key, best);
    return best;
  };
  return from(startOf(day));
}
