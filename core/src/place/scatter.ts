import { randomLcg } from 'd3-random';
import { boxOf } from '../geometry/box';
import type { Point } from '../geometry/point';
import { clearanceBetween, clearanceToLine, containsPoint, type Polygon, placed } from '../geometry/polygon';

/** A motif lying in a pattern: its centre in the piece frame, mm, and its turn clockwise. */
export interface ScatterSpot {
  x: number;
  y: number;
  turnDeg: number;
}

export interface ScatterQuestion {
  /** The motif's hull about its centre, mm. */
  hull: Polygon;
  /** The seam line; motifs keep `insetMm` inside it. */
  within: Polygon;
  insetMm: number;
  /** No two motifs come closer than this. */
  gapMm: number;
  count: number;
  seed: number;
  turns: 'upright' | 'any';
  /** Rounds of spreading out after all are laid; more is better and slower. */
  rounds: number;
}

/** How far a search has come. `leastMm` is the least clearance between two motifs so far. */
export interface ScatterProgress {
  done: number;
  of: number;
  spots: ScatterSpot[];
  leastMm: number;
}

interface Laid extends ScatterSpot {
  hull: Point[];
}

const CANDIDATES = 40;
const MOST_TRIES = 4000;
const ROUNDS_A_STEP = 25;

const radiusOf = (hull: Polygon): number => Math.max(0, ...hull.map((p) => Math.hypot(p.x, p.y)));

/** The seam line as a closed polyline. */
const ringOf = (polygon: Polygon): Polygon => [...polygon, ...polygon.slice(0, 1)];

/** Whether a hull lies inside a pattern with its inset all round. */
export function liesWithin(hull: Polygon, within: Polygon, insetMm: number): boolean {
  return (
    hull.every((p) => containsPoint(within, p)) && clearanceToLine(hull, ringOf(within)).mm >= insetMm - 1e-9
  );
}

/** Least clearance from a motif to the others, exact where it could be below `enough`. Infinite without others. */
function leastTo(laid: Laid, others: readonly Laid[], radius: number): number {
  let least = Infinity;
  for (const other of others) {
    if (other === laid) continue;
    const atLeast = Math.hypot(other.x - laid.x, other.y - laid.y) - 2 * radius;
    if (atLeast >= least) continue;
    const { mm } = clearanceBetween(laid.hull, other.hull);
    if (mm < least) least = mm;
  }
  return least;
}

/** Random spots in a pattern, from one seed: the same seed gives the same sequence. */
function throwerFor(q: ScatterQuestion) {
  const random = randomLcg(q.seed / 2 ** 32);
  const box = boxOf(q.within);
  const turn = () => (q.turns === 'any' ? Math.round(random() * 360) % 360 : 0);
  const lay = (x: number, y: number, turnDeg: number): Laid | null => {
    const hull = placed(q.hull, turnDeg, { x, y });
    return liesWithin(hull, q.within, q.insetMm) ? { x, y, turnDeg, hull } : null;
  };
  const anywhere = (): Laid | null =>
    lay(box.left + random() * (box.right - box.left), box.top + random() * (box.bottom - box.top), turn());
  const near = (at: Laid, reach: number): Laid | null =>
    lay(at.x + (random() - 0.5) * reach, at.y + (random() - 0.5) * reach, q.turns === 'any' ? turn() : 0);
  return { anywhere, near };
}

const bare = ({ x, y, turnDeg }: Laid): ScatterSpot => ({ x, y, turnDeg });

function leastOfAll(all: readonly Laid[], radius: number): number {
  return Math.min(Infinity, ...all.map((laid) => leastTo(laid, all, radius)));
}

/**
 * Lays motifs one after the other, each at the roomiest of many random spots (best candidate, Mitchell 1991),
 * then spreads them out: again and again the most crowded motif moves to where it has more room. Yields as it
 * goes, so that it can be shown and stopped; the last value is the result. Fewer spots than asked for mean
 * that no more were found room for. Deterministic in the seed; never leaves two motifs closer than the gap.
 */
