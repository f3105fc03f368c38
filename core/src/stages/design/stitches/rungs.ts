import { distance, type Point } from '../../../base/geometry/point';
import type { Chord, Column, Columns } from './columns';

/** A rail with the way along it from its beginning to each of its points, mm. */
interface Rail {
  points: Point[];
  along: number[];
}

function railOf(points: Point[]): Rail {
  let sum = 0;
  const along = points.map((p, i) => {
    sum += i === 0 ? 0 : distance(points[i - 1] ?? p, p);
    return sum;
  });
  return { points, along };
}

const middle = ([a, b]: Chord): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });
const between = (a: Point, b: Point, t: number): Point => ({
  x: a.x + (b.x - a.x) * t,
  y: a.y + (b.y - a.y) * t,
});

/** The place among rising values below a value, and how far to the next it lies, 0 to 1. */
function placeOf(values: readonly number[], at: number): [number, number] {
  let [low, high] = [0, values.length - 1];
  while (high - low > 1) {
    const half = (low + high) >> 1;
    if ((values[half] ?? 0) <= at) low = half;
    else high = half;
  }
  const [from, to] = [values[low] ?? 0, values[high] ?? 0];
  return [low, to > from ? Math.min(1, Math.max(0, (at - from) / (to - from))) : 0];
}

const valueAt = (xs: readonly number[], ys: readonly number[], at: number): number => {
  const [i, t] = placeOf(xs, at);
  const from = ys[i] ?? 0;
  return from + ((ys[i + 1] ?? from) - from) * t;
};

const pointAt = ({ points, along }: Rail, at: number): Point => {
  const [i, t] = placeOf(along, at);
  const from = points[i] ?? { x: 0, y: 0 };
  return between(from, points[i + 1] ?? from, t);
};

/**
 * Chords are evened out over so much to either side, as a share of their length: triangles have their corners on one rail,
 * then on the other, and where columns meet all on one.
 */
const EVEN_SHARE = 0.6;
/** Rungs stand farther apart on the outer side of a bend, but by no more than this many times the pitch. */
const OUTER_MOST = 1.5;
/** So many steps are taken from one rung to the next. */
const FINE = 10;

/** The area under a line of straight pieces, from its beginning to each of its points. */
function areasUnder(xs: readonly number[], ys: readonly number[]): number[] {
  let sum = 0;
  return xs.map((x, i) => {
    sum += i === 0 ? 0 : ((x - (xs[i - 1] ?? x)) * ((ys[i] ?? 0) + (ys[i - 1] ?? 0))) / 2;
    return sum;
  });
}

/** A column by the way along its middle: where on either rail the rung at that place ends. */
class Ladder {
  private readonly rails: [Rail, Rail];
  private readonly along: number[];
  private readonly widths: number[];
  private readonly areas: [number[], number[]];
  readonly long: number;
  constructor(chords: readonly Chord[]) {
    this.rails = [railOf(chords.map(([a]) => a)), railOf(chords.map(([, b]) => b))];
    this.along = railOf(chords.map(middle)).along;
    this.widths = chords.map(([a, b]) => distance(a, b));
    this.areas = [areasUnder(this.along, this.rails[0].along), areasUnder(this.along, this.rails[1].along)];
    this.long = this.along[this.along.length - 1] ?? 0;
  }
  /** The integral over the middle of the place on a rail, from the beginning to here: from it means are had at once. */
  private areaTo(rail: 0 | 1, at: number): number {
    const ys = this.rails[rail].along;
    const [i] = placeOf(this.along, at);
    const from = this.along[i] ?? 0;
    return (this.areas[rail][i] ?? 0) + ((at - from) * ((ys[i] ?? 0) + valueAt(this.along, ys, at))) / 2;
  }
  /** How far along the middle a chord lies, mm. */
  alongAt(chord: number): number {
    return this.along[chord] ?? this.long;
  }
  /** The places on both rails, mm along them. */
  places(at: number): [number, number] {
    const wide = EVEN_SHARE * this.widthAt(at);
    const half = Math.min(wide, at, this.long - at);
    const mean = (i: 0 | 1): number =>
      half < 1e-3
        ? valueAt(this.along, this.rails[i].along, at)
        : (this.areaTo(i, at + half) - this.areaTo(i, at - half)) / (2 * half);
    return [mean(0), mean(1)];
  }
  widthAt(at: number): number {
    return valueAt(this.along, this.widths, at);
  }
  /** The outline beyond a place: along the first rail to the end, round the cap, and back along the second. */
  beyond(at: number, cap: readonly Point[], end: 0 | 1): Point[] {
    const places = this.places(at);
    const out = (rail: 0 | 1): Point[] => {
      const { points, along } = this.rails[rail];
      return points.filter((_, i) =>
        end === 0 ? (along[i] ?? 0) < places[rail] : (along[i] ?? 0) > places[rail],
      );
    };
    const [a, b] = this.rung(places);
    const [first, second] = [out(0), out(1)];
    return end === 0
      ? [a, ...first.reverse(), ...cap, ...second, b]
      : [a, ...first, ...cap, ...second.reverse(), b];
  }
  rung([first, second]: readonly [number, number]): Chord {
    return [pointAt(this.rails[0], first), pointAt(this.rails[1], second)];
  }
}

