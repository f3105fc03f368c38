import { type Box, boxOf } from '../../../base/geometry/box';
import { boxesTouch } from '../../../base/geometry/boxIndex';
import type { Point } from '../../../base/geometry/point';
import { type Rings, sharesArea } from '../../../base/geometry/sharesArea';
import type { Part } from '../../../model/ticket/part';
import { isSameStop, keyOfStop, type PartStop } from '../../../model/ticket/partStop';
import type { DrawnShape } from '../applique/appliqued';
import { type ColourOrder, colourOrder } from '../order/colourOrder';
import { ringsOfPath } from '../pathData';
import type { DrawnPart, PlannedStop } from './drawnPart';

/** A colour stop of the whole design: the stops of its parts that are stitched with one thread in one go. */
export interface DesignStop extends PlannedStop {
  of: PartStop[];
}

/** One stop of one part, and which of those before it in the list it lies on. */
export interface Block extends PartStop, PlannedStop {
  /** The place of its part among the parts. */
  partIndex: number;
  on: number[];
}

/** Drawings of more path data than this are not looked at shape by shape: each stop is taken to lie on the one before. */
const MOST_LETTERS = 400_000;

/** A line as one thin region a piece. */
export const linesAsRings = (line: ReturnType<typeof ringsOfPath>, width: number): Rings =>
  line.flatMap((points) =>
    points.slice(1).map((b, i) => {
      const a = points[i] ?? b;
      const long = Math.hypot(b.x - a.x, b.y - a.y) || 1;
      const [nx, ny] = [((a.y - b.y) / long) * (width / 2), ((b.x - a.x) / long) * (width / 2)];
      return [
        { x: a.x + nx, y: a.y + ny },
        { x: b.x + nx, y: b.y + ny },
        { x: b.x - nx, y: b.y - ny },
        { x: a.x - nx, y: a.y - ny },
      ];
    }),
  );

interface Shape {
  rings: Rings;
  box: Box;
}

/** What a shape lays down in its stop: its thread, its cloth as a whole, or the edge round it. */
function ringsLaid({ d, strokeMm, step, applique }: DrawnShape): Rings {
  const lines = ringsOfPath(d);
  if (step === 'edge' && applique)
    return linesAsRings(lines.map(closedLine), (strokeMm ?? 0) + applique.edgeMm);
  return strokeMm === null ? lines : linesAsRings(lines, strokeMm);
}

const closedLine = (ring: Point[]): Point[] => [...ring, ...ring.slice(0, 1)];

const stepOf = ({ applique }: PlannedStop): PartStop['step'] => applique?.step ?? null;

/** The shapes of each stop of a part, in the design's frame; null where they are too many, or all are one size. */
function shapesByStop({ part, paths, stops }: DrawnPart): Shape[][] | null {
  if (!part.artwork || paths.reduce((sum, { d }) => sum + d.length, 0) > MOST_LETTERS) return null;
  const shapes = stops.map((): Shape[] => []);
  for (const shape of paths) {
    const rings = ringsLaid(shape);
    const at = stops.findIndex((stop) => stop.stop === shape.stop && stepOf(stop) === shape.step);
    shapes[at]?.push({ rings, box: boxOf(rings.flat()) });
  }
  return shapes;
}

const anyShared = (a: readonly Shape[], b: readonly Shape[]): boolean =>
  a.some((one) => b.some((other) => boxesTouch(one.box, other.box) && sharesArea(one.rings, other.rings)));

const shapes = new WeakMap<DrawnPart, Shape[][] | null>();
function shapesOf(drawn: DrawnPart): Shape[][] | null {
  if (!shapes.has(drawn)) shapes.set(drawn, shapesByStop(drawn));
  return shapes.get(drawn) ?? null;
}

/** Which stops of the upper part lie on which of the lower one, row by row of the upper. */
type Overlaps = readonly (readonly boolean[])[];
const overlaps = new WeakMap<DrawnPart, WeakMap<DrawnPart, Overlaps>>();

function overlapsOf(upper: DrawnPart, lower: DrawnPart): Overlaps {
  const kept = overlaps.get(upper)?.get(lower);
  if (kept) return kept;
  const [above, below] = [shapesOf(upper), shapesOf(lower)];
  const [wholeUpper, wholeLower] = [upper, lower].map(
    ({ hull }): Shape => ({ rings: [hull], box: boxOf(hull) }),
  ) as [Shape, Shape];
  const near = anyShared([wholeUpper], [wholeLower]);
  const found = upper.stops.map((_, i) =>
    lower.stops.map((_, k) => near && anyShared(above?.[i] ?? [wholeUpper], below?.[k] ?? [wholeLower])),
  );
  const own = overlaps.get(upper) ?? new WeakMap<DrawnPart, Overlaps>();
  overlaps.set(upper, own.set(lower, found));
  return found;
}

const within = new WeakMap<Part, Overlaps>();

/** Which stops of a part lie on which of its own; without shapes each on the one before. It does not move with it. */
function overlapsWithin(drawn: DrawnPart): Overlaps {
  const kept = within.get(drawn.part);
  if (kept) return kept;
  const own = shapesOf(drawn);
  const found = drawn.stops.map((_, i) =>
    drawn.stops.slice(0, i).map((_, k) => (own ? anyShared(own[i] ?? [], own[k] ?? []) : k === i - 1)),
  );
  within.set(drawn.part, found);
  return found;
}