export function* scatter(q: ScatterQuestion): Generator<ScatterProgress, ScatterProgress> {
  const thrower = throwerFor(q);
  const radius = radiusOf(q.hull);
  const all: Laid[] = [];
  const progress = (done: number): ScatterProgress => ({
    done,
    of: q.count + q.rounds,
    spots: all.map(bare),
    leastMm: leastOfAll(all, radius),
  });
  for (let i = 0; i < q.count; i++) {
    const next = roomiest(thrower.anywhere, all, radius, q.gapMm);
    if (!next) break;
    all.push(next);
    yield progress(all.length);
  }
  for (let round = 0; round < q.rounds; round++) {
    spreadOnce(all, thrower, radius, round / q.rounds);
    if (round % ROUNDS_A_STEP === 0) yield progress(q.count + round);
  }
  return progress(q.count + q.rounds);
}

/** The whole search at once: the last of its progress. */
export function scatterAll(q: ScatterQuestion): ScatterProgress {
  const search = scatter(q);
  for (;;) {
    const { value, done } = search.next();
    if (done) return value;
  }
}

function roomiest(
  throwOne: () => Laid | null,
  all: readonly Laid[],
  radius: number,
  gapMm: number,
): Laid | null {
  let best: Laid | null = null;
  let room = -Infinity;
  let found = 0;
  for (let tries = 0; tries < MOST_TRIES && found < CANDIDATES; tries++) {
    const candidate = throwOne();
    if (!candidate) continue;
    found++;
    const least = leastTo(candidate, all, radius);
    if (least >= gapMm && least > room) [best, room] = [candidate, least];
    if (found === CANDIDATES && best === null && tries < MOST_TRIES / 2) found = CANDIDATES - 1;
  }
  return best;
}

/** Moves one of the most crowded motifs to a roomier spot, near it or anywhere; leaves it when none is found. */
function spreadOnce(
  all: Laid[],
  { anywhere, near }: ReturnType<typeof throwerFor>,
  radius: number,
  cooled: number,
): void {
  const rooms = all.map((laid) => leastTo(laid, all, radius));
  const crowded = rooms.indexOf(Math.min(...rooms));
  const at = all[crowded];
  if (!at) return;
  const others = all.filter((_, i) => i !== crowded);
  const reach = radius * (2.5 - 2.2 * cooled);
  let best = at;
  let room = rooms[crowded] ?? 0;
  for (let i = 0; i < 12; i++) {
    const moved = i % 4 === 3 ? anywhere() : near(at, reach);
    if (!moved) continue;
    const least = leastTo(moved, others, radius);
    if (least > room) [best, room] = [moved, least];
  }
  all[crowded] = best;
}

/** What is wrong with a scatter: who lies too close to whom, and who crosses the seam line's inset. */
export function checkScatter(
  spots: readonly ScatterSpot[],
  q: Pick<ScatterQuestion, 'hull' | 'within' | 'insetMm' | 'gapMm'>,
): { tooClose: [number, number, number][]; outside: number[] } {
  const hulls = spots.map((s) => placed(q.hull, s.turnDeg, s));
  const radius = radiusOf(q.hull);
  const tooClose: [number, number, number][] = [];
  spots.forEach((a, i) => {
    for (let j = i + 1; j < spots.length; j++) {
      const [b, one, two] = [spots[j], hulls[i], hulls[j]];
      if (!b || !one || !two || Math.hypot(a.x - b.x, a.y - b.y) > 2 * radius + q.gapMm) continue;
      const { mm } = clearanceBetween(one, two);
      if (mm < q.gapMm - 1e-9) tooClose.push([i, j, mm]);
    }
  });
  const outside = hulls.flatMap((hull, i) => (liesWithin(hull, q.within, q.insetMm) ? [] : [i]));
  return { tooClose, outside };
}
