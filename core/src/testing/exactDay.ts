import type { Highs } from 'highs';
import { type Day, stitchS, type Work, type Worth } from '../uses/day/work';
import { leastByProgram } from './exactOrder';

/** A sum of named variables with a whole factor each. */
type Sum = readonly (readonly [factor: number, name: string])[];

const written = (sum: Sum): string =>
  sum.map(([factor, name]) => `${factor < 0 ? '-' : '+'} ${Math.abs(factor)} ${name}`).join(' ');
const minus = (sum: Sum): Sum => sum.map(([factor, name]) => [-factor, name]);

/** What hands do at a piece without putting it down: the ways of doing it, and how long it takes in each. */
interface Task {
  name: string;
  takes: number;
}

/** One piece as tasks of hands: in each kind of hoop, with so many threads put on, each run tended, taken off. */
interface Piece {
  work: Work;
  hoop: (Task & { kind: string })[];
  mount: (Task & { putOn: number })[];
  tend: Task[];
  off: (Task & { kind: string })[];
}

const threadsOf = ({ threads }: Work, needles: number): string[] => [...new Set(threads)].slice(0, needles);

function pieceOf(day: Day, work: Work, i: number): Piece {
  const { needles = 1, threadS = 0 } = day.machines[work.machine] ?? {};
  const tended = work.runs.filter(({ handsS }) => handsS > 0);
  return {
    work,
    hoop: work.hoops.map((kind) => ({ kind, name: `h${i}${kind}`, takes: work.hoopS })),
    mount: [...threadsOf(work, needles).keys(), threadsOf(work, needles).length].map((putOn) => ({
      putOn,
      name: `m${i}v${putOn}`,
      takes: work.mountS + putOn * threadS,
    })),
    tend: tended.map(({ handsS }, run) => ({ name: `t${i}r${run}`, takes: handsS })),
    off: work.hoops.map((kind) => ({ kind, name: `o${i}${kind}`, takes: work.takeOffS })),
  };
}

/** When a day is over in which nothing is done beside anything else: no plan without a needless rest ends later. */
const oneByOneS = ({ works, machines }: Day): number =>
  works.reduce(
    (sum, work) =>
      sum +
      [work.prepareS, work.hoopS, work.mountS, work.takeOffS, work.finishS].reduce((a, b) => a + b) +
      stitchS(work) +
      work.threads.length * (machines[work.machine]?.threadS ?? 0),
    0,
  );

/**
 * The best worth of a day as an integer program over time, slot by slot: which task of hands begins in which slot, what is
 * prepared and finished in the slots between, which threads are on which machine. Written from what a day is, not from how
 * it is searched. Times are whole slots; a machine has one needle, or one for every thread; nothing is begun or pinned.
 */
