import type { Highs } from 'highs';
import { type Day, stitchS, type Work, type Worth } from '../business/day/work';
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

/** A day while it is written as a program: its pieces, its slots, and the rows so far. */
interface Writing {
  day: Day;
  pieces: readonly Piece[];
  times: readonly number[];
  rows: string[];
}

function isAtMost({ rows }: Writing, sum: Sum, most: number) {
  if (sum.length > 0) rows.push(`${written(sum)} <= ${most}`);
}
const is = ({ rows }: Writing, sum: Sum, value: number) => rows.push(`${written(sum)} = ${value}`);

/** That a task begins in a slot. */
const at = ({ name }: Task, t: number): string => `${name}_${t}`;
/** That a piece is prepared in a slot, or finished; that hands have still something to do in it. */
const prepared = (i: number, t: number): string => `p${i}_${t}`;
const finished = (i: number, t: number): string => `f${i}_${t}`;
const used = (t: number): string => `e${t}`;

const one = (name: string): Sum[number] => [1, name];
const ofKind = <T extends { kind: string }>(tasks: readonly T[], kind: string): T[] =>
  tasks.filter((task) => task.kind === kind);

/** Of some tasks those that were begun by a slot. */
const begunBy = (tasks: readonly Task[], t: number): Sum =>
  tasks.flatMap((task) => Array.from({ length: t + 1 }, (_, u) => one(at(task, u))));
/** Of some tasks those that were done by a slot, and so long before it. */
const doneBy = (tasks: readonly Task[], t: number, waits = 0): Sum =>
  tasks.flatMap((task) =>
    Array.from({ length: Math.max(0, t - task.takes - waits + 1) }, (_, u) => one(at(task, u))),
  );
const allOf = ({ hoop, mount, tend, off }: Piece): Task[] => [...hoop, ...mount, ...tend, ...off];

/** What comes after what at one piece: each task once, stitching between what hands do, finishing once it is off. */
function writePiece(writing: Writing, { work, hoop, mount, tend, off }: Piece, i: number) {
  const { times } = writing;
  const last = times.length - 1;
  for (const ways of [hoop, mount, ...tend.map((task) => [task])]) is(writing, begunBy(ways, last), 1);
  // It is taken out of the hoop that it was put in.
  for (const kind of work.hoops)
    is(writing, [...begunBy(ofKind(off, kind), last), ...minus(begunBy(ofKind(hoop, kind), last))], 0);
  is(
    writing,
    times.map((t) => one(prepared(i, t))),
    work.prepareS,
  );
  is(
    writing,
    times.map((t) => one(finished(i, t))),
    work.finishS,
  );
  for (const t of times) {
    const follows = (next: Sum, before: Sum) => isAtMost(writing, [...next, ...minus(before)], 0);
    const hoopedBy = begunBy(hoop, t).map(([, name]) => [work.prepareS, name] as const);
    follows(
      hoopedBy,
      times.slice(0, t).map((u) => one(prepared(i, u))),
    );
    follows(begunBy(mount, t), doneBy(hoop, t));
    let [behind, waits, tended]: [readonly Task[], number, number] = [mount, 0, 0];
    for (const { aloneS, handsS } of work.runs) {
      waits += aloneS;
      const task = tend[tended];
      if (handsS === 0 || !task) continue;
      follows(begunBy([task], t), doneBy(behind, t, waits));
      [behind, waits, tended] = [[task], 0, tended + 1];
    }
    follows(begunBy(off, t), doneBy(behind, t, waits));
    follows([one(finished(i, t))], doneBy(off, t));
  }
}

/** One thing in one pair of hands, and the day not over before the last of it. */
function writeHands(writing: Writing) {
  const { pieces, times } = writing;
  const underWay = (task: Task, t: number): Sum =>
    times.slice(Math.max(0, t - task.takes + 1), t + 1).map((u) => one(at(task, u)));
  for (const t of times) {
    const busy = [
      ...pieces.flatMap((piece) => allOf(piece).flatMap((task) => underWay(task, t))),
      ...pieces.flatMap((_, i) => [one(prepared(i, t)), one(finished(i, t))]),
    ];
    isAtMost(writing, [...busy, [-1, used(t)]], 0);
    if (t > 0) isAtMost(writing, [one(used(t)), [-1, used(t - 1)]], 0);
  }
}

