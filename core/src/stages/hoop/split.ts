import { type Box, boxContainsPoint, boxOf, centreOf, heightOf, widthOf } from '../../base/geometry/box';
import { negate, type Point, rotate } from '../../base/geometry/point';
import { hullOf, type Polygon } from '../../base/geometry/polygon';
import { MOST_SPLIT_PARTS } from '../../model/ticket/hoop';
import { type Field, turnedHull, whyDesignDoesNotFit } from './fit';

/** One part of a split design: what is stitched in one hooping. mm about the design's centre, in the hoop's turn. */
export interface SplitPart {
  /** What is stitched in it, the overlap included. */
  hull: Point[];
  /** Where the field's centre lies. */
  centre: Point;
  /** Places in the list of crosses that this part stitches or is laid on. */
  crosses: number[];
}

/** A design stitched in parts. */
export interface Split {
  /** In the order they are stitched, row by row from the top left. */
  parts: SplitPart[];
  /** Registration crosses: stitched with the part before, found again with the needle for the part after. */
  crosses: Point[];
  /** Least overlap of neighbouring parts, mm. */
  overlapMm: number;
  /** The ring stays on the cloth: the parts are the places in which a repositioning hoop is latched. */
  byPositions: boolean;
}

interface SplitQuestion {
  hull: Polygon;
  field: Field;
  /** How the design lies turned in the hoop, clockwise. */
  turnDeg: number;
  /** Least overlap of two parts. */
  overlapMm: number;
  /** How far outside the design a cross is stitched where the field has room for it. */
  crossOutMm: number;
  /** The places along its height in which the hoop is latched; one for most. */
  positions: { count: number; stepMm: number };
  /** Hulls of the design's elements, about its centre: a seam goes between them where the field leaves room. */
  elements: readonly Polygon[];
}

/** Parts keep this far inside the field, mm, so that rounding never puts a point outside it. */
const HAIR_MM = 1e-6;
/** Rounding in adding, far below that. */
const ROUNDING_MM = 1e-9;

interface Span {
  from: number;
  to: number;
}

/** A seam's overlap begins here, with how many elements are cut by it and those before, and how far it was moved. */
interface SplitSeam {
  at: number;
  cut: number;
  movedMm: number;
  before: SplitSeam | null;
}

/** The way that cuts the fewest elements, and of those the one that moves its seams least. */
const bestOf = (ways: readonly SplitSeam[]): SplitSeam =>
  ways.reduce((a, b) => (b.cut < a.cut || (b.cut === a.cut && b.movedMm < a.movedMm) ? b : a));

/** How a length is to be parted: so many spans, the longest a span may be, and what neighbours share. */
interface Parting {
  parts: number;
  mostMm: number;
  overlapMm: number;
  elements: readonly Span[];
}

/**
 * Where each span begins, from left to right. Of the places that matter for a seam (spans of one length, and the
 * elements' own ends) the best way to each is kept, and carried on to the next seam.
 */
function startsOf({ from, to }: Span, { parts, mostMm, overlapMm, elements }: Parting): number[] {
  const step = (to - from - overlapMm) / parts;
  const apart = Math.min(overlapMm, step) - ROUNDING_MM;
  const isCut = (at: number) => elements.filter((e) => e.from < at && e.to > at + overlapMm).length;
  const ends = elements.flatMap((e) => [e.from, e.to - overlapMm]);
  let reached: SplitSeam[] = [{ at: from, cut: 0, movedMm: 0, before: null }];
  for (let seam = 1; seam < parts; seam++) {
    const equal = from + seam * step;
    // the spans that follow must still reach the end
    const least = to - (parts - seam) * (mostMm - overlapMm) - overlapMm - ROUNDING_MM;
    reached = [equal, ...ends].flatMap((at) => {
      const ways = reached
        .filter((way) => at - way.at >= apart && at + overlapMm - way.at <= mostMm + ROUNDING_MM)
        .map((before): SplitSeam => {
          const movedMm = before.movedMm + Math.abs(at - equal);
          return { at, cut: before.cut + isCut(at), movedMm, before };
        });
      return at < least || ways.length === 0 ? [] : [bestOf(ways)];
    });
  }
  const starts: number[] = [];
  for (let seam: SplitSeam | null = bestOf(reached); seam; seam = seam.before) starts.unshift(seam.at);
  return starts;
}

