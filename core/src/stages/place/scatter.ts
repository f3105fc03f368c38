import { randomLcg } from 'd3-random';
import { boxOf } from '../../base/geometry/box';
import { convexDistance } from '../../base/geometry/convexDistance';
import type { Point } from '../../base/geometry/point';
import { clearanceToLine, containsPoint, type Polygon, placed } from '../../base/geometry/polygon';

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

interface LaidMotif extends ScatterSpot {
  hull: Point[];
}
/** A spot of a lattice, with the motif's hull there. */
export type LatticeSpot = LaidMotif;

/** Spots thrown for each motif before the roomiest is taken. */
const CANDIDATES = 30;
/** Throws after which a pattern is taken to have no room at all. */
const MOST_THROWS = 3000;
/** Spots tried for one motif in each round. */
const TRIES = 6;
/** The first steps, in radii; later ones are shorter. */
const LONGEST_STEP = 2.5;
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

/**
 * Least room from a motif to the others: their clearance, or below zero for overlapping ones the more the nearer
 * their centres. Those that cannot come nearer than the least so far are passed over; once it is less than `enough`
 * the rest are not looked at. Infinite without others.
 */
function roomOf(laid: LaidMotif, others: readonly LaidMotif[], radius: number, enough = -Infinity): number {
  let least = Infinity;
  for (const other of others) {
    if (other === laid) continue;
    const atLeast = Math.hypot(other.x - laid.x, other.y - laid.y) - 2 * radius;
    if (atLeast >= least) continue;
    const mm = convexDistance(laid.hull, other.hull);
    least = Math.min(least, mm > 0 ? mm : Math.min(0, atLeast));
    if (least < enough) return least;
  }
  return least;
}

/** Random spots in a pattern, from one seed: the same seed gives the same sequence. */
function throwerFor(q: ScatterQuestion) {
  const random = randomLcg(q.seed / 2 ** 32);
  const box = boxOf(q.within);
  const turn = () => (q.turns === 'any' ? Math.round(random() * 360) % 360 : 0);
  const lay = (x: number, y: number, turnDeg: number): LaidMotif | null => {
    const hull = placed(q.hull, turnDeg, { x, y });
    return liesWithin(hull, q.within, q.insetMm) ? { x, y, turnDeg, hull } : null;
  };
  const anywhere = (): LaidMotif | null =>
    lay(box.left + random() * (box.right - box.left), box.top + random() * (box.bottom - box.top), turn());
  const near = (at: LaidMotif, reach: number): LaidMotif | null =>
    lay(at.x + (random() - 0.5) * reach, at.y + (random() - 0.5) * reach, turn());
  return { anywhere, near };
}
type Thrower = ReturnType<typeof throwerFor>;

const bare = ({ x, y, turnDeg }: LaidMotif): ScatterSpot => ({ x, y, turnDeg });

const leastOfAll = (all: readonly LaidMotif[], radius: number): number =>
  Math.min(Infinity, ...all.map((laid) => roomOf(laid, all, radius)));

/** A motif to the round: after so many rounds to each the steps are at their shortest. */
const ROUNDS_TO_SETTLE = 60;
const SHORTEST_SHARE = 0.04;

/** How far a motif may step in a round, mm: shorter and shorter, the same however many rounds there will be. */
function reachIn(round: number, count: number, radius: number): number {
  const left = Math.max(SHORTEST_SHARE, (1 - round / (count * ROUNDS_TO_SETTLE)) ** 2);
  return radius * LONGEST_STEP * (round < count * ROUNDS_TO_SETTLE ? left : SHORTEST_SHARE);
}

/** Rounds between tries to lay one more, where some are still missing. */
const ROUNDS_A_TRY = 10;

/**
 * Lays motifs one after the other, each at the roomiest of many random spots that keep the gap (best candidate,
 * Mitchell 1991); where fewer find room so than asked for, on a lattice if that holds more. Then spreads them out:
 * each in turn moves to where the Riesz energy of its distances is less, by shorter and shorter steps (Hardin and
 * Saff 2004: with a steep energy the least distance nears its maximum), never nearer than the gap; what is missing
 * is tried again as room opens. Nothing that was laid is taken away, so more rounds never give fewer. Yields as it
 * goes, so that it can be shown and stopped; the last value is the result. Deterministic in the seed.
 */
export function* scatter(q: ScatterQuestion): Generator<ScatterProgress, ScatterProgress> {
  const thrower = throwerFor(q);
  const radius = radiusOf(q.hull);
  let all: LaidMotif[] = [];
  const progress = (done: number): ScatterProgress => ({
    done,
    of: q.count + q.rounds,
    spots: all.map(bare),
    leastMm: leastOfAll(all, radius),
  });
  for (let i = 0; i < q.count; i++) {
    const next = roomiest(thrower.anywhere, all, { radius, gapMm: q.gapMm });
    if (!next) break;
    all.push(next);
    yield progress(all.length);
  }
  if (all.length < q.count) {
    const rows = spreadOver(latticeIn(q), q.count);
    if (rows.length > all.length) all = rows;
    yield progress(q.count);
  }
  for (let round = 0; round < q.rounds && all.length > 0; round++) {
    const reach = reachIn(round, all.length, radius);
    relax(all, round % all.length, thrower, { radius, gapMm: q.gapMm, reach });
    if (all.length < q.count && round % ROUNDS_A_TRY === 0) {
      const one = roomiest(thrower.anywhere, all, { radius, gapMm: q.gapMm, throws: THROWS_A_TRY });
      if (one) all.push(one);
    }
    if (round % ROUNDS_A_STEP === 0) yield progress(q.count + round);
  }
  return progress(q.count + q.rounds);
}

