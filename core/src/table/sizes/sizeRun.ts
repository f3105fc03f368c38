import { median } from 'd3-array';
import { boxOf, heightOf, widthOf } from '../../base/geometry/box';
import { mm, type Phrase, percent, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { PLACE_NUMBERS } from '../../catalogue/numbers/place';
import type { HouseRules } from '../../model/houseRules';
import type { Shelf } from '../../model/shelf';
import type { Ticket } from '../../model/ticket';
import type { NameRow } from '../../model/ticket/names';
import { namesOf, ticketOfSize } from '../../planner/onTable';
import { planTicket } from '../../planner/plan';
import type { Plan } from '../../planner/planned';
import { calledName } from '../../stages/design/names/onTable';
import { faceWidthOf } from '../../stages/place/planPlace';

/** One size of an order with the design at the same placement. Lengths in mm. */
export interface SizeRow {
  name: string;
  /** The ticket's own piece. */
  own: boolean;
  /** The names that go on this size; it is planned with the first. */
  names: string[];
  plan: Plan;
  /** Width of the face between its halving landmarks. */
  faceMm: number;
  /** Centre from the centre line, to the viewer's right; null where nothing could be placed. */
  acrossMm: number | null;
  /** Centre from the landmark the tape starts at. */
  depthMm: number | null;
  /** How much of the face's width the design takes, %. */
  coverPercent: number | null;
  /** Why this size does not look like the others, with figures; empty where it does. */
  outOfLine: Phrase[];
}

/** The first reading of a kind is the width that a run of sizes goes by. */
const widthIdOf = (plan: Plan): string => plan.piece.kind.readings[0]?.id ?? '';

function rowOf(
  name: string,
  plan: Plan,
  { own = false, names }: { own?: boolean; names: readonly NameRow[] },
): SizeRow {
  const { place, piece } = plan;
  const faceMm = faceWidthOf(piece.view, piece.sketch);
  return {
    name,
    own,
    names: names.map(calledName),
    plan,
    faceMm,
    acrossMm: place?.acrossMm ?? null,
    depthMm: place?.depthMm ?? null,
    coverPercent: place ? (widthOf(boxOf(place.footprint)) / faceMm) * 100 : null,
    outOfLine: [],
  };
}

/**
 * The line through points of a run that one or two wrong ones do not bend: the median of all slopes, then of all
 * offsets (Theil 1950, Sen 1968). Points at one width give the level line through their median.
 */
function lineThrough(points: readonly { x: number; y: number }[]): (x: number) => number {
  const slopes = points.flatMap((p, i) =>
    points.slice(i + 1).flatMap((q) => (q.x === p.x ? [] : (q.y - p.y) / (q.x - p.x))),
  );
  const slope = median(slopes) ?? 0;
  const offset = median(points.map((p) => p.y - slope * p.x)) ?? 0;
  return (x) => offset + slope * x;
}

/** Readings that lie off the line on which the run's sizes grow: lengths grow slower than widths. Needs three sizes. */
function readingsOut(
  rows: readonly SizeRow[],
  row: SizeRow,
  { widthId, rules }: { widthId: string; rules: HouseRules },
): Phrase[] {
  const mostOut = numberFor(rules, PLACE_NUMBERS.sizeReadingOutPercent) / 100;
  const pointOf = ({ plan: { piece } }: SizeRow, id: string) => {
    const [y, x] = [piece.readings[id], piece.readings[widthId]];
    return y !== undefined && x !== undefined && !piece.assumed.includes(id) ? { x, y } : null;
  };
  return row.plan.piece.kind.readings.flatMap(({ id, name }) => {
    const points = rows.flatMap((r) => pointOf(r, id) ?? []);
    const own = pointOf(row, id);
    if (id === widthId || own === null || points.length < 3) return [];
    const expected = lineThrough(points)(own.x);
    if (expected <= 0 || Math.abs(own.y / expected - 1) <= mostOut) return [];
    return [phrase`${name} ${mm(own.y)}: the other sizes would make it ${mm(expected)}. Measure it again.`];
  });
}

function coverOut(rows: readonly SizeRow[], row: SizeRow, rules: HouseRules): Phrase[] {
  const most = numberFor(rules, PLACE_NUMBERS.sizeCoverOutPercent) / 100;
  const usual = median(rows.flatMap((r) => r.coverPercent ?? [])) ?? 0;
  const cover = row.coverPercent;
  if (cover === null || usual === 0 || rows.length < 3) return [];
  if (cover > usual * most)
    return [
      phrase`The design takes ${percent(cover)} of the width, ${percent(usual)} on the others: it looks large here.`,
    ];
  if (cover < usual / most)
    return [
      phrase`The design takes ${percent(cover)} of the width, ${percent(usual)} on the others: it looks small here.`,
    ];
  return [];
}

/**
 * The ticket's placement on its own piece and on every other size of the order, narrowest first. A size whose
 * readings or whose look break the run, or that has trouble of its own, says so with figures.
 */
export function sizeRun(ticket: Ticket, shelf: Shelf, rules: HouseRules): SizeRow[] {
  const own = planTicket(ticketOfSize(ticket), shelf, rules);
  const widthId = widthIdOf(own);
  const namesOn = (size: string) => namesOf(ticket).filter((row) => row.size === size);
  const others = ticket.piece.sizes.map((size) =>
    rowOf(size.name, planTicket(ticketOfSize(ticket, size), shelf, rules), { names: namesOn(size.name) }),
  );
  const first = rowOf(ticket.name || 'this piece', own, { own: true, names: namesOn('') });
  const rows = [first, ...others].sort((a, b) => a.faceMm - b.faceMm);
  return rows.map((row) => ({
    ...row,
    outOfLine: [
      ...readingsOut(rows, row, { widthId, rules }),
      ...coverOut(rows, row, rules),
      ...row.plan.findings
        .filter((f) => (f.stage === 'place' || f.stage === 'piece') && f.severity !== 'note')
        .map((f) => f.text),
    ],
  }));
}

/** The largest face of a run, so that all can be drawn at one scale. Piece frame, mm. */
export function widestOf(rows: readonly SizeRow[]): { widthMm: number; heightMm: number } {
  const boxes = rows.map((row) => boxOf(row.plan.piece.sketch.outline));
  return { widthMm: Math.max(0, ...boxes.map(widthOf)), heightMm: Math.max(0, ...boxes.map(heightOf)) };
}
