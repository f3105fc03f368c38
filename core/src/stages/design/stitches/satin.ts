import { distance, type Point } from '../../../base/geometry/point';
import { stitchAlong } from './along';
import type { Chord, Columns } from './columns';
import type { HowToStitch } from './howToStitch';
import { rungsOf } from './rungs';
import type { StitchWriter } from './stitches';
import { type Pass, tourOf, withoutWayBack } from './strands';

/** A column from here on gets runs along both edges as underlay, mm; narrower ones one along the middle. */
const EDGED_FROM_MM = 3;
const EDGE_IN_MM = 0.6;
/** A narrower rung is no stitch, mm. */
const LEAST_RUNG_MM = 0.15;

const middle = ([a, b]: Chord): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });
const shiftedAlong = (a: Point, b: Point, mm: number): Point => {
  const by = mm / Math.max(1e-6, distance(a, b));
  return { x: a.x + (b.x - a.x) * by, y: a.y + (b.y - a.y) * by };
};

/** One leg from rail to rail; of a wide one the needle also goes down between, not twice at one place. */
function leg(writer: StitchWriter, to: Point, { satinMostMm }: HowToStitch, i: number): void {
  const from = writer.at() ?? to;
  const pieces = Math.ceil(distance(from, to) / satinMostMm - 1e-6);
  for (let k = 1; k < pieces; k++) {
    const share = Math.min(0.9, Math.max(0.1, (k + ((i % 3) - 1) * 0.2) / pieces));
    writer.to(from.x + (to.x - from.x) * share, from.y + (to.y - from.y) * share, 'satin');
  }
  writer.to(to.x, to.y, 'satin');
}

/** On the inner side of a bend rungs that crowd end short, by turns: each by this share of its length. */
const SHORT = { crowded: [0, 0.3], packed: [0, 0.45, 0.2, 0.6] } as const;

/** How much of a rung is left out at an end, where its neighbour's is so near, as a share of the pitch. */
function leftOut(nearness: number, i: number): number {
  const turns = nearness < 0.25 ? SHORT.packed : nearness < 0.6 ? SHORT.crowded : [0];
  return turns[i % turns.length] ?? 0;
}

/** Rungs with short ones among those that crowd on the inner side of a bend. */
function withShort(rungs: readonly Chord[], pitchMm: number): Chord[] {
  return rungs.map(([a, b], i) => {
    const [c, d] = rungs[i - 1] ?? rungs[i + 1] ?? [a, b];
    const [first, second] = [leftOut(distance(a, c) / pitchMm, i), leftOut(distance(b, d) / pitchMm, i)];
    const long = distance(a, b);
    return [shiftedAlong(a, b, first * long), shiftedAlong(b, a, second * long)];
  });
}

/** From rung to rung, both rails in turn: two penetrations to a pitch. */
function zigzag(writer: StitchWriter, columns: readonly Chord[], how: HowToStitch): void {
  const rungs = withShort(columns, how.satinPitchMm);
  const at = writer.at();
  const [first] = rungs;
  if (!first) return;
  const near = at && distance(at, first[0]) > distance(at, first[1]) ? 1 : 0;
  rungs.forEach(([a, b], i) => {
    const [from, to] = near === 0 ? [a, b] : [b, a];
    const start = shiftedAlong(from, to, -how.pullMm);
    const end = shiftedAlong(to, from, -how.pullMm);
    leg(writer, start, how, i);
    leg(writer, end, how, i + 1);
  });
}

/** Runs out along one edge and back along the other, where most of the column is wide enough. */
function edges(writer: StitchWriter, rungs: readonly Chord[], how: HowToStitch): void {
  const wide = rungs.filter(([a, b]) => distance(a, b) >= EDGED_FROM_MM).length;
  if (wide < 2 || wide * 2 < rungs.length) return;
  const run = { stitchMm: how.runStitchMm, kind: 'underlay' } as const;
  const insetFrom = (a: Point, b: Point): Point =>
    shiftedAlong(a, b, Math.min(EDGE_IN_MM, distance(a, b) / 3));
  stitchAlong(
    writer,
    rungs.map(([a, b]) => insetFrom(a, b)),
    run,
  );
  stitchAlong(
    writer,
    [...rungs].reverse().map(([a, b]) => insetFrom(b, a)),
    run,
  );
}

