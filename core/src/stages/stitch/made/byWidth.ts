import { type Clipper, islandsOf, type Region, type Ring, withoutCrumbs } from '../../../base/geometry/clip';
import { distance, nearestOnSegment, type Point } from '../../../base/geometry/point';
import { segmentsOf } from '../../../base/geometry/polygon';

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

const distanceTo = (rings: readonly Ring[], p: Point): number =>
  Math.min(
    Number.POSITIVE_INFINITY,
    ...rings.flatMap((ring) =>
      segmentsOf([...ring], true).map(([a, b]) => distance(p, nearestOnSegment(p, a, b))),
    ),
  );

/** How far a piece stands out from what it hangs on, mm; without end where that is nothing. */
const reachOf = (piece: Region, from: Region): number =>
  Math.max(...piece.flat().map((p) => distanceTo(from, p)));

/**
 * A region parted where it becomes narrower than a width. What is left over stays with the wide part where it stands out
 * from it by less than half that width: the corners, which no disc reaches, and spurs too short for a column of their own.
 */
function partedAt(region: Region, widthMm: number, clip: Clipper): { wide: Region; narrow: Region } {
  const wide = atLeastAsWide(region, widthMm, clip);
  if (wide.length === 0) return { wide: [], narrow: region };
  const left = islandsOf(withoutCrumbs(clip.subtract(region, wide), CRUMB_MM2));
  const narrow = left.filter((piece) => reachOf(piece, wide) >= widthMm / 2).flat();
  return { wide: narrow.length === 0 ? region : clip.subtract(region, narrow), narrow };
}

/**
 * How a region is stitched, part by part: by its own width there. One shape may be all three: a bat's body is filled, its
 * handle a satin column, the string on it a line. Empty for a region without area.
 */
export function byWidth(region: Region, { satinLeastMm, satinMostMm }: SatinWidths, clip: Clipper): ByWidth {
  const { wide: fill, narrow } = partedAt(region, satinMostMm, clip);
  const { wide: satin, narrow: run } = partedAt(narrow, satinLeastMm, clip);
  return { fill, satin, run };
}
