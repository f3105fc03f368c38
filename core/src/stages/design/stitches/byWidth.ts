import { type Clipper, islandsOf, type Region, withoutCrumbs } from '../../../base/geometry/clip';
import { distance, type Point } from '../../../base/geometry/point';

/** Parts of a region by how they are stitched, in mm; they do not overlap, and together they are the region. */
export interface ByWidth {
  /** Wider than the widest satin. */
  fill: Region;
  /** As wide as a satin column may be. */
  satin: Region;
  /** Thinner than the thinnest satin: a line of running stitches. */
  run: Region;
}

/** The widths between which a column is stitched as satin, mm. */
export interface SatinWidths {
  satinLeastMm: number;
  satinMostMm: number;
}

/** Less than this is nothing that is stitched, mm². */
const CRUMB_MM2 = 0.01;

/**
 * Where a region is at least so wide: all points of it that some disc of that diameter within it covers (the opening of
 * the region; local thickness after Hildebrand and Rüegsegger 1997). Empty where it is that wide nowhere.
 */
export function atLeastAsWide(region: Region, widthMm: number, clip: Clipper): Region {
  const inner = clip.offset(region, -widthMm / 2);
  return inner.length === 0 ? [] : clip.intersect(clip.offset(inner, widthMm / 2), region);
}

const keyOf = ({ x, y }: Point): string => `${Math.round(x * 1000)} ${Math.round(y * 1000)}`;

/**
 * Whether a piece stands out from what it was cut from by more than it is wide where it begins. Both share their points
 * there; of a bridge, with two such places, the mean counts.
 */
function standsOut(piece: Region, wide: ReadonlySet<string>): boolean {
  let [long, places] = [0, 0];
  const rim: Point[] = [];
  for (const ring of piece) {
    const on = ring.map((p) => wide.has(keyOf(p)));
    for (const [i, b] of ring.entries()) {
      const k = (i + ring.length - 1) % ring.length;
      if (on[i]) rim.push(b);
      if (on[i] && !on[k]) places += 1;
      if (on[i] && on[k]) long += distance(ring[k] ?? b, b);
    }
  }
  const mouth = long / Math.max(1, places);
  return piece.flat().some((p) => rim.every((q) => distance(p, q) >= mouth));
}

/** Where a cut runs out along a rim it leaves hairs, narrower than twice this, mm: no needle finds them. */
const HAIR_MM = 0.04;
/** Round corners are made of no finer chords, mm. */
export const FINE_MM = 0.015;
const withoutHairs = (region: Region, clip: Clipper): Region =>
  clip.simplify(clip.offset(clip.offset(region, -HAIR_MM), HAIR_MM), FINE_MM);

/** A region, and what is left of it once it is made smaller by half a width all round. */
interface Eroded {
  region: Region;
  inner: Region;
}

/**
 * A region parted where it becomes narrower than a width. What is left over stays with the wide part where it stands out
 * from it by less than half that width, or by less than it is wide where it begins: the corners, which no disc reaches,
 * and stubs too short for a column of their own.
 */
function partedAt(
  { region, inner }: Eroded,
  widthMm: number,
  clip: Clipper,
): { wide: Region; narrow: Region } {
  if (inner.length === 0) return { wide: [], narrow: region };
  const wide = clip.intersect(clip.offset(inner, widthMm / 2), region);
  const left = islandsOf(withoutCrumbs(clip.subtract(region, wide), CRUMB_MM2));
  const beyond = clip.offset(inner, widthMm);
  const known = new Set(wide.flat().map(keyOf));
  const narrow = left
    .filter((piece) => clip.subtract(piece, beyond).length > 0 && standsOut(piece, known))
    .flat();
  if (narrow.length === 0) return { wide: region, narrow };
  // Slivers that the cut leaves beside a piece are no wide part of their own.
  const rest = islandsOf(clip.subtract(region, narrow));
  const wideRest = rest.filter((island) => clip.offset(island, -widthMm / 2).length > 0);
  const slivers = rest.filter((island) => !wideRest.includes(island)).flat();
  const pieces = withoutHairs([...narrow, ...slivers], clip);
  return { wide: withoutHairs(wideRest.flat(), clip), narrow: withoutCrumbs(pieces, CRUMB_MM2) };
}

/**
 * How a region is stitched, part by part: by its own width there. One shape may be all three: a bat's body is filled, its
 * handle a satin column, the string on it a line. Empty for a region without area.
 */
export function byWidth(region: Region, { satinLeastMm, satinMostMm }: SatinWidths, clip: Clipper): ByWidth {
  // What is thin everywhere is found first: making it smaller once more costs little then.
  const satinInner = clip.offset(region, -satinLeastMm / 2);
  if (satinInner.length === 0) return { fill: [], satin: [], run: region };
  const fillInner = clip.offset(satinInner, -(satinMostMm - satinLeastMm) / 2);
  const { wide: fill, narrow } = partedAt({ region, inner: fillInner }, satinMostMm, clip);
  const inner = fill.length === 0 ? satinInner : clip.offset(narrow, -satinLeastMm / 2);
  const { wide: satin, narrow: run } = partedAt({ region: narrow, inner }, satinLeastMm, clip);
  return { fill, satin, run };
}
