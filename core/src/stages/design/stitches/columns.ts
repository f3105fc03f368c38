import type { Mesh } from '../../../base/geometry/mesh';
import { distance, dot, ORIGIN, type Point, subtract } from '../../../base/geometry/point';
import { edgeOf, openSides, over, type Pruned, prunedMesh, roundFrom, type Side, through } from './prune';
import type { Strand } from './strands';

/** A line across a column, from its one rail to its other, mm. */
export type Chord = readonly [Point, Point];

/**
 * A column: chords one after the other from end to end, and of its outline what lies beyond either end, from the first
 * rail round to the second. Empty where another column goes on.
 */
export interface Column extends Strand {
  chords: Chord[];
  caps: readonly [Point[], Point[]];
  /** Where it goes straight on at either end: the column there and by which of its ends; null where it does not. */
  on: readonly [ColumnEnd | null, ColumnEnd | null];
}

export interface ColumnEnd {
  column: number;
  end: 0 | 1;
}

export interface Columns {
  columns: Column[];
  nodes: number;
}

interface Walk extends Omit<Column, 'on'> {
  on: [ColumnEnd | null, ColumnEnd | null];
  /** By which side of which junction it ends, at either end; null at a tip. */
  joins: [{ t: number; side: Side } | null, { t: number; side: Side } | null];
}

/** Walks columns over triangles, and remembers where it was. */
class Walker {
  readonly walked = new Set<number>();
  constructor(readonly pruned: Pruned) {}

  point = (i: number | undefined): Point => this.pruned.mesh.points[i ?? 0] ?? ORIGIN;
  chord = ([a, b]: readonly [number, number]): Chord => [this.point(a), this.point(b)];

  /** Chords through a triangle to its far side: more than one where a corner was cut off between. */
  private across(t: number, back: Side): { chords: Chord[]; on: Side } {
    const { on, third } = through(this.pruned, t, back);
    const rim = this.pruned.outlines[t]?.[third] ?? [];
    const [a, b] = edgeOf(this.pruned, t, on);
    const chords =
      (back + 1) % 3 === third
        ? rim.slice(1).map((i): Chord => this.chord([i, b]))
        : [...rim]
            .reverse()
            .slice(1)
            .map((i): Chord => this.chord([a, i]));
    return { chords, on };
  }

  /** From a triangle out over one of its sides, to the next junction, the next tip, or round to where it began. */
  walk(t: number, side: Side): Pick<Walk, 'chords' | 'caps' | 'joins'> {
    const chords: Chord[] = [this.chord(edgeOf(this.pruned, t, side))];
    const sides = openSides(this.pruned, t).length;
    const isJunction = sides === 3;
    const cap = sides === 1 ? roundFrom(this.pruned, t, side).map(this.point).reverse() : [];
    let at = over(this.pruned, t, side);
    this.walked.add(t);
    while (openSides(this.pruned, at.t).length === 2 && !this.walked.has(at.t)) {
      this.walked.add(at.t);
      const { chords: more, on } = this.across(at.t, at.side);
      chords.push(...more);
      at = over(this.pruned, at.t, on);
    }
    const open = openSides(this.pruned, at.t).length;
    if (open === 2) chords.push(...this.across(at.t, at.side).chords);
    const far = open === 1 ? roundFrom(this.pruned, at.t, at.side).map(this.point) : [];
    if (open === 1) this.walked.add(at.t);
    return { chords, caps: [cap, far], joins: [isJunction ? { t, side } : null, open === 3 ? at : null] };
  }
}

const middle = ([a, b]: Chord): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });

/** Which way a column leaves a junction: to its middle about one width on. */
function wayOut({ chords }: Walk, end: 0 | 1): Point {
  const ordered = end === 0 ? chords : [...chords].reverse();
  const [first] = ordered;
  if (!first) return ORIGIN;
  const width = distance(...first);
  const on = ordered.find((chord) => distance(middle(chord), middle(first)) >= width);
  const to = subtract(middle(on ?? ordered[ordered.length - 1] ?? first), middle(first));
  const long = Math.hypot(to.x, to.y);
  return long > 0 ? { x: to.x / long, y: to.y / long } : ORIGIN;
}

interface Arm {
  walk: Walk;
  index: number;
  end: 0 | 1;
  side: Side;
}

/** The two arms of a junction that go on most nearly straight. */
function straightest(arms: readonly Arm[]): [Arm, Arm] | null {
  let best: { pair: [Arm, Arm]; turn: number } | null = null;
  for (const [i, one] of arms.entries())
    for (const other of arms.slice(i + 1)) {
      if (one.walk === other.walk) continue;
      const turn = dot(wayOut(one.walk, one.end), wayOut(other.walk, other.end));
      if (!best || turn < best.turn) best = { pair: [one, other], turn };
    }
  return best?.pair ?? null;
}

