import { randomLcg } from 'd3-random';
import { colourOrder, runsOf, type ToOrder } from '../src/stages/design/order/colourOrder';
import { drawnAtRandom, exactSolver, fewestByProgram } from '../src/testing/exactOrder';

/** Fewest thread changes: the drawn order, a greedy one, ours, and an exact solver, in one run over the same drawings. */
const CASES = 20;

/** The plain way: go on with this thread as long as it can, then with the next in the order drawn. */
function greedy({ colours, after }: ToOrder): number[] {
  const done = new Set<number>();
  const order: number[] = [];
  let last = -1;
  while (order.length < colours.length) {
    const open = colours.flatMap((_, i) =>
      !done.has(i) && (after[i] ?? []).every((k) => done.has(k)) ? [i] : [],
    );
    const next = open.find((i) => colours[i] === last) ?? open[0] ?? 0;
    done.add(next);
    order.push(next);
    last = colours[next] ?? -1;
  }
  return order;
}

function timed<T>(work: () => T): [T, number] {
  const begun = performance.now();
  return [work(), performance.now() - begun];
}

const highs = await exactSolver();
for (const [shapes, isExact] of [
  [12, true],
  [24, true],
  [60, false],
] as const) {
  const random = randomLcg(shapes / 100);
  const sums = { drawn: 0, greedy: 0, ours: 0, bound: 0, exact: 0 };
  const ms = { greedy: 0, ours: 0, exact: 0 };
  for (let n = 0; n < CASES; n++) {
    const given = drawnAtRandom(random, shapes, 5);
    sums.drawn += runsOf(
      given.colours.map((_, i) => i),
      given.colours,
    );
    const [plain, plainMs] = timed(() => greedy(given));
    const [own, ownMs] = timed(() => colourOrder(given));
    sums.greedy += runsOf(plain, given.colours);
    sums.ours += own.runs;
    sums.bound += own.bound;
    ms.greedy += plainMs;
    ms.ours += ownMs;
    if (!isExact) continue;
    const [fewest, exactMs] = timed(() => fewestByProgram(highs, given, own.runs));
    sums.exact += fewest;
    ms.exact += exactMs;
  }
  const mean = (value: number) => (value / CASES).toFixed(1);
  console.log(
    `colour order, ${shapes} shapes: ${mean(sums.drawn)} threads as drawn, ${mean(sums.greedy)} greedily (${mean(ms.greedy)} ms), ${mean(sums.ours)} ours (${mean(ms.ours)} ms, bound ${mean(sums.bound)})${isExact ? `, ${mean(sums.exact)} exactly (${mean(ms.exact)} ms: ${(ms.exact / ms.ours).toFixed(0)} × ours)` : ''}`,
  );
}
