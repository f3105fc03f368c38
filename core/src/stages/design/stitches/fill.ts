import type { Region } from '../../../base/geometry/clip';
import { distance, type Point } from '../../../base/geometry/point';
import { stitchAlong } from './along';
import type { HowToStitch } from './howToStitch';
import { longestWayDeg } from './longestWay';
import { type Rows, rowsOver, type Span, unturned } from './rows';
import { type Section, sectionsOf } from './sections';
import type { StitchKind, StitchWriter } from './stitches';
import { type Pass, tourOf } from './strands';

/** How far each next row's penetrations are moved on, in stitches: four rows, and no two neighbours alike. */
const STAGGER = [0, 0.5, 0.25, 0.75];
/** A stitch shorter than this share of its length is made one with its neighbour. */
const LEAST_SHARE = 0.3;

interface RowStitches {
  kind: StitchKind;
  stitchMm: number;
  pullMm: number;
}

/** One row from one of its ends to the other. */
function stitchRow(
  writer: StitchWriter,
  { rows, span, row, isRightwards }: { rows: Rows; span: Span; row: number; isRightwards: boolean },
  { kind, stitchMm, pullMm }: RowStitches,
): void {
  const [left, right] = [span.left - pullMm, span.right + pullMm];
  const shift = (STAGGER[row % STAGGER.length] ?? 0) * stitchMm;
  const least = stitchMm * LEAST_SHARE;
  const xs = [left];
  for (
    let x = Math.ceil((left + least - shift) / stitchMm) * stitchMm + shift;
    x <= right - least;
    x += stitchMm
  )
    xs.push(x);
  xs.push(right);
  for (const x of isRightwards ? xs : xs.reverse()) {
    const p = unturned(rows, x, span.y);
    writer.to(p.x, p.y, kind);
  }
}

/** From where the needle is along the middle of a section, keeping within every row: the way that is covered later. */
function wayThrough(rows: Rows, spans: readonly Span[], from: Point | null): Point[] {
  const inset = ({ left, right }: Span): [number, number] => {
    const by = Math.min(0.5, (right - left) / 2);
    return [left + by, right - by];
  };
  const start = from ? unturned({ ...rows, angleDeg: -rows.angleDeg }, from.x, from.y).x : null;
  let x = start ?? ((spans[0]?.left ?? 0) + (spans[0]?.right ?? 0)) / 2;
  return spans.flatMap((span, i) => {
    const [left, right] = inset(span);
    const next = Math.min(right, Math.max(left, x));
    const before = spans[i - 1];
    const corner = before && next !== x ? [unturned(rows, next, before.y)] : [];
    x = next;
    return [...corner, unturned(rows, x, span.y)];
  });
}

interface Laid {
  rows: Rows;
  sections: Section[];
  how: HowToStitch;
  route: Route;
}

/** A way inside the region; null where it does not hang together. */
type Route = (from: Point, to: Point) => Point[] | null;

/** Takes the needle to a place under what is to come; where no way leads there the thread is cut. */
function goTo(writer: StitchWriter, to: Point, { how, route }: Pick<Laid, 'how' | 'route'>): void {
  const at = writer.at();
  const line = at && (distance(at, to) <= how.runStitchMm ? [to] : route(at, to));
  if (line) stitchAlong(writer, line, { stitchMm: how.runStitchMm, kind: 'travel' });
  else writer.trimTo(to.x, to.y);
}

function stitchPass(writer: StitchWriter, { strand, way, from }: Pass, laid: Laid, row: RowStitches): void {
  const section = laid.sections[strand];
  if (!section) return;
  const { rows, how } = laid;
  const spans = from === 0 ? section.spans : [...section.spans].reverse();
  const at = writer.at();
  if (way === 'out') {
    const line = wayThrough(rows, spans, at);
    if (line[0]) goTo(writer, line[0], laid);
    stitchAlong(writer, line, { stitchMm: how.runStitchMm, kind: 'travel' });
    return;
  }
  for (const span of spans) {
    const now = writer.at();
    const x = now ? unturned({ ...rows, angleDeg: -rows.angleDeg }, now.x, now.y).x : span.left;
    const isRightwards = Math.abs(x - span.left) <= Math.abs(x - span.right);
    const start = unturned(rows, isRightwards ? span.left : span.right, span.y);
    if (!now || distance(now, start) > how.runStitchMm) goTo(writer, start, laid);
    stitchRow(writer, { rows, span, row: Math.round(span.y / how.fillRowMm) & 3, isRightwards }, row);
  }
}

/** All rows of one layer, section after section. */
function stitchRows(writer: StitchWriter, laid: Laid, row: RowStitches): void {
  const walked = new Set<number>();
  for (;;) {
    const at = writer.at();
    const left = laid.sections.flatMap((section, i) => (walked.has(i) ? [] : [{ section, i }]));
    if (left.length === 0) return;
    const farFrom = (span: Span | undefined): number =>
      at && span ? distance(at, unturned(laid.rows, (span.left + span.right) / 2, span.y)) : 0;
    const ends = left.flatMap(({ section: { spans, ends } }) => [
      { node: ends[0], far: farFrom(spans[0]) },
      { node: ends[1], far: farFrom(spans[spans.length - 1]) },
    ]);
    const nearest = ends.reduce((best, end) => (end.far < best.far ? end : best));
    const passes = tourOf(
      laid.sections.map((section, i) => (walked.has(i) ? { ends: [-1, -1] as const } : section)),
      nearest.node,
    );
    for (const pass of passes) {
      walked.add(pass.strand);
      stitchPass(writer, pass, laid, row);
    }
  }
}

/** The edge run and the rows across lie so far in from the rim, mm. */
const EDGE_IN_MM = 0.4;

/**
 * A region that hangs together as a fill: an edge run round it, rows across as underlay, and rows so far apart on top,
 * their penetrations staggered. The needle begins where it is and ends at the rim.
 */
export function stitchFill(
  writer: StitchWriter,
  region: Region,
  { how, inner, route }: { how: HowToStitch; inner: Region; route: Route },
): void {
  const angleDeg = how.angleDeg ?? longestWayDeg(region);
  stitchEdges(writer, inner, { how, route });
  const layer = (over: Region, angle: number, rowMm: number, row: RowStitches): void => {
    const rows = rowsOver(over, angle, rowMm);
    stitchRows(writer, { rows, sections: sectionsOf(rows), how, route }, row);
  };
  if (how.underlay > 0)
    layer(inner, angleDeg + 90, how.fillRowMm / how.underlay, {
      kind: 'underlay',
      stitchMm: how.fillStitchMm,
      pullMm: 0,
    });
  layer(region, angleDeg, how.fillRowMm, {
    kind: 'fill',
    stitchMm: how.fillStitchMm,
    pullMm: how.pullMm,
  });
}

/** How far in from the rim the edge run lies, for whoever makes the inner region. */
export const edgeInMm = EDGE_IN_MM;

function stitchEdges(writer: StitchWriter, inner: Region, laid: Pick<Laid, 'how' | 'route'>): void {
  for (const ring of inner) {
    const now = writer.at();
    const at = now
      ? ring.reduce((best, p, i) => (distance(now, p) < distance(now, ring[best] ?? p) ? i : best), 0)
      : 0;
    const round = [...ring.slice(at), ...ring.slice(0, at + 1)];
    const [first] = round;
    if (!first) continue;
    goTo(writer, first, laid);
    stitchAlong(writer, round, { stitchMm: laid.how.runStitchMm, kind: 'underlay' });
  }
}