export function bestByProgram(highs: Highs, day: Day): Worth {
  const slots = oneByOneS(day);
  const times = Array.from({ length: slots }, (_, t) => t);
  const at = ({ name }: Task, t: number) => `${name}_${t}`;
  /** How many of some tasks were begun by a slot, each so long before it as it takes and more. */
  const doneBy = (tasks: readonly Task[], t: number, waits = 0): Sum =>
    tasks.flatMap((task) =>
      times.slice(0, Math.max(0, t - task.takes - waits + 1)).map((u) => [1, at(task, u)] as const),
    );
  const begunBy = (tasks: readonly Task[], t: number): Sum =>
    tasks.flatMap((task) => times.slice(0, t + 1).map((u) => [1, at(task, u)] as const));
  const pieces = day.works.map((work, i) => pieceOf(day, work, i));
  const allOf = ({ hoop, mount, tend, off }: Piece): Task[] => [...hoop, ...mount, ...tend, ...off];
  const rows: string[] = [];
  const isAtMost = (sum: Sum, most: number) => {
    if (sum.length > 0) rows.push(`${written(sum)} <= ${most}`);
    else if (most < 0) throw new Error('assertion failed: nothing is less than nothing');
  };
  const is = (sum: Sum, value: number) => rows.push(`${written(sum)} = ${value}`);
  const prepared = (i: number, t: number) => `p${i}_${t}`;
  const finished = (i: number, t: number) => `f${i}_${t}`;

  pieces.forEach(({ work, hoop, mount, tend, off }, i) => {
    const last = slots - 1;
    is(begunBy(hoop, last), 1);
    is(begunBy(mount, last), 1);
    for (const task of tend) is(begunBy([task], last), 1);
    for (const kind of work.hoops) {
      const own = <T extends { kind: string }>(tasks: readonly T[]) =>
        tasks.filter((one) => one.kind === kind);
      is([...begunBy(own(off), last), ...minus(begunBy(own(hoop), last))] as Sum, 0);
    }
    is(
      times.map((t) => [1, prepared(i, t)] as const),
      work.prepareS,
    );
    is(
      times.map((t) => [1, finished(i, t)] as const),
      work.finishS,
    );
    for (const t of times) {
      const [before, hoopedBy] = [times.slice(0, t), begunBy(hoop, t)];
      isAtMost(
        [
          ...hoopedBy.map(([, name]) => [work.prepareS, name] as const),
          ...before.map((u) => [-1, prepared(i, u)] as const),
        ],
        0,
      );
      isAtMost([...begunBy(mount, t), ...minus(doneBy(hoop, t))], 0);
      // Stitching goes on between what hands do: each run waits for the one before it, hands for each run.
      let before_: readonly Task[] = mount;
      let waits = 0;
      let tended = 0;
      for (const { aloneS, handsS } of work.runs) {
        waits += aloneS;
        const task = tend[tended];
        if (handsS === 0 || !task) continue;
        isAtMost([...begunBy([task], t), ...minus(doneBy(before_, t, waits))], 0);
        [before_, waits, tended] = [[task], 0, tended + 1];
      }
      isAtMost([...begunBy(off, t), ...minus(doneBy(before_, t, waits))], 0);
      isAtMost([[1, finished(i, t)], ...minus(doneBy(off, t))], 0);
    }
  });

  const underWay = (task: Task, t: number): Sum =>
    times.slice(Math.max(0, t - task.takes + 1), t + 1).map((u) => [1, at(task, u)] as const);
  const used = (t: number) => `e${t}`;
  for (const t of times) {
    // One pair of hands; what they do comes before the end of the day.
    isAtMost(
      [
        ...pieces.flatMap((piece) => allOf(piece).flatMap((task) => underWay(task, t))),
        ...pieces.flatMap((_, i) => [[1, prepared(i, t)] as const, [1, finished(i, t)] as const]),
        [-1, used(t)],
      ],
      0,
    );
    if (t > 0)
      isAtMost(
        [
          [1, used(t)],
          [-1, used(t - 1)],
        ],
        0,
      );
    day.machines.forEach((_, machine) => {
      const own = pieces.filter(({ work }) => work.machine === machine);
      isAtMost(
        own.flatMap(({ mount, off }) => [...begunBy(mount, t), ...minus(doneBy(off, t))]),
        1,
      );
    });
    for (const [kind, count] of Object.entries(day.hoops))
      isAtMost(
        pieces.flatMap(({ hoop, off }) => [
          ...begunBy(
            hoop.filter((one) => one.kind === kind),
            t,
          ),
          ...minus(
            doneBy(
              off.filter((one) => one.kind === kind),
              t,
            ),
          ),
        ]),
        count,
      );
  }

  const needle = (machine: number, thread: number, t: number) => `n${machine}c${thread}_${t}`;
  const needleNames: string[] = [];
  day.machines.forEach(({ needles, threaded }, machine) => {
    const own = pieces.filter(({ work }) => work.machine === machine);
    const threads = [...new Set(own.flatMap(({ work }) => work.threads))];
    threads.forEach((thread, c) => {
      const leaves = ({ work }: Piece) =>
        needles === 1 ? work.threads.at(-1) === thread : work.threads.includes(thread);
      for (const t of times) {
        needleNames.push(needle(machine, c, t));
        const isOn: Sum = [[1, needle(machine, c, t)]];
        if (t === 0) {
          const first = needles === 1 ? threaded.slice(-1) : threaded;
          is(isOn, first.includes(thread) ? 1 : 0);
          continue;
        }
        const [puts, takes] = [own.filter(leaves), own.filter((piece) => needles === 1 && !leaves(piece))];
        const beginning = (some: readonly Piece[]): Sum =>
          some.flatMap(({ mount }) => mount.map((task) => [1, at(task, t - 1)] as const));
        isAtMost([...isOn, [-1, needle(machine, c, t - 1)], ...minus(beginning(puts))], 0);
        isAtMost([...isOn, ...beginning(takes)], 1);
      }
    });
    for (const { work, mount } of own) {
      const wanted = threadsOf(work, needles);
      for (const t of times)
        isAtMost(
          [
            ...mount.map((task) => [wanted.length - task.putOn, at(task, t)] as const),
            ...wanted.map((thread) => [-1, needle(machine, threads.indexOf(thread), t)] as const),
          ],
          0,
        );
    }
  });

  // Lateness comes before the end: a slot of it is worth more than the longest day.
  const weight = slots + 1;
  const late = pieces.flatMap(({ work, off }) =>
    off.flatMap((task) =>
      times.flatMap((t) => {
        const by = work.dueS === null ? 0 : Math.max(0, t + task.takes + work.finishS - work.dueS);
        return by > 0 ? [`${by * weight} ${at(task, t)}`] : [];
      }),
    ),
  );
  const least = leastByProgram(highs, {
    objective: [...late, ...times.map(used)],
    rows,
    names: [
      ...pieces.flatMap((piece) => allOf(piece).flatMap((task) => times.map((t) => at(task, t)))),
      ...needleNames,
      ...times.map(used),
    ],
  });
  return { lateS: Math.floor(least / weight), endS: least % weight };
}

/** A day told in slots: every time of it a whole number of them, none shorter than one. */
export function inSlots({ works, machines, hoops }: Day, slotS: number): Day {
  const slots = (s: number) => Math.max(1, Math.round(s / slotS));
  return {
    hoops,
    machines: machines.map((machine) => ({ ...machine, threadS: slots(machine.threadS) })),
    works: works.map((work) => ({
      ...work,
      prepareS: slots(work.prepareS),
      hoopS: slots(work.hoopS),
      mountS: slots(work.mountS),
      runs: work.runs.map(({ aloneS, handsS }) => ({
        aloneS: slots(aloneS),
        handsS: handsS === 0 ? 0 : slots(handsS),
      })),
      takeOffS: slots(work.takeOffS),
      finishS: slots(work.finishS),
      dueS: work.dueS === null ? null : slots(work.dueS),
    })),
  };
}