/** The stops of all parts, the lower parts' first, each with those that it lies on. */
export function blocksOf(parts: readonly DrawnPart[]): Block[] {
  const firsts: number[] = [];
  let count = 0;
  for (const { stops } of parts) {
    firsts.push(count);
    count += stops.length;
  }
  return parts.flatMap((drawn, partIndex) =>
    drawn.stops.map((stop, i): Block => {
      const inPart = (overlapsWithin(drawn)[i] ?? []).flatMap((is, k) =>
        is ? [(firsts[partIndex] ?? 0) + k] : [],
      );
      const under = parts
        .slice(0, partIndex)
        .flatMap((lower, k) =>
          (overlapsOf(drawn, lower)[i] ?? []).flatMap((is, s) => (is ? [(firsts[k] ?? 0) + s] : [])),
        );
      return { ...stop, part: drawn.part.id, step: stepOf(stop), partIndex, on: [...under, ...inPart] };
    }),
  );
}

/**
 * The places of blocks in the order a person holds to: those named, in their order; the others behind those they were
 * drawn behind.
 */
function pinnedOrder(blocks: readonly Block[], order: readonly PartStop[]): number[] {
  const named = order
    .map((one) => blocks.findIndex((block) => isSameStop(block, one)))
    .filter((at) => at >= 0);
  const placed = [...new Set(named)];
  blocks.forEach((_, i) => {
    if (placed.includes(i)) return;
    const before = placed.findLastIndex((at) => at < i);
    placed.splice(before + 1, 0, i);
  });
  return placed;
}

/** A block that would be stitched before one it lies on: what may not be. */
export interface Swapped {
  upper: Block;
  lower: Block;
}

/** What of an order may not be: blocks that come before one that they lie on. */
export function swappedIn(blocks: readonly Block[], order: readonly number[]): Swapped[] {
  const at = new Map(order.map((block, i) => [block, i]));
  return blocks.flatMap((upper, i) =>
    upper.on.flatMap((k) => {
      const lower = blocks[k];
      return lower && (at.get(k) ?? 0) > (at.get(i) ?? 0) ? [{ upper, lower }] : [];
    }),
  );
}

/**
 * What is stitched in one go: one thread, and of appliqués the same step of the same cloth, after which the machine stands
 * still for the same work.
 */
const goOf = ({ hex, step, applique }: Block): string =>
  [hex, step ?? '', applique ? `${applique.of.way} ${applique.of.edge} ${applique.of.cloth.name}` : ''].join(
    ' ',
  );

/** Neighbours of one thread, of different parts, are one stop. */
function joinedStops(blocks: readonly Block[]): DesignStop[] {
  const stops: DesignStop[] = [];
  let before: Block | null = null;
  for (const block of blocks) {
    const { hex, name, stitches, applique, part, stop, step } = block;
    const last = before && goOf(before) === goOf(block) ? stops[stops.length - 1] : undefined;
    if (last) {
      last.stitches += stitches;
      if (last.applique && applique)
        last.applique = { ...last.applique, shapes: last.applique.shapes + applique.shapes };
      last.of.push({ part, stop, step });
    } else stops.push({ hex, name, stitches, applique, of: [{ part, stop, step }] });
    before = block;
  }
  return stops;
}

let last: { key: string; order: ColourOrder } | null = null;

/** The order of fewest changes; kept while neither colours nor what lies on what change, as while a part is dragged. */
function fewestChanges(blocks: readonly Block[]): ColourOrder {
  const key = blocks.map((block) => `${goOf(block)} ${block.on.join(' ')}`).join('\n');
  if (last?.key === key) return last.order;
  const goes = [...new Set(blocks.map(goOf))];
  const order = colourOrder({
    colours: blocks.map((block) => goes.indexOf(goOf(block))),
    after: blocks.map(({ on }) => on),
  });
  last = { key, order };
  return order;
}

/** Finds the place of a part's stop among those of the design; null where it is in none. */
export function placesOf(stops: readonly Pick<DesignStop, 'of'>[]): (stop: PartStop) => number | null {
  const places = new Map(stops.flatMap(({ of }, i) => of.map((one) => [keyOfStop(one), i])));
  return (stop) => places.get(keyOfStop(stop)) ?? null;
}

/** The stops of a design in the order they are stitched, and what is to be known of that order. */
export interface StopOrder {
  stops: DesignStop[];
  /** Thread changes in the order drawn, and the fewest there could be. */
  asDrawn: number;
  bound: number;
  swapped: Swapped[];
}

/**
 * The stops in the order of fewest thread changes in which nothing is stitched before what it lies on, or in the order
 * that a person holds to. A design of one part that nobody reordered keeps the stops that it came with.
 */
export function stopsOfDesign(parts: readonly DrawnPart[], order: readonly PartStop[] | null): StopOrder {
  const [only] = parts;
  if (only && parts.length === 1 && order === null) {
    const stops = only.stops.map(({ stop, ...rest }) => ({
      ...rest,
      of: [{ part: only.part.id, stop, step: rest.applique?.step ?? null }],
    }));
    return { stops, asDrawn: stops.length, bound: stops.length, swapped: [] };
  }
  const blocks = blocksOf(parts);
  const best = fewestChanges(blocks);
  const places = order === null ? best.order : pinnedOrder(blocks, order);
  return {
    stops: joinedStops(places.flatMap((i) => blocks[i] ?? [])),
    asDrawn: joinedStops(blocks).length,
    bound: best.bound,
    swapped: swappedIn(blocks, places),
  };
}