/** A rung, and how far along the middle it stands, mm. */
interface Standing {
  rung: Chord;
  at: number;
}

/** Rungs from one place to another, the first on the first; and how much way is left after the last. */
function along(
  ladder: Ladder,
  pitchMm: number,
  [from, to]: readonly [number, number],
): { rungs: Standing[]; left: number } {
  let before = ladder.places(from);
  const rungs = [{ rung: ladder.rung(before), at: from }];
  const long = to - from;
  const steps = Math.ceil((long / pitchMm) * FINE);
  let way = 0;
  for (let i = 1; i <= steps; i++) {
    const at = from + (long * i) / steps;
    const now = ladder.places(at);
    const step = Math.max(
      long / steps,
      Math.abs(now[0] - before[0]) / OUTER_MOST,
      Math.abs(now[1] - before[1]) / OUTER_MOST,
    );
    before = now;
    way += step;
    if (way < pitchMm) continue;
    way -= pitchMm;
    const exact = Math.max(0, at - (Math.min(1, way / step) * long) / steps);
    rungs.push({ rung: ladder.rung(ladder.places(exact)), at: exact });
  }
  return { rungs, left: way };
}

/** Where a line at a height crosses an outline that is open between its ends, sorted. In the cap's own frame. */
function crossed(outline: readonly Point[], height: number): number[] {
  const xs: number[] = [];
  for (const [i, b] of outline.entries()) {
    const a = outline[i - 1];
    if (!a || a.y >= height === b.y >= height) continue;
    xs.push(a.x + ((b.x - a.x) * (height - a.y)) / (b.y - a.y));
  }
  return xs.sort((p, q) => p - q);
}

/** The widest piece between crossings taken in pairs. */
function widest(xs: readonly number[]): [number, number] | null {
  let best: [number, number] | null = null;
  for (let i = 0; i + 1 < xs.length; i += 2) {
    const [from, to] = [xs[i] ?? 0, xs[i + 1] ?? 0];
    if (!best || to - from > best[1] - best[0]) best = [from, to];
  }
  return best;
}

/** A cap's narrower rungs are none, mm. */
const LEAST_RUNG_MM = 0.15;

/** Rungs beyond the last chord, side by side with it, to where the outline ends. */
function onCap([a, b]: Chord, cap: readonly Point[], first: number, pitchMm: number): Chord[] {
  const wide = distance(a, b);
  if (cap.length < 3 || wide === 0) return [];
  const u = { x: (b.x - a.x) / wide, y: (b.y - a.y) / wide };
  const far = cap[Math.floor(cap.length / 2)] ?? a;
  // The way out of the column is the side on which the cap lies.
  const side = Math.sign(-u.y * (far.x - a.x) + u.x * (far.y - a.y)) || 1;
  const n = { x: -u.y * side, y: u.x * side };
  const own = cap.map((p) => ({
    x: (p.x - a.x) * u.x + (p.y - a.y) * u.y,
    y: (p.x - a.x) * n.x + (p.y - a.y) * n.y,
  }));
  const out = own.reduce((most, { y }) => Math.max(most, y), 0);
  const back = (x: number, y: number): Point => ({
    x: a.x + u.x * x + n.x * y,
    y: a.y + u.y * x + n.y * y,
  });
  const rungs: Chord[] = [];
  let before = wide;
  for (let height = first; height < out; height += pitchMm) {
    const [from, to] = widest(crossed(own, height)) ?? [0, 0];
    // Askew on a straight end, the last one would run over a corner alone.
    const isCorner = height + pitchMm > out && to - from < before * 0.85;
    before = to - from;
    if (before >= LEAST_RUNG_MM && !isCorner) rungs.push([back(from, height), back(to, height)]);
  }
  return rungs;
}