/** The middles of columns' free ends: where they may be begun; of rings and what has no free end, of any. */
export function startsOf({ columns }: Columns): Point[] {
  const met = new Map<number, number>();
  for (const { ends } of columns) for (const end of ends) met.set(end, (met.get(end) ?? 0) + 1);
  const all = columns.flatMap(({ chords, ends }) => {
    const [first, last] = [chords[0], chords[chords.length - 1]];
    if (!first || !last) return [];
    return [
      { node: ends[0], at: middle(first) },
      { node: ends[1], at: middle(last) },
    ];
  });
  const free = all.filter(({ node }) => met.get(node) === 1);
  return (free.length > 0 ? free : all).map(({ at }) => at);
}

interface Tour {
  rungs: Chord[][];
  passes: Pass[];
}

/** The tour that begins at the tip nearest to the needle. */
function tourFrom(columns: Columns, rungs: Chord[][], at: Point | null): Tour {
  const tips = columns.columns.flatMap(({ ends }, i) => {
    const own = rungs[i] ?? [];
    const [first, last] = [own[0], own[own.length - 1]];
    if (!first || !last) return [];
    return [
      { node: ends[0], far: at ? distance(at, middle(first)) : 0 },
      { node: ends[1], far: at ? distance(at, middle(last)) : 0 },
    ];
  });
  const [one, ...others] = tips;
  if (!one) return { rungs, passes: [] };
  const nearest = others.reduce((best, tip) => (tip.far < best.far ? tip : best), one);
  return { rungs, passes: tourOf(columns.columns, nearest.node) };
}

const ordered = <T>(items: readonly T[], from: 0 | 1): readonly T[] =>
  from === 0 ? items : [...items].reverse();

/** The line along the middle of a column; of one too short for a rung along its chords. */
function middleOf(
  { columns }: Columns,
  rungs: readonly Chord[][],
  { strand, from }: Pick<Pass, 'strand' | 'from'>,
): Point[] {
  const own = rungs[strand] ?? [];
  return ordered(own.length > 0 ? own : (columns[strand]?.chords ?? []), from).map(middle);
}

/**
 * Columns that hang together as satin: out along each by a run under it, back in rungs from rail to rail. Wide columns
 * also get runs along both edges.
 */
export function stitchSatin(writer: StitchWriter, columns: Columns, how: HowToStitch): void {
  const { rungs, passes } = tourFrom(
    columns,
    rungsOf(columns, { pitchMm: how.satinPitchMm, leastMm: LEAST_RUNG_MM }),
    writer.at(),
  );
  for (const { strand, way, from } of passes) {
    const own = ordered(rungs[strand] ?? [], from);
    if (way === 'back') zigzag(writer, own, how);
    else {
      if (how.edgeRuns) edges(writer, own, how);
      stitchAlong(writer, middleOf(columns, rungs, { strand, from }), {
        stitchMm: how.runStitchMm,
        kind: 'underlay',
      });
    }
  }
}

/** Where the needle is set down for rungs along a line; finer than any stitch, mm. */
const LINE_PITCH_MM = 0.4;

/** What is too thin for satin as a line of running stitches along its middle; forks are run out and back. */
export function stitchRun(writer: StitchWriter, columns: Columns, how: HowToStitch): void {
  const { rungs, passes } = tourFrom(
    columns,
    rungsOf(columns, { pitchMm: LINE_PITCH_MM, leastMm: 0 }),
    writer.at(),
  );
  for (const { strand, from } of withoutWayBack(passes))
    stitchAlong(writer, middleOf(columns, rungs, { strand, from }), {
      stitchMm: how.runStitchMm,
      kind: 'run',
    });
}
