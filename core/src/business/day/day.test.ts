import { bestOfAll } from '../../testing/everyDay';
import { expectSound, overlaps, solved } from '../../testing/soundDay';
import { variedDay } from '../../testing/variedDays';
import { tapesOf } from './tapes';
import { type Day, type Work, whyNotPlanned } from './work';

it('a few pieces are planned as well as by going through every order of what hands do', () => {
  for (let seed = 1; seed <= 90; seed += 1) {
    const day = variedDay(seed * 77, 1 + (seed % 3));
    const found = solved(day);
    const best = bestOfAll(day);
    expect(found.isExact).toBe(true);
    expect([found.worth.lateS, found.worth.endS].map(Math.round)).toEqual(
      [best.lateS, best.endS].map(Math.round),
    );
    expectSound(day, tapesOf(day, found.moves), found);
  }
});

it('the next piece is hooped while one stitches: two hoops are done sooner than one', () => {
  const works = [1, 2, 3, 4].map((n) => ({
    id: `tee-${n}`,
    name: `Tee ${n}`,
    prepareS: 180,
    hoopS: 180,
    hoops: ['a'],
    machine: 0,
    mountS: 90,
    runs: [{ aloneS: 900, handsS: 0 }],
    threads: ['navy'],
    takeOffS: 120,
    finishS: 180,
    dueS: null,
  }));
  const machines = [{ needles: 1, threaded: ['navy'], threadS: 75 }];
  const [one, two] = [1, 2].map((count) => solved({ works, machines, hoops: { a: count } }));
  // By hand: with one hoop each piece waits for the one before; with two only the first is hooped while nothing stitches.
  expect(two?.worth.endS).toBe(180 + 180 + 4 * (90 + 900) + 3 * 120 + 120 + 180);
  expect(one?.worth.endS).toBe(180 + 4 * 180 + 4 * (90 + 900) + 4 * 120 + 180);
});

it('pieces of one thread follow one another where that saves a change', () => {
  const piece = (id: string, thread: string) => ({
    ...variedDay(1, 1).works[0],
    id,
    name: id,
    prepareS: 60,
    hoopS: 120,
    hoops: ['a'],
    machine: 0,
    mountS: 60,
    runs: [{ aloneS: 300, handsS: 0 }],
    threads: [thread],
    takeOffS: 60,
    finishS: 60,
    dueS: null,
  });
  const works = [piece('one', 'navy'), piece('two', 'gold'), piece('three', 'navy'), piece('four', 'gold')];
  const machines = [{ needles: 1, threaded: ['gold'], threadS: 75 }];
  expect(solved({ works, machines, hoops: { a: 2 } }).rethreads).toBe(1);
});

it('pinned pieces go onto their machine in that order, and what is begun is gone on with', () => {
  const day = variedDay(5, 4);
  const pinned = [...day.works].reverse().map(({ id }) => id);
  const { moves } = solved({ ...day, pinned });
  const mounts = moves.flatMap((move) => (move.kind === 'mount' ? [day.works[move.piece]?.id] : []));
  for (const machine of day.machines.keys()) {
    const own = new Set(day.works.filter((work) => work.machine === machine).map(({ id }) => id));
    expect(mounts.filter((id) => own.has(id ?? ''))).toEqual(pinned.filter((id) => own.has(id)));
  }
  const [first] = day.works;
  if (!first) throw new Error('the day has pieces');
  const begun = [
    {
      id: first.id,
      at: 'machine' as const,
      hoop: first.hoops[0] ?? 'a',
      run: first.runs.length - 1,
      leftS: 120,
    },
  ];
  const going = { ...day, begun };
  const after = solved(going);
  const tapes = tapesOf(going, after.moves);
  expect(overlaps(tapes.hands)).toBe(false);
  expect(tapes.machines[first.machine]?.[0]).toMatchObject({ piece: 0, by: 'machine', fromS: 0, toS: 120 });
  expect(tapes.hands.some(({ piece, what }) => piece === 0 && what === 'hoop')).toBe(false);
});

it('what cannot be planned is told by its name', () => {
  const day = variedDay(3, 2);
  expect(whyNotPlanned(day)).toBeNull();
  expect(whyNotPlanned({ ...day, hoops: {} })).toBe(
    '“Piece 1” has no hoop: the one it was planned with is not on the shelf any more.',
  );
  expect(whyNotPlanned({ ...day, machines: [] })).toBe('“Piece 1” has no machine.');
});

