import { randomLcg } from 'd3-random';
import { boxOf } from '../src/base/geometry/box';
import { clearanceBetween, placed } from '../src/base/geometry/polygon';
import { DEFAULT_HOUSE_RULES } from '../src/model/houseRules';
import { planTicket } from '../src/planner/plan';
import {
  latticeIn,
  liesWithin,
  type ScatterQuestion,
  type ScatterSpot,
  scatterAll,
} from '../src/stages/place/scatter';
import { sizeRun } from '../src/table/sizes/sizeRun';
import { exampleA, SAMPLE_SHELF } from '../src/testing/samples';

/** Forty motifs in a skirt panel, and a run of twelve sizes, each beside the plain way, in one run. */
const MOTIF = Array.from({ length: 32 }, (_, i) => {
  const t = (i * Math.PI) / 16;
  return { x: 21 * Math.cos(t), y: 15 * Math.sin(t) };
});
const QUESTION: ScatterQuestion = {
  hull: MOTIF,
  within: [
    { x: -210, y: 0 },
    { x: 210, y: 0 },
    { x: 330, y: 480 },
    { x: -330, y: 480 },
  ],
  insetMm: 15,
  gapMm: 10,
  count: 40,
  seed: 1,
  turns: 'any',
  rounds: 40 * 60,
};
const SEEDS = 5;

/** The plain way: throw motifs at random, keep each that is far enough from all before. */
function byRejection(q: ScatterQuestion): ScatterSpot[] {
  const random = randomLcg(q.seed / 2 ** 32);
  const box = boxOf(q.within);
  const spots: ScatterSpot[] = [];
  const hulls: ReturnType<typeof placed>[] = [];
  for (let throws = 0; throws < 200_000 && spots.length < q.count; throws++) {
    const x = box.left + random() * (box.right - box.left);
    const y = box.top + random() * (box.bottom - box.top);
    const turnDeg = Math.round(random() * 360) % 360;
    const hull = placed(q.hull, turnDeg, { x, y });
    if (!liesWithin(hull, q.within, q.insetMm)) continue;
    if (hulls.some((other) => clearanceBetween(hull, other).mm < q.gapMm)) continue;
    hulls.push(hull);
    spots.push({ x, y, turnDeg });
  }
  return spots;
}

function leastOf(spots: readonly ScatterSpot[]): number {
  const hulls = spots.map((s) => placed(QUESTION.hull, s.turnDeg, s));
  return Math.min(...hulls.flatMap((a, i) => hulls.slice(i + 1).map((b) => clearanceBetween(a, b).mm)));
}

const mean = (values: readonly number[]) => values.reduce((sum, v) => sum + v, 0) / values.length;

function timed<T>(work: () => T): { ms: number; result: T } {
  const start = performance.now();
  const result = work();
  return { ms: performance.now() - start, result };
}

function scatterOf(name: string, find: (q: ScatterQuestion) => ScatterSpot[]) {
  const runs = Array.from({ length: SEEDS }, (_, i) => timed(() => find({ ...QUESTION, seed: i + 1 })));
  const [ms, least, laid] = [
    mean(runs.map((r) => r.ms)),
    mean(runs.map((r) => leastOf(r.result))),
    mean(runs.map((r) => r.result.length)),
  ];
  console.log(
    `${name.padEnd(34)} ${laid.toFixed(1)} laid   least ${least.toFixed(1)} mm   ${ms.toFixed(0)} ms`,
  );
  return { ms, least };
}

/** More than the gap leaves room for by far: what is laid beside a plain grid and beside what the area alone could hold. */
function crowded(): void {
  const q: ScatterQuestion = { ...QUESTION, count: 300, rounds: 600 };
  const { ms, result } = timed(() => scatterAll(q).spots.length);
  const grid = latticeIn(q).length;
  const area = (polygon: readonly { x: number; y: number }[]) =>
    Math.abs(
      polygon.reduce((sum, a, k) => {
        const b = polygon[(k + 1) % polygon.length] ?? a;
        return sum + a.x * b.y - b.x * a.y;
      }, 0),
    ) / 2;
  const grown = q.hull.map((p) => {
    const r = Math.hypot(p.x, p.y);
    return { x: (p.x * (r + q.gapMm / 2)) / r, y: (p.y * (r + q.gapMm / 2)) / r };
  });
  // Ellipses as dense as circles can be packed: pi / sqrt 12 of the area.
  const bound = Math.floor((area(q.within) / area(grown)) * (Math.PI / Math.sqrt(12)));
  console.log(
    `crowded: ${result} laid in ${ms.toFixed(0)} ms   plain grid ${grid}   no more than about ${bound} by area`,
  );
}

console.log(`Scatter of ${QUESTION.count} motifs in a skirt panel, mean of ${SEEDS} seeds`);
const ours = scatterOf('scatter', (q) => scatterAll(q).spots);
const plain = scatterOf('baseline: random rejection', byRejection);
console.log(
  `${'ratios'.padEnd(34)} least distance ${(ours.least / plain.least).toFixed(2)} times, time ${(ours.ms / plain.ms).toFixed(2)} times\n`,
);

const base = exampleA();
const sizes = Array.from({ length: 11 }, (_, i) => ({
  name: `size ${i}`,
  readings: { chestWidth: 320 + i * 30 },
}));
const order = { ...base, piece: { ...base.piece, sizes } };
const REPEAT = 300;
const medianOf = (work: () => unknown): number => {
  const times = Array.from({ length: REPEAT }, () => timed(work).ms).sort((a, b) => a - b);
  return times[REPEAT / 2] ?? 0;
};
const run = medianOf(() => sizeRun(order, SAMPLE_SHELF, DEFAULT_HOUSE_RULES));
const twelve = medianOf(() => {
  for (let i = 0; i < 12; i++) planTicket(base, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
});
console.log(`${'size run of 12'.padEnd(34)} median ${run.toFixed(2)} ms`);
console.log(`${'baseline: the same plan 12 times'.padEnd(34)} median ${twelve.toFixed(2)} ms`);
console.log(`${'ratio'.padEnd(34)} ${(run / twelve).toFixed(2)} times`);
crowded();