/** Columns that go straight on into each other, one after the other, each as it is gone through. */
interface Line {
  parts: { column: number; isBackwards: boolean }[];
}

/** All lines: each column is in one. */
function linesOf({ columns }: Columns): Line[] {
  const used = new Set<number>();
  const follow = (column: number, isBackwards: boolean): Line['parts'] => {
    const parts: Line['parts'] = [];
    let here: { column: number; isBackwards: boolean } | null = { column, isBackwards };
    while (here && !used.has(here.column)) {
      used.add(here.column);
      parts.push(here);
      const next: Column['on'][number] = columns[here.column]?.on[here.isBackwards ? 0 : 1] ?? null;
      here = next && { column: next.column, isBackwards: next.end === 1 };
    }
    return parts;
  };
  const begun = ([first, last]: Column['on'], i: number): Line[] =>
    used.has(i) || (first && last) ? [] : [{ parts: follow(i, first !== null) }];
  const open = columns.flatMap(({ on }, i) => begun(on, i));
  // What is left goes round in rings.
  const rings = columns.flatMap((_, i) => (used.has(i) ? [] : [{ parts: follow(i, false) }]));
  return [...open, ...rings];
}

const flipped = ([a, b]: Chord): Chord => [b, a];
const turnedRound = (chords: readonly Chord[]): Chord[] => chords.map(flipped).reverse();

/** How far apart rungs stand, and how long they are at least, mm. */
export interface Rungs {
  pitchMm: number;
  leastMm: number;
}

/** The rungs of each part of a line, in the order and on the rails of that part itself. */
function onLine(
  { parts }: Line,
  columns: readonly Column[],
  { pitchMm, leastMm }: Rungs,
): Map<number, Chord[]> {
  const own = parts.flatMap(({ column, isBackwards }) => {
    const { chords = [], caps } = columns[column] ?? {};
    return [{ column, isBackwards, chords: isBackwards ? turnedRound(chords) : chords, caps }];
  });
  const chords = own.flatMap((part) => part.chords);
  if (chords.length === 0) return new Map();
  const ladder = new Ladder(chords);
  const [start, end] = [own[0], own[own.length - 1]];
  const caps = [start?.caps?.[start.isBackwards ? 1 : 0] ?? [], end?.caps?.[end.isBackwards ? 0 : 1] ?? []];
  const body = bodyOf(ladder, caps);
  const { rungs, left } = along(ladder, pitchMm, body);
  const onEnd = (i: 0 | 1, first: number): Chord[] => {
    const at = body[i];
    const outline = ladder.beyond(at, caps[i] ?? [], i);
    return caps[i]?.length ? onCap(ladder.rung(ladder.places(at)), outline, first, pitchMm) : [];
  };
  let [from, chord] = [Number.NEGATIVE_INFINITY, 0];
  const found = own.map(({ column, isBackwards, chords: { length } }, i): [number, Chord[]] => {
    chord += length;
    const to = i === own.length - 1 ? Number.POSITIVE_INFINITY : ladder.alongAt(chord);
    const mine = [
      ...(i === 0 ? onEnd(0, pitchMm).reverse() : []),
      ...rungs.filter(({ at }) => at >= from && at < to).map(({ rung }) => rung),
      ...(i === own.length - 1 ? onEnd(1, pitchMm - left) : []),
    ].filter(([a, b]) => distance(a, b) >= leastMm);
    from = to;
    return [column, isBackwards ? turnedRound(mine) : mine];
  });
  return new Map(found);
}

/** Between which places chords are evened out to both sides alike; what lies beyond is an end. */
function bodyOf(ladder: Ladder, caps: readonly (readonly Point[])[]): [number, number] {
  const { long } = ladder;
  const off = (end: 0 | 1): number =>
    caps[end]?.length ? Math.min(EVEN_SHARE * ladder.widthAt(end * long), long / 3) : 0;
  return [off(0), long - off(1)];
}

/**
 * Of each column lines across it, so far apart along its middle, from end to end and into its caps: evened out so that
 * they lie square to it, also where it goes straight on through a fork. On the outer side of a bend they stand at most
 * half as far again apart. Their first points lie along one rail, their second along the other. None for a column without
 * length or width.
 */
export function rungsOf(columns: Columns, rungs: Rungs): Chord[][] {
  const found = new Map(linesOf(columns).flatMap((line) => [...onLine(line, columns.columns, rungs)]));
  return columns.columns.map((_, i) => found.get(i) ?? []);
}