it('a day with nothing to do is over at once', () => {
  const found = solved({ works: [], machines: [], hoops: {} });
  expect([found.worth, found.moves]).toEqual([{ lateS: 0, endS: 0 }, []]);
});

describe('pieces just like one another', () => {
  const [like] = variedDay(11, 1).works;
  if (!like) throw new Error('a day has pieces');
  const of = (dueOf: (i: number) => number | null): Day => ({
    ...variedDay(11, 1),
    works: [0, 1, 2].map((i) => ({ ...like, id: `like-${i}`, dueS: dueOf(i) })),
  });

  it('are taken in their order, as good as any other', () => {
    const { moves, worth } = solved(of(() => null));
    const hooped = moves.flatMap((move) => (move.kind === 'hoop' ? [move.piece] : []));
    expect(hooped).toEqual([0, 1, 2]);
    // Told apart by days far off, every order is gone through.
    expect(bestOfAll(of((i) => 1e9 + i)).endS).toBeCloseTo(worth.endS, 6);
  });

  it('may be pinned against their order', () => {
    const pinned = ['like-2', 'like-0'];
    const { moves } = solved({ ...of(() => null), pinned });
    const mounts = moves.flatMap((move) => (move.kind === 'mount' ? [`like-${move.piece}`] : []));
    expect(mounts.filter((id) => pinned.includes(id))).toEqual(pinned);
  });
});

it('a piece of two hoopings is off its machine before it is hooped again', () => {
  const day = variedDay(9, 3);
  const works = day.works.map((work, i) => (i === 2 ? { ...work, after: 'piece-1' } : work));
  const tapes = tapesOf({ ...day, works }, solved({ ...day, works }).moves);
  const off = tapes.hands.find(({ piece, what }) => piece === 0 && what === 'take off');
  const again = tapes.hands.find(({ piece, what }) => piece === 2 && what === 'hoop');
  expect(again?.fromS).toBeGreaterThanOrEqual(off?.toS ?? Number.POSITIVE_INFINITY);
});

it('no piece is left in its hoop overnight, unless no day is long enough for it', () => {
  for (let seed = 1; seed <= 12; seed += 1) {
    const day = { ...variedDay(seed * 31, 5), machines: [{ needles: 6, threaded: [], threadS: 75 }] };
    const works = day.works.map((work) => ({ ...work, machine: 0, hoops: ['a'], dueS: null }));
    const closesS = [1, 2, 3, 4, 5, 6, 7, 8, 9].map((n) => n * 5400);
    const shut = { ...day, works, hoops: { a: 1 }, closesS };
    const { moves } = solved(shut);
    for (const { fromS, toS, piece } of tapesOf(shut, moves).hoops) {
      const closeS = closesS.find((one) => one > fromS + 1e-6) ?? Number.POSITIVE_INFINITY;
      const { hoopS, mountS, takeOffS, runs } = works[piece] as Work;
      const takes = runs.reduce((sum, run) => sum + run.aloneS + run.handsS, hoopS + mountS + takeOffS);
      if (takes + 75 * 3 <= 5400) expect(toS).toBeLessThanOrEqual(closeS + 1e-6);
    }
  }
});

it('what is off its machine already is only finished', () => {
  const day = { ...variedDay(7, 2), begun: [{ id: 'piece-1', at: 'off' as const }] };
  const tapes = tapesOf(day, solved(day).moves);
  expect([...new Set(tapes.hands.filter(({ piece }) => piece === 0).map(({ what }) => what))]).toEqual([
    'finish',
  ]);
});

it('a pinned hooping brings those before it with it, and nothing comes before what is pinned', () => {
  const day = variedDay(9, 3);
  const works = day.works.map((work, i) => ({
    ...work,
    machine: 0,
    ...(i === 2 ? { after: 'piece-2' } : {}),
  }));
  const { moves } = solved({ ...day, works, pinned: ['piece-3'] });
  const mounts = moves.flatMap((move) => (move.kind === 'mount' ? [works[move.piece]?.id] : []));
  expect(mounts).toEqual(['piece-2', 'piece-3', 'piece-1']);
});
