import { STAGE, type State } from './state';
import type { Day, DayMachine } from './work';

/** Threads that pieces which are not mounted yet want on a machine. */
export function wantedLater(day: Day, { stage }: State, machine: number): Set<string> {
  const wanted = new Set<string>();
  for (const [piece, work] of day.works.entries())
    if (work.machine === machine && (stage[piece] ?? STAGE.OFF) < STAGE.MOUNTED)
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