/** Throws in a try to lay one more among those that lie. */
const THROWS_A_TRY = 60;

/** Shares of a pitch by which a lattice is moved to find the one that holds most. */
const PHASES = [0, 0.25, 0.5, 0.75];

/** Motifs in level rows a gap apart, all turned alike, of the lattices tried the one that holds most of them. */
export function latticeIn({
  hull,
  within,
  insetMm,
  gapMm,
  turns,
}: Omit<ScatterQuestion, 'count' | 'seed' | 'rounds'>): LatticeSpot[] {
  const box = boxOf(within);
  let best: LatticeSpot[] = [];
  for (const turnDeg of turns === 'any' ? [0, 90] : [0]) {
    const own = boxOf(placed(hull, turnDeg, { x: 0, y: 0 }));
    const pitch = { x: own.right - own.left + gapMm, y: own.bottom - own.top + gapMm };
    for (const across of PHASES)
      for (const along of PHASES) {
        const spots: LatticeSpot[] = [];
        for (let y = box.top + along * pitch.y; y <= box.bottom; y += pitch.y)
          for (let x = box.left + across * pitch.x; x <= box.right; x += pitch.x) {
            const laid = placed(hull, turnDeg, { x, y });
            if (liesWithin(laid, within, insetMm)) spots.push({ x, y, turnDeg, hull: laid });
          }
        if (spots.length > best.length) best = spots;
      }
  }
  return best;
}

/** So many of the spots, each the farthest from those before it, the first being the first. */
function spreadOver(spots: readonly LatticeSpot[], count: number): LaidMotif[] {
  if (spots.length <= count) return [...spots];
  const left = [...spots];
  const apart = left.map(() => Infinity);
  const taken: LaidMotif[] = [];
  while (taken.length < count) {
    const at = apart.indexOf(Math.max(...apart));
    const next = left[at];
    if (!next) break;
    taken.push(next);
    apart[at] = Number.NEGATIVE_INFINITY;
    left.forEach((spot, i) => {
      if (Number.isFinite(apart[i] ?? 0) || apart[i] === Infinity)
        apart[i] = Math.min(apart[i] ?? 0, Math.hypot(spot.x - next.x, spot.y - next.y));
    });
  }
  return taken;
}

/** The whole search at once: the last of its progress. */
export function scatterAll(q: ScatterQuestion): ScatterProgress {
  const search = scatter(q);
  for (;;) {
    const { value, done } = search.next();
    if (done) return value;
  }
}

/** The roomiest of some spots that keep the gap; null when none is found. */
function roomiest(
  throwOne: () => LaidMotif | null,
  all: readonly LaidMotif[],
  { radius, gapMm, throws: most = MOST_THROWS }: { radius: number; gapMm: number; throws?: number },
): LaidMotif | null {
  let best: LaidMotif | null = null;
  let room = -Infinity;
  let found = 0;
  for (let throws = 0; throws < most && found < CANDIDATES; throws++) {
    const candidate = throwOne();
    if (!candidate) continue;
    const least = roomOf(candidate, all, radius, gapMm);
    if (least < gapMm) continue;
    found++;
    if (best === null || least > room) [best, room] = [candidate, least];
  }
  return best;
}

/** How steeply crowding grows as motifs come near: high enough that the nearest neighbour counts for nearly all. */
const STEEPNESS = 7;
/** Beyond this many radii between two hulls their centres tell their distance well enough. */
const FAR_RADII = 1.5;

/** How crowded a spot is: the Riesz energy of its distances to the others. Least where all have most room. */
function crowding(laid: LaidMotif, others: readonly LaidMotif[], radius: number): number {
  let sum = 0;
  for (const other of others) {
    const apart = Math.hypot(other.x - laid.x, other.y - laid.y) - 2 * radius;
    const near = apart < FAR_RADII * radius;
    const mm = near ? convexDistance(laid.hull, other.hull) : apart;
    const room = mm > 0 ? mm : Math.min(0, apart);
    sum += (radius / Math.max(room + radius, radius / 50)) ** STEEPNESS;
  }
  return sum;
}

/** Moves one motif to the least crowded of some spots near it that keep the gap; it stays where none is less crowded. */
function relax(
  all: LaidMotif[],
  i: number,
  { near }: Thrower,
  { radius, gapMm, reach }: { radius: number; gapMm: number; reach: number },
): void {
  const at = all[i];
  if (!at) return;
  const others = all.filter((_, k) => k !== i);
  let best = at;
  let least = crowding(at, others, radius);
  for (let k = 0; k < TRIES; k++) {
    const moved = near(at, reach / (1 + (k % 3)));
    if (!moved) continue;
    const energy = crowding(moved, others, radius);
    if (energy < least && roomOf(moved, others, radius, gapMm) >= gapMm) [best, least] = [moved, energy];
  }
  all[i] = best;
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
      const mm = convexDistance(one, two);
      if (mm < q.gapMm - 1e-9) tooClose.push([i, j, mm]);
    }
  });
  const outside = hulls.flatMap((hull, i) => (liesWithin(hull, q.within, q.insetMm) ? [] : [i]));
  return { tooClose, outside };
}
