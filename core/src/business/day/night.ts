import { idledTo, NOBODY, STAGE, type State, workAt } from './state';
import { type Day, EPSILON, restS, stitchS, type Work } from './work';

/** What a piece takes from being put on its machine to being off it, each of its threads put on. */
const throughS = ({ machines }: Day, work: Work): number =>
  work.mountS +
  stitchS(work) +
  work.takeOffS +
  new Set(work.threads).size * (machines[work.machine]?.threadS ?? 0);

/** When a machine is free of what is on it, and of what waits in its hoops for it, at the earliest. */
function freeS(day: Day, { stage, on, handsS }: State, machine: number): number {
  const now = on[machine] ?? NOBODY;
  let at = handsS;
  if (now.piece >= 0) {
    const work = workAt(day, now.piece);
    at = Math.max(at, now.endsS) + restS(work, now.run) + work.takeOffS;
  }
  for (const [piece, work] of day.works.entries())
    if (stage[piece] === STAGE.HOOPED && work.machine === machine) at += throughS(day, work);
  return at;
}

/** The state in which a piece may be hooped: now, or when the shop opens again, so that it is not in its hoop overnight. */
export function beforeNight(day: Day, state: State, piece: number): State {
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
