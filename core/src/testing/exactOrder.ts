import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import highsLoader, { type Highs } from 'highs';
import type { ToOrder } from '../stages/design/order/colourOrder';

let solver: Promise<Highs> | null = null;
const here = createRequire(import.meta.url);

/** The solver (HiGHS compiled to wasm), for tests and the benchmark only. */
export function exactSolver(): Promise<Highs> {
  solver ??= readFile(here.resolve('highs').replace(/highs\.js$/, 'highs.wasm')).then((wasmBinary) =>
    highsLoader({ wasmBinary } as never),
  );
  return solver;
}

/** The least sum of some yes-or-no variables under rows in the solver's own words; every variable is named. */
export function leastByProgram(
  highs: Highs,
  { objective, rows, names }: Record<'objective' | 'rows' | 'names', readonly string[]>,
): number {
  const program = [
    'Minimize',
    ` obj: ${objective.join(' + ')}`,
    'Subject To',
    ...rows.map((row, i) => ` r${i}: ${row}`),
    'Binary',
    ` ${names.join(' ')}`,
    'End',
  ].join('\n');
  const solved = highs.solve(program);
  if (solved.Status !== 'Optimal') throw new Error(`assertion failed: ${solved.Status}`);
  return Math.round(solved.ObjectiveValue);
}

/**
 * The fewest runs as an integer program, solved exactly: x(b,k) shape b in run k, c(k,h) run k of colour h. A shape comes in
 * no run before one it lies on, and in a later one where their colours differ. `most` is a number of runs that is enough.
 */
export function fewestByProgram(highs: Highs, { colours, after }: ToOrder, most: number): number {
  const runs = Array.from({ length: most }, (_, k) => k);
  const hues = [...new Set(colours)];
  const x = (b: number, k: number) => `x${b}_${k}`;
  const c = (k: number, hue: number) => `c${k}_${hue}`;
  const sum = (terms: readonly string[]) => terms.join(' + ');
  const rows = [
    ...colours.map((_, b) => `${sum(runs.map((k) => x(b, k)))} = 1`),
    ...runs.map((k) => `${sum(hues.map((hue) => c(k, hue)))} <= 1`),
    ...colours.flatMap((hue, b) => runs.map((k) => `${x(b, k)} - ${c(k, hue)} <= 0`)),
    ...runs
      .slice(1)
      .map(
        (k) => `${sum(hues.map((hue) => c(k, hue)))} - ${hues.map((hue) => c(k - 1, hue)).join(' - ')} <= 0`,
      ),
    ...colours.flatMap((hue, b) =>
      (after[b] ?? []).map((a) => {
        const later = sum(runs.slice(1).map((k) => `${k} ${x(b, k)}`));
        const earlier = runs
          .slice(1)
          .map((k) => `${k} ${x(a, k)}`)
          .join(' - ');
        return most === 1 ? '' : `${later} - ${earlier} >= ${colours[a] === hue ? 0 : 1}`;
      }),
    ),
  ].filter((row) => row !== '');
  const names = [
    ...colours.flatMap((_, b) => runs.map((k) => x(b, k))),
    ...runs.flatMap((k) => hues.map((hue) => c(k, hue))),
  ];
  const objective = runs.flatMap((k) => hues.map((hue) => c(k, hue)));
  return leastByProgram(highs, { objective, rows, names });
}

/** A drawing of so many shapes in so many colours, by a seed: each lies on a few of those before it. */
export function drawnAtRandom(random: () => number, shapes: number, hues: number): ToOrder {
  const colours = Array.from({ length: shapes }, () => Math.floor(random() * hues));
  const after = colours.map((_, i) =>
    Array.from({ length: i }, (__, k) => k).filter(() => random() < 1.6 / Math.max(2, i)),
  );
  return { colours, after };
}
