import { type Box, boxOf } from '../../base/geometry/box';
import { areaOf, type Clipper, type Region, type Ring, signedAreaOf } from '../../base/geometry/clip';
import { add, type Point, rotate } from '../../base/geometry/point';

/** What is laid on the cloth: every piece so often, regions in mm in any frame. */
export interface NestQuestion {
  pieces: readonly { name: string; region: Region }[];
  /** How often each is cut. */
  times: number;
  /** Across the grain, mm. */
  widthMm: number;
  gapMm: number;
  /** Whether a piece lies upright or upside down only, so that the grain runs in it as in the design. */
  alongGrain: boolean;
}

/** A piece where it lies on the cloth: x across from its left edge, y along it from its cut edge, mm. */
export interface Laid {
  piece: number;
  turnDeg: number;
  region: Region;
}

export interface Nested {
  laid: Laid[];
  /** Pieces, by their places, that lie on no strip so narrow. */
  tooWide: number[];
  /** How much of the cloth they take across and along it, mm; 0 for nothing. */
  widthMm: number;
  lengthMm: number;
  /** The share of what they take that falls to waste, 0 to 1. */
  waste: number;
}

/** A ring may be followed so roughly where pieces are laid, mm: they are grown by it first. */
const ROUGH_MM = 0.3;
/** Lying as good as side by side, mm. */
const TOUCH_MM = 0.002;

/** A piece turned a way, its box begun at nought. */
interface Pose {
  piece: number;
  turnDeg: number;
  region: Region;
  /** What nothing else may come into, half of the gap all round; without its holes. */
  room: Ring[];
  size: { width: number; height: number };
  /** Where its reference point may not come, for what was laid so far; and how much of it is looked at. */
  barred: Region;
  seen: number;
}

const movedBy = (region: readonly Ring[], by: Point): Ring[] =>
  region.map((ring) => ring.map((p) => add(p, by)));
const outers = (region: Region): Region => region.filter((ring) => signedAreaOf(ring) > 0);

function poseOf(
  region: Region,
  turnDeg: number,
  { piece, gapMm, clip }: { piece: number; gapMm: number; clip: Clipper },
): Pose {
  const turned = region.map((ring) => ring.map((p) => rotate(p, turnDeg)));
  const box = boxOf(turned.flat());
  const own = movedBy(turned, { x: -box.left, y: -box.top });
  const rough = clip.simplify(clip.offset(outers(own), gapMm / 2 + ROUGH_MM), ROUGH_MM);
  return {
    piece,
    turnDeg,
    region: own,
    room: [...outers(rough)],
    size: { width: box.right - box.left, height: box.bottom - box.top },
    barred: [],
    seen: 0,
  };
}

/** Where the reference point of one may not come for the other's sake, which lies at nought. */
function barredBy(lying: Pose, coming: Pose, clip: Clipper): Region {
  const inverse = coming.room.map((ring) => ring.map(({ x, y }) => ({ x: -x, y: -y })));
  const swept = lying.room.flatMap((a) => inverse.flatMap((b) => clip.minkowskiSum(a, b)));
  // The band closes in all that lies within it.
  return outers(clip.union(swept));
}

const turnsOf = (alongGrain: boolean): number[] => (alongGrain ? [0, 180] : [0, 90, 180, 270]);

/** Lays the pieces: the largest first, each where it lies lowest, then farthest left. */
class Nesting {
  private readonly laid: { pose: Pose; at: Point }[] = [];
  private readonly bars = new Map<string, Region>();
  lengthMm = 0;

  constructor(
    readonly question: NestQuestion,
    readonly clip: Clipper,
  ) {}

  private barsOf(lying: Pose, coming: Pose): Region {
    const key = `${lying.piece} ${lying.turnDeg} ${coming.piece} ${coming.turnDeg}`;
    const known = this.bars.get(key);
    if (known) return known;
    const bars = barredBy(lying, coming, this.clip);
    this.bars.set(key, bars);
    return bars;
  }