/** One piece on a machine from when it is mounted until it is off, and no more in hoops than there are. */
function writeMachinesAndHoops(writing: Writing) {
  const { day, pieces, times } = writing;
  for (const t of times) {
    for (const machine of day.machines.keys()) {
      const own = pieces.filter(({ work }) => work.machine === machine);
      const on = own.flatMap(({ mount, off }) => [...begunBy(mount, t), ...minus(doneBy(off, t))]);
      isAtMost(writing, on, 1);
    }
    for (const [kind, count] of Object.entries(day.hoops)) {
      const held = pieces.flatMap(({ hoop, off }) => [
        ...begunBy(ofKind(hoop, kind), t),
        ...minus(doneBy(ofKind(off, kind), t)),
      ]);
      isAtMost(writing, held, count);
    }
  }
}

/** Which threads are on a machine, slot by slot: what a piece wants of them and is not on is put on. Answers their names. */
function writeNeedles(writing: Writing, machine: number): string[] {
  const { day, pieces, times } = writing;
  const { needles = 1, threaded = [] } = day.machines[machine] ?? {};
  const own = pieces.filter(({ work }) => work.machine === machine);
  const threads = [...new Set(own.flatMap(({ work }) => work.threads))];
  const isOn = (thread: string, t: number): string => `n${machine}c${threads.indexOf(thread)}_${t}`;
  const mountedAt = (some: readonly Piece[], t: number): Sum =>
    some.flatMap(({ mount }) => mount.map((task) => one(at(task, t))));
  const before = needles === 1 ? threaded.slice(-1) : threaded;
  for (const thread of threads) {
    // On one needle only what is stitched last stays.
    const leaves = ({ work }: Piece) =>
      needles === 1 ? work.threads.at(-1) === thread : work.threads.includes(thread);
    const takes = own.filter((piece) => needles === 1 && !leaves(piece));
    is(writing, [one(isOn(thread, 0))], before.includes(thread) ? 1 : 0);
    for (const t of times.slice(1)) {
      const put = [one(isOn(thread, t - 1)), ...mountedAt(own.filter(leaves), t - 1)];
      isAtMost(writing, [one(isOn(thread, t)), ...minus(put)], 0);
      isAtMost(writing, [one(isOn(thread, t)), ...mountedAt(takes, t - 1)], 1);
    }
  }
  for (const { work, mount } of own) {
    const wanted = threadsOf(work, needles);
    for (const t of times) {
      const there = mount.map((task) => [wanted.length - task.putOn, at(task, t)] as const);
      isAtMost(writing, [...there, ...minus(wanted.map((thread) => one(isOn(thread, t))))], 0);
    }
  }
  return threads.flatMap((thread) => times.map((t) => isOn(thread, t)));
}

/**
 * The best worth of a day as an integer program over time, slot by slot: which task of hands begins in which slot, what is
 * prepared and finished in the slots between, which threads are on which machine. Written from what a day is, not from how
 * it is searched. Times are whole slots; a machine has one needle, or one for every thread; nothing is begun or pinned.
 */
export function bestByProgram(highs: Highs, day: Day): Worth {
  const slots = oneByOneS(day);
  const times = Array.from({ length: slots }, (_, t) => t);
  const pieces = day.works.map((work, i) => pieceOf(day, work, i));
  const writing: Writing = { day, pieces, times, rows: [] };
  pieces.forEach((piece, i) => {
    writePiece(writing, piece, i);
  });
  writeHands(writing);
  writeMachinesAndHoops(writing);
  const needles = [...day.machines.keys()].flatMap((machine) => writeNeedles(writing, machine));
  // Lateness comes before the end: a slot of it is worth more than the longest day.
  const weight = slots + 1;
  const late = pieces.flatMap(({ work: { dueS, finishS }, off }) =>
    off.flatMap((task) =>
      times.flatMap((t) => {
        const by = dueS === null ? 0 : Math.max(0, t + task.takes + finishS - dueS);
        return by > 0 ? [`${by * weight} ${at(task, t)}`] : [];
      }),
    ),
  );
  const tasks = pieces.flatMap(allOf);
  const least = leastByProgram(highs, {
    objective: [...late, ...times.map(used)],
    rows: writing.rows,
    names: [...tasks.flatMap((task) => times.map((t) => at(task, t))), ...needles, ...times.map(used)],
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