/**
 * As few spans over the whole as the field allows, each no longer than it, overlapping by the same. They are of one
 * length, unless seams elsewhere cut fewer of the elements: those that do not lie wholly in a span.
 */
function spansOver(
  whole: Span,
  fieldMm: number,
  overlapMm: number,
  elements: readonly Span[],
): Span[] | null {
  const length = whole.to - whole.from;
  if (length <= fieldMm) return [whole];
  const mostMm = fieldMm - HAIR_MM;
  if (mostMm <= overlapMm) return null;
  const parts = Math.ceil((length - overlapMm) / (mostMm - overlapMm));
  if (parts > MOST_SPLIT_PARTS) return null;
  const starts = startsOf(whole, { parts, mostMm, overlapMm, elements });
  return starts.map((from, i) => {
    const next = starts[i + 1];
    return { from, to: next === undefined ? whole.to : next + overlapMm };
  });
}

/** The spans of a hoop that is latched in places a step apart, as few as reach over the whole; null when none do. */
function spansInPositions(
  { from, to }: Span,
  fieldMm: number,
  { count, stepMm }: SplitQuestion['positions'],
): Span[] | null {
  if (stepMm <= 0 || stepMm >= fieldMm) return null;
  const needed = 1 + Math.ceil((to - from - fieldMm + 2 * HAIR_MM) / stepMm);
  if (needed < 2 || needed > count) return null;
  const first = (from + to) / 2 - ((needed - 1) / 2) * stepMm;
  return Array.from({ length: needed }, (_, i) => {
    const centre = first + i * stepMm;
    const half = fieldMm / 2 - HAIR_MM;
    return { from: centre - half, to: centre + half };
  });
}

/** The part of a polygon on one side of a line parallel to an axis (Sutherland and Hodgman 1974). */
function cutAt(polygon: Polygon, axis: 'x' | 'y', at: number, keep: 1 | -1): Point[] {
  const kept: Point[] = [];
  polygon.forEach((a, i) => {
    const b = polygon[(i + 1) % polygon.length] ?? a;
    const [da, db] = [(a[axis] - at) * keep, (b[axis] - at) * keep];
    if (da >= 0) kept.push(a);
    if (da * db < 0) {
      const t = da / (da - db);
      kept.push({ x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t });
    }
  });
  return kept;
}

/**
 * What of a polygon lies inside a box; empty where they share nothing. Of a polygon with hollows the parts hang
 * together along the box's edge, by pieces without area.
 */
export function cutToBox(polygon: Polygon, box: Box): Point[] {
  const across = cutAt(cutAt(polygon, 'x', box.left, 1), 'x', box.right, -1);
  return cutAt(cutAt(across, 'y', box.top, 1), 'y', box.bottom, -1);
}

/** The two crosses of a seam between neighbours: in the middle of their overlap, at both its ends. */
function crossesOf(seam: Box, lying: 'upright' | 'level', field: Field, q: SplitQuestion): Point[] {
  const { x, y } = centreOf(seam);
  if (lying === 'upright') {
    const room = (field.heightMm - heightOf(seam)) / 2;
    const out = Math.min(q.crossOutMm, room);
    return [
      { x, y: seam.top - out },
      { x, y: seam.bottom + out },
    ];
  }
  const out = Math.min(q.crossOutMm, (field.widthMm - widthOf(seam)) / 2);
  return [
    { x: seam.left - out, y },
    { x: seam.right + out, y },
  ];
}

const seamBetween = (a: Box, b: Box): Box => ({
  left: Math.max(a.left, b.left),
  right: Math.min(a.right, b.right),
  top: Math.max(a.top, b.top),
  bottom: Math.min(a.bottom, b.bottom),
});

/**
 * Splits a design into the fewest parts that a field takes, in rows and columns that overlap, of equal size or with
 * their seams between elements, with two registration crosses on each seam; both lie in the fields of both neighbours. Parts in which nothing of
 * the design's hull lies are left out. A round field is taken as the square inside it. Null when the field is no
 * larger than the overlap. A design that fits is one part. A hoop that is latched in several places is tried in
 * them first: then the ring stays where it is.
 */