/** One of the arms that go straight on takes the triangle between them: its rung is carried over to the other's first. */
function carryOver(walker: Walker, t: number, arms: readonly Arm[]): void {
  const pair = straightest(arms) ?? (arms[0] && arms[1] ? [arms[0], arms[1]] : null);
  if (!pair) return;
  const [into, to] = pair;
  const [a, b] = walker.chord(edgeOf(walker.pruned, t, to.side));
  // Seen from the junction the other's side runs against the way it is left by.
  const { chords } = into.walk;
  if (into.end === 1) chords.push([a, b]);
  else chords.unshift([b, a]);
  into.walk.on[into.end] = { column: to.index, end: to.end };
  to.walk.on[to.end] = { column: into.index, end: into.end };
}

/** The nodes at the ends of columns: each junction one, each tip one; a ring meets itself. */
function withNodes(walks: readonly Walk[]): Columns {
  const ids = new Map<number, number>();
  let nodes = 0;
  const nodeOf = (t: number): number => {
    const known = ids.get(t) ?? nodes++;
    ids.set(t, known);
    return known;
  };
  const columns = walks.map(({ chords, caps, on, joins: [from, to] }): Column => {
    const isRing = !from && !to && caps[0].length === 0 && caps[1].length === 0;
    const start = from ? nodeOf(from.t) : nodes++;
    const end = to ? nodeOf(to.t) : isRing ? start : nodes++;
    return { chords, caps, on, ends: [start, end] };
  });
  return { columns, nodes };
}

/**
 * The columns of a shape by its chordal axis: what is long and narrow in it, from end to end or from fork to fork. A shape
 * of one triangle has none.
 */
export function columnsOf(mesh: Mesh): Columns {
  const walker = new Walker(prunedMesh(mesh));
  const { pruned } = walker;
  const walks: Walk[] = [];
  const begun = new Set<string>();
  const begin = (t: number, side: Side): void => {
    const walk: Walk = { ends: [0, 0], on: [null, null], ...walker.walk(t, side) };
    for (const join of walk.joins) if (join) begun.add(`${join.t} ${join.side}`);
    walks.push(walk);
  };
  const live = pruned.outlines.flatMap((_, t) =>
    pruned.gone.has(t) ? [] : [{ t, open: openSides(pruned, t) }],
  );
  const withOpen = (n: number) => live.filter(({ open }) => open.length === n);
  for (const { t, open } of withOpen(1)) if (!walker.walked.has(t)) begin(t, open[0] ?? 0);
  for (const { t, open } of withOpen(3))
    for (const side of open) if (!begun.has(`${t} ${side}`)) begin(t, side);
  for (const { t, open } of withOpen(2)) if (!walker.walked.has(t)) begin(t, open[0] ?? 0);
  const arms = armsByJunction(walks);
  for (const [t, own] of arms) carryOver(walker, t, own);
  return withNodes(walks);
}

function armsByJunction(walks: readonly Walk[]): Map<number, Arm[]> {
  const arms = new Map<number, Arm[]>();
  for (const [index, walk] of walks.entries())
    for (const [i, join] of walk.joins.entries()) {
      if (!join) continue;
      const arm: Arm = { walk, index, end: i === 0 ? 0 : 1, side: join.side };
      arms.set(join.t, [...(arms.get(join.t) ?? []), arm]);
    }
  return arms;
}

/** Columns by what hangs together. */
export function apartOf({ columns, nodes }: Columns): Columns[] {
  const groups = Array.from({ length: nodes }, (_, i) => i);
  const rootOf = (node: number): number => {
    let at = node;
    while (groups[at] !== undefined && groups[at] !== at) at = groups[at] ?? at;
    return at;
  };
  for (const { ends } of columns) groups[rootOf(ends[0])] = rootOf(ends[1]);
  const found = new Map<number, number[]>();
  for (const [i, { ends }] of columns.entries()) {
    const root = rootOf(ends[0]);
    found.set(root, [...(found.get(root) ?? []), i]);
  }
  return [...found.values()].map((members) => {
    const placeOf = new Map(members.map((member, place) => [member, place]));
    const moved = (end: ColumnEnd | null): ColumnEnd | null =>
      end && { ...end, column: placeOf.get(end.column) ?? 0 };
    return {
      nodes,
      columns: members.flatMap((i) => {
        const column = columns[i];
        return column ? [{ ...column, on: [moved(column.on[0]), moved(column.on[1])] as const }] : [];
      }),
    };
  });
}
