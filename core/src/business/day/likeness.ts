import { wantedLater } from './needles';
import { idledTo, type State } from './state';
import type { Day } from './work';

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
