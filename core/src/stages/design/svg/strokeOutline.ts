import { type Ring, signedAreaOf } from '../../../base/geometry/clip';
import { add, type Point, subtract } from '../../../base/geometry/point';
import type { Polyline } from './flatten';

/** How a line is drawn, in the units of its points. */
export interface StrokeStyle {
  width: number;
  cap: 'butt' | 'round' | 'square';
  join: 'miter' | 'round' | 'bevel';
  miterLimit: number;
  /** Lengths of dashes and gaps in turn; empty for an unbroken line. */
  dashes: readonly number[];
  dashOffset: number;
}

const times = (p: Point, by: number): Point => ({ x: p.x * by, y: p.y * by });
const lengthOf = (p: Point): number => Math.hypot(p.x, p.y);
const leftOf = (p: Point): Point => ({ x: -p.y, y: p.x });

/** All rings one way round, so that they add up where they lie over each other. */
const turnedOneWay = (ring: Point[]): Point[] => (signedAreaOf(ring) < 0 ? ring.reverse() : ring);

/** A round end or corner, its chord error below the tolerance. */
function disc(at: Point, radius: number, tolerance: number): Point[] {
  const step = 2 * Math.acos(Math.max(0.2, 1 - tolerance / radius));
  const count = Math.max(8, Math.ceil((2 * Math.PI) / step));
  return Array.from({ length: count }, (_, i) => {
    const angle = (2 * Math.PI * i) / count;
    return { x: at.x + radius * Math.cos(angle), y: at.y + radius * Math.sin(angle) };
  });
}

interface Piece {
  from: Point;
  to: Point;
  along: Point;
}

const piecesOf = ({ points, closed }: Polyline): Piece[] => {
  const ends = closed ? [...points, ...points.slice(0, 1)] : points;
  return ends.slice(1).flatMap((to, i) => {
    const from = ends[i] ?? to;
    const way = subtract(to, from);
    const length = lengthOf(way);
    return length > 1e-9 ? [{ from, to, along: times(way, 1 / length) }] : [];
  });
};

/** What fills the gap on the outer side of a corner. */
function corner(before: Piece, after: Piece, half: number, style: StrokeStyle, tolerance: number): Point[] {
  const at = after.from;
  const turn = before.along.x * after.along.y - before.along.y * after.along.x;
  const cosine = before.along.x * after.along.x + before.along.y * after.along.y;
  if (style.join === 'round') return cosine > 0.999 ? [] : disc(at, half, tolerance);
  const side = turn > 0 ? -half : half;
  const [a, b] = [add(at, times(leftOf(before.along), side)), add(at, times(leftOf(after.along), side))];
  // The miter's length over the line's width is 1 / sin of half the corner's angle.
  const half2 = (1 + cosine) / 2;
  if (style.join === 'miter' && half2 > 0 && 1 / Math.sqrt(half2) <= style.miterLimit) {
    const middle = add(leftOf(before.along), leftOf(after.along));
    const length = lengthOf(middle);
    if (length > 1e-9) return [at, a, add(at, times(middle, side / half2 ** 0.5 / length)), b];
  }
  return [at, a, b];
}

function capsOf(
  line: Polyline,
  pieces: readonly Piece[],
  half: number,
  { cap }: StrokeStyle,
  tolerance: number,
): Point[][] {
  const [first, last] = [pieces[0], pieces[pieces.length - 1]];
  const dot = line.points[0];
  if (!first || !last) {
    // A line without length shows its caps alone.
    if (!dot || cap === 'butt') return [];
    return cap === 'round' ? [disc(dot, half, tolerance)] : [box(dot, half)];
  }
  if (line.closed || cap === 'butt') return [];
  if (cap === 'round') return [disc(first.from, half, tolerance), disc(last.to, half, tolerance)];
  return [
    bar(subtract(first.from, times(first.along, half)), first.from, first.along, half),
    bar(last.to, add(last.to, times(last.along, half)), last.along, half),
  ];
}

const box = ({ x, y }: Point, half: number): Point[] => [
  { x: x - half, y: y - half },
  { x: x + half, y: y - half },
  { x: x + half, y: y + half },
  { x: x - half, y: y + half },
];

function bar(from: Point, to: Point, along: Point, half: number): Point[] {
  const out = times(leftOf(along), half);
  return [subtract(from, out), subtract(to, out), add(to, out), add(from, out)];
}

/** A line cut into its dashes; a dash that begins anew at a ring's first point is cut there. */
export function dashesOf(line: Polyline, dashes: readonly number[], offset: number): Polyline[] {
  const pattern = dashes.length % 2 === 1 ? [...dashes, ...dashes] : dashes;
  const whole = pattern.reduce((sum, n) => sum + n, 0);
  if (!(whole > 0) || pattern.some((n) => n < 0)) return [line];
  let at = ((offset % whole) + whole) % whole;
  let index = 0;
  while (at >= (pattern[index] ?? whole)) {
    at -= pattern[index] ?? whole;
    index = (index + 1) % pattern.length;
  }
  let left = (pattern[index] ?? whole) - at;
  const cut: Polyline[] = [];
  let now: Point[] = [];
  const end = () => {
    if (now.length > 0) cut.push({ points: now, closed: false });
    now = [];
  };
  for (const { from, to, along } of piecesOf(line)) {
    let [start, rest] = [from, lengthOf(subtract(to, from))];
    if (index % 2 === 0 && now.length === 0) now = [start];
    while (rest > left) {
      start = add(start, times(along, left));
      rest -= left;
      if (index % 2 === 0) {
        now.push(start);
        end();
      } else now = [start];
      index = (index + 1) % pattern.length;
      left = pattern[index] ?? whole;
      if (cut.length > MOST_DASHES) return [line];
    }
    left -= rest;
    if (index % 2 === 0) now.push(to);
  }
  end();
  return cut;
}

/** A line of more dashes is taken for an unbroken one. */
const MOST_DASHES = 4000;

/**
 * The rings whose union is the line as it is drawn: its pieces, the corners between them and its ends, all turned one
 * way. `tolerance` is how far a round end may be from its circle. A line without width has none.
 */
export function strokeRings(lines: readonly Polyline[], style: StrokeStyle, tolerance: number): Ring[] {
  const half = style.width / 2;
  if (!(half > 0)) return [];
  const drawn =
    style.dashes.length > 0 ? lines.flatMap((line) => dashesOf(line, style.dashes, style.dashOffset)) : lines;
  return drawn
    .flatMap((line) => {
      const pieces = piecesOf(line);
      const corners = pieces.flatMap((piece, i) => {
        const before = pieces[i - 1] ?? (line.closed ? pieces[pieces.length - 1] : undefined);
        return before && before !== piece ? [corner(before, piece, half, style, tolerance)] : [];
      });
      return [
        ...pieces.map(({ from, to, along }) => bar(from, to, along, half)),
        ...corners.filter((ring) => ring.length > 2),
        ...capsOf(line, pieces, half, style, tolerance),
      ];
    })
    .map(turnedOneWay);
}