export function splitDesign(q: SplitQuestion): Split | null {
  const hull = turnedHull(q.hull, q.turnDeg);
  const side = q.field.widthMm / Math.SQRT2;
  const field = q.field.round ? { widthMm: side, heightMm: side, round: false } : q.field;
  const box = boxOf(hull);
  const elements = q.elements.map((each) => boxOf(turnedHull(each, q.turnDeg)));
  const columns = spansOver(
    { from: box.left, to: box.right },
    field.widthMm,
    q.overlapMm,
    elements.map(({ left, right }) => ({ from: left, to: right })),
  );
  const inPositions =
    columns?.length === 1
      ? spansInPositions({ from: box.top, to: box.bottom }, field.heightMm, q.positions)
      : null;
  const rows =
    inPositions ??
    spansOver(
      { from: box.top, to: box.bottom },
      field.heightMm,
      q.overlapMm,
      elements.map(({ top, bottom }) => ({ from: top, to: bottom })),
    );
  if (!columns || !rows || columns.length * rows.length > MOST_SPLIT_PARTS) return null;
  const boxes = rows.flatMap((row) =>
    columns.map((column) => ({ left: column.from, right: column.to, top: row.from, bottom: row.to })),
  );
  const taken = boxes
    .map((part, i) => ({ part, i, hull: hullOf(cutToBox(hull, part)) }))
    .filter((part) => part.hull.length >= 3);
  const parts = taken.map(({ part, hull: cut }): SplitPart => {
    const back = (p: Point) => rotate(p, -q.turnDeg);
    return { hull: cut.map(back), centre: back(centreOf(part)), crosses: [] };
  });
  const crosses: Point[] = [];
  taken.forEach(({ part, i }, at) => {
    for (const [by, lying] of [
      [1, 'upright'],
      [columns.length, 'level'],
    ] as const) {
      if (lying === 'upright' && (i + 1) % columns.length === 0) continue;
      const next = taken.findIndex((other) => other.i === i + by);
      const neighbour = taken[next];
      if (!neighbour) continue;
      for (const cross of crossesOf(seamBetween(part, neighbour.part), lying, field, q)) {
        parts[at]?.crosses.push(crosses.length);
        parts[next]?.crosses.push(crosses.length);
        crosses.push(rotate(cross, -q.turnDeg));
      }
    }
  });
  const overlapMm = inPositions ? field.heightMm - q.positions.stepMm : q.overlapMm;
  return { parts, crosses, overlapMm: parts.length > 1 ? overlapMm : 0, byPositions: inPositions !== null };
}

interface SplitFault {
  code: 'part-outside' | 'uncovered' | 'cross-outside';
  part: number;
}

/** What is wrong with a split, for tests and for those who change it: every part in its field, all of it covered. */
export function checkSplit(split: Split, q: SplitQuestion): SplitFault[] {
  const faults: SplitFault[] = [];
  const poseOf = ({ centre }: SplitPart) => {
    return { turnDeg: q.turnDeg, ...negate(rotate(centre, q.turnDeg)) };
  };
  const outside = (points: Polygon, part: SplitPart) => {
    const miss = whyDesignDoesNotFit(points, q.field, poseOf(part));
    return miss !== null && Math.max(miss.widthMm, miss.heightMm) > HAIR_MM;
  };
  split.parts.forEach((part, i) => {
    if (outside(part.hull, part)) faults.push({ code: 'part-outside', part: i });
    const own = part.crosses.flatMap((k) => split.crosses[k] ?? []);
    if (own.length > 0 && outside(own, part)) faults.push({ code: 'cross-outside', part: i });
  });
  const boxes = split.parts.map((part) => boxOf(turnedHull(part.hull, q.turnDeg)));
  const covered = (p: Point) => boxes.some((b) => boxContainsPoint(b, p, HAIR_MM));
  if (!turnedHull(q.hull, q.turnDeg).every(covered)) faults.push({ code: 'uncovered', part: -1 });
  return faults;
}