  /** Where the reference point may lie, by what was laid so far. */
  private freeFor(pose: Pose): Region {
    const news = this.laid
      .slice(pose.seen)
      .flatMap(({ pose: lying, at }) => movedBy(this.barsOf(lying, pose), at));
    if (news.length > 0) pose.barred = this.clip.union([...pose.barred, ...news]);
    pose.seen = this.laid.length;
    const right = this.question.widthMm - pose.size.width;
    const bottom = this.lengthMm + this.question.gapMm + ROUGH_MM * 4 + 1;
    const strip: Ring = [
      { x: -TOUCH_MM, y: -TOUCH_MM },
      { x: right + TOUCH_MM, y: -TOUCH_MM },
      { x: right + TOUCH_MM, y: bottom },
      { x: -TOUCH_MM, y: bottom },
    ];
    return this.clip.subtract([strip], pose.barred);
  }

  private bestOf(poses: readonly Pose[]): { pose: Pose; at: Point } | null {
    let best: { pose: Pose; at: Point } | null = null;
    let least = Number.POSITIVE_INFINITY;
    for (const pose of poses) {
      const right = this.question.widthMm - pose.size.width;
      if (right < -1e-6) continue;
      for (const p of this.freeFor(pose).flat()) {
        const at = { x: Math.min(Math.max(p.x, 0), Math.max(0, right)), y: Math.max(p.y, 0) };
        const cost = (at.y + pose.size.height) * 1e4 + at.y * 10 + at.x;
        if (cost < least) [best, least] = [{ pose, at }, cost];
      }
    }
    return best;
  }

  /** Lays a piece in one of its poses; whether it could be. */
  lay(poses: readonly Pose[]): boolean {
    const best = this.bestOf(poses);
    if (!best) return false;
    this.laid.push(best);
    this.lengthMm = Math.max(this.lengthMm, best.at.y + best.pose.size.height);
    return true;
  }

  answer(): Laid[] {
    return this.laid.map(({ pose, at }) => ({
      piece: pose.piece,
      turnDeg: pose.turnDeg,
      region: movedBy(pose.region, at),
    }));
  }
}

const heightOf = ({ top, bottom }: Box): number => bottom - top;

/**
 * Lays pieces on a strip of cloth so that no two come nearer than the gap and none leaves the cloth: the tallest first, each
 * as low as it goes. Yields how many lie. The same question has the same answer; without pieces it takes no cloth. The
 * places where two pieces would touch are the Minkowski sum of one and the other's mirror (no-fit polygon).
 */
export function* nest(
  question: NestQuestion,
  clip: Clipper,
): Generator<{ done: number; of: number }, Nested> {
  const { pieces, times, gapMm, alongGrain } = question;
  const posesOf = pieces.map(({ region }, piece) =>
    turnsOf(alongGrain).map((turnDeg) => poseOf(region, turnDeg, { piece, gapMm, clip })),
  );
  const order = pieces
    .map(({ region }, piece) => ({ piece, height: heightOf(boxOf(region.flat())), area: areaOf(region) }))
    .sort((a, b) => b.height - a.height || b.area - a.area || a.piece - b.piece);
  const nesting = new Nesting(question, clip);
  const tooWide: number[] = [];
  let done = 0;
  for (const { piece } of order)
    for (let i = 0; i < times; i++) {
      if (!nesting.lay(posesOf[piece] ?? [])) {
        tooWide.push(piece);
        break;
      }
      done += 1;
      yield { done, of: pieces.length * times };
    }
  const laid = nesting.answer();
  const used = laid.reduce((sum, { region }) => sum + areaOf(region), 0);
  const { lengthMm } = nesting;
  const taken = Math.max(0, ...laid.map(({ region }) => boxOf(region.flat()).right));
  return {
    laid,
    tooWide,
    widthMm: taken,
    lengthMm,
    waste: lengthMm === 0 ? 0 : 1 - used / (lengthMm * taken),
  };
}
