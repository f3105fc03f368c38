import { boxOf, centreOf, heightOf, widthOf } from '../../../base/geometry/box';
import {
  add,
  distanceToSegment,
  ORIGIN,
  type Point,
  rotate,
  shortTurnDeg,
  subtract,
} from '../../../base/geometry/point';
import { containsPoint, type Polygon, segmentsOf } from '../../../base/geometry/polygon';
import { MOST_PARTS, PART_SCALE } from '../../../model/ticket/designBounds';
import type { Part } from '../../../model/ticket/part';
import { drawnPart } from './drawnPart';
import { wayInPart } from './pose';

/** The parts of a design, and the ids of those that are acted on. */
export interface Chosen {
  parts: readonly Part[];
  ids: readonly string[];
}

/** The parts with one of them changed. */
export const withPart = (parts: readonly Part[], id: string, change: Partial<Part>): Part[] =>
  parts.map((part) => (part.id === id ? { ...part, ...change } : part));

const eachChosen = ({ parts, ids }: Chosen, change: (part: Part) => Partial<Part>): Part[] =>
  parts.map((part) => (ids.includes(part.id) ? { ...part, ...change(part) } : part));

const hundredth = (value: number): number => Math.round(value * 100) / 100 + 0;
const atHundredth = ({ x, y }: Point): Point => ({ x: hundredth(x), y: hundredth(y) });

const boxOfPart = (part: Part) => boxOf(drawnPart(part)?.hull ?? [part.at]);
const chosenOf = ({ parts, ids }: Chosen): Part[] => parts.filter(({ id }) => ids.includes(id));
/** The box of parts as they lie, in the design's frame; of one whose size is not known, its place. */
export const boxOfAll = (parts: readonly Part[]) =>
  boxOf(parts.flatMap((part) => [...(drawnPart(part)?.hull ?? [part.at])]));

/** Moved by a way, mm in the design's frame. */
export const moveParts = (chosen: Chosen, by: Point): Part[] =>
  eachChosen(chosen, ({ at }) => ({ at: atHundredth(add(at, by)) }));

/** Turned together about their common middle, clockwise. */
export function turned(chosen: Chosen, degrees: number): Part[] {
  const about = centreOf(boxOfAll(chosenOf(chosen)));
  return eachChosen(chosen, ({ at, turnDeg }) => ({
    at: atHundredth(add(about, rotate(subtract(at, about), degrees))),
    turnDeg: hundredth(shortTurnDeg(turnDeg + degrees)),
  }));
}

/** Whether a part may be mirrored: letters never are. */
export const mayBeMirrored = ({ letters, lettering }: Part): boolean => letters === null && !lettering;

/**
 * The part as a looking glass on an upright line through x shows it; letters change their place and lean, and are not
 * mirrored.
 */
export function inGlass(part: Part, x: number): Part {
  const at = atHundredth({ x: 2 * x - part.at.x, y: part.at.y });
  const turnDeg = hundredth(shortTurnDeg(-part.turnDeg));
  return { ...part, at, turnDeg, mirrored: mayBeMirrored(part) ? !part.mirrored : part.mirrored };
}

/** Mirrored together, left for right, about their common middle. */
export function mirrorParts(chosen: Chosen): Part[] {
  const { x } = centreOf(boxOfAll(chosenOf(chosen)));
  return chosen.parts.map((part) => (chosen.ids.includes(part.id) ? inGlass(part, x) : part));
}

/** Scaled together about their common middle, each within what a part may be. */
export function scaled(chosen: Chosen, factor: number): Part[] {
  const about = centreOf(boxOfAll(chosenOf(chosen)));
  const percents = chosenOf(chosen).map(({ scalePercent }) => scalePercent);
  const most = PART_SCALE.most / Math.max(...percents);
  const least = PART_SCALE.least / Math.min(...percents);
  const by = Math.min(most, Math.max(least, factor));
  return eachChosen(chosen, ({ at, scalePercent }) => ({
    at: atHundredth(add(about, { x: (at.x - about.x) * by, y: (at.y - about.y) * by })),
    scalePercent: hundredth(scalePercent * by),
  }));
}

/** To which of their sides parts are aligned. */
export const ALIGN_TO = ['left', 'centre', 'right', 'top', 'middle', 'bottom'] as const;
export type AlignTo = (typeof ALIGN_TO)[number];

/** Aligned to a side, or the middle, of all that is chosen; a single part to those of the whole design. */
export function aligned(chosen: Chosen, to: AlignTo): Part[] {
  const own = chosenOf(chosen);
  const whole = boxOfAll(own.length > 1 ? own : chosen.parts.filter(({ id }) => !chosen.ids.includes(id)));
  if (!(widthOf(whole) >= 0)) return [...chosen.parts];
  const by = (part: Part): Point => {
    const box = boxOfPart(part);
    const [middle, all] = [centreOf(box), centreOf(whole)];
    const ways: Record<AlignTo, Point> = {
      left: { x: whole.left - box.left, y: 0 },
      centre: { x: all.x - middle.x, y: 0 },
      right: { x: whole.right - box.right, y: 0 },
      top: { x: 0, y: whole.top - box.top },
      middle: { x: 0, y: all.y - middle.y },
      bottom: { x: 0, y: whole.bottom - box.bottom },
    };
    return ways[to];
  };
  return eachChosen(chosen, (part) => ({ at: atHundredth(add(part.at, by(part))) }));
}

/** Spread so that the gaps between them are equal, the outermost two where they are. Fewer than three stay. */
export function spread(chosen: Chosen, way: 'across' | 'down'): Part[] {
  const own = chosenOf(chosen);
  if (own.length < 3) return [...chosen.parts];
  const [from, size, axis] =
    way === 'across' ? (['left', widthOf, 'x'] as const) : (['top', heightOf, 'y'] as const);
  const rows = own.map((part) => ({ part, box: boxOfPart(part) })).sort((a, b) => a.box[from] - b.box[from]);
  const whole = boxOfAll(own);
  const taken = rows.reduce((sum, { box }) => sum + size(box), 0);
  const gap = (size(whole) - taken) / (rows.length - 1);
  let next = whole[from];
  const to = new Map(
    rows.map(({ part, box }) => {
      const by = next - box[from];
      next += size(box) + gap;
      return [part.id, { ...ORIGIN, [axis]: by }] as const;
    }),
  );
  return eachChosen(chosen, ({ id, at }) => ({ at: atHundredth(add(at, to.get(id) ?? ORIGIN)) }));
}

const BELOW_MM = 4;

/** With one more part on top, below all that is there; an empty part that nothing was said of gives its place. */
export function withPartAdded(parts: readonly Part[], part: Part): Part[] {
  const kept = parts.filter((other) => !isBlank(other));
  if (kept.length === 0) return [part];
  const whole = boxOfAll(kept);
  // Letters that are not set yet will be about as high as their capitals.
  const half = (part.letters?.capMm ?? 0) / 2;
  const own = boxOf(drawnPart({ ...part, at: ORIGIN })?.hull ?? [{ x: 0, y: -half }]);
  const at = atHundredth({ x: centreOf(whole).x, y: whole.bottom + BELOW_MM - own.top });
  return [...kept, { ...part, at }];
}

/** Whether nothing was said of a part yet. */
export const isBlank = ({ artwork, letters, widthMm, heightMm, stitches }: Part): boolean =>
  artwork === null && letters === null && widthMm === null && heightMm === null && stitches === null;

/**
 * The part at a place in the design's frame: the topmost whose hull holds it, else the nearest within the tolerance, mm;
 * null where none is.
 */
export function partAt(parts: readonly Part[], at: Point, toleranceMm: number): Part | null {
  const hulls = parts.map((part) => ({ part, hull: drawnPart(part)?.hull ?? [] }));
  const under = hulls.findLast(({ hull }) => hull.length > 2 && containsPoint(hull, at));
  if (under) return under.part;
  const near = hulls
    .map(({ part, hull }) => ({ part, mm: hull.length > 2 ? distanceToRing(hull, at) : Infinity }))
    .filter(({ mm }) => mm <= toleranceMm);
  return (
    near.reduce<(typeof near)[number] | null>((best, one) => (best && best.mm <= one.mm ? best : one), null)
      ?.part ?? null
  );
}

const distanceToRing = (ring: Polygon, at: Point): number =>
  Math.min(...segmentsOf(ring, true).map(([a, b]) => distanceToSegment(at, a, b)));

const COPY_OFF_MM = 6;

/** With copies of what is chosen, a little off, on top; each copy has the id it is given. */
export function copied(chosen: Chosen, newId: () => string): Chosen {
  const copies = chosenOf(chosen).map((part) => ({
    ...part,
    id: newId(),
    at: atHundredth(add(part.at, { x: COPY_OFF_MM, y: COPY_OFF_MM })),
  }));
  return { parts: [...chosen.parts, ...copies], ids: copies.map(({ id }) => id) };
}

/** With a mirrored copy of each on the other side of the middle of the rest: of the design, where nothing is left. */
export function pairedInGlass(chosen: Chosen, newId: () => string): Chosen {
  const rest = chosen.parts.filter(({ id }) => !chosen.ids.includes(id));
  const own = chosenOf(chosen);
  const box = boxOfAll(own);
  const x = rest.length > 0 ? centreOf(boxOfAll(rest)).x : box.right + COPY_OFF_MM / 2;
  const copies = own.map((part) => ({ ...inGlass(part, x), id: newId() }));
  return { parts: [...chosen.parts, ...copies], ids: [...chosen.ids, ...copies.map(({ id }) => id)] };
}

/** How copies of a part stand in a ring. */
export interface RingOfParts {
  count: number;
  radiusMm: number;
  /** Whether each is turned so that it looks outwards as the first does; else all stay as they are. */
  turning: boolean;
}

/**
 * The chosen parts as the topmost of a ring of so many, evenly, about a middle below them; a ring of fewer than two
 * leaves them.
 */
export function ringed(
  chosen: Chosen,
  { count, radiusMm, turning }: RingOfParts,
  newId: () => string,
): Chosen {
  if (count < 2) return { ...chosen };
  const own = chosenOf(chosen);
  const about = add(centreOf(boxOfAll(own)), { x: 0, y: radiusMm });
  const copies = Array.from({ length: count - 1 }, (_, i) => ((i + 1) * 360) / count).flatMap((degrees) =>
    own.map((part) => ({
      ...part,
      id: newId(),
      at: atHundredth(add(about, rotate(subtract(part.at, about), degrees))),
      turnDeg: turning ? hundredth(shortTurnDeg(part.turnDeg + degrees)) : part.turnDeg,
    })),
  );
  return { parts: [...chosen.parts, ...copies], ids: [...chosen.ids, ...copies.map(({ id }) => id)] };
}

/** Between what a wreath goes round and its parts, and between those, mm. */
const WREATH_MM = 3;
const WREATH = { least: 3, most: 24 } as const;

/**
 * A part as a wreath round another, usually a monogram: its copies stand side by side on a circle that clears the other
 * by 3 mm, each looking outwards, as many as have room. Parts without a size, and a full design, stay as they are.
 */
export function wreathed(
  parts: readonly Part[],
  { round, of }: { round: string; of: string },
  newId: () => string,
): Chosen {
  const [middle, leaf] = [parts.find(({ id }) => id === round), parts.find(({ id }) => id === of)];
  if (!middle || !leaf || !drawnPart(middle) || !drawnPart(leaf)) return { parts, ids: [] };
  const [inner, own] = [boxOfPart(middle), boxOfPart(leaf)];
  const about = centreOf(inner);
  const radiusMm = Math.hypot(widthOf(inner), heightOf(inner)) / 2 + WREATH_MM + heightOf(own) / 2;
  const room = Math.min(WREATH.most, MOST_PARTS - parts.length + 1);
  const fits = Math.floor((2 * Math.PI * radiusMm) / (widthOf(own) + WREATH_MM));
  const count = Math.min(room, Math.max(WREATH.least, fits));
  const by = subtract({ x: about.x, y: about.y - radiusMm }, centreOf(own));
  const there = moveParts({ parts, ids: [of] }, by);
  return ringed({ parts: there, ids: [of] }, { count, radiusMm, turning: true }, newId);
}

/** Lifted over the next part above what is chosen, or lowered under the next below. */
export function lifted(chosen: Chosen, by: 1 | -1): Part[] {
  const parts = [...chosen.parts];
  const order = by === 1 ? [...parts.keys()].reverse() : [...parts.keys()];
  for (const i of order) {
    const [part, other] = [parts[i], parts[i + by]];
    if (!part || !other || !chosen.ids.includes(part.id) || chosen.ids.includes(other.id)) continue;
    parts[i] = other;
    parts[i + by] = part;
  }
  return parts;
}

/** Without what is chosen; null where nothing would be left. */
export function without({ parts, ids }: Chosen): Part[] | null {
  const left = parts.filter(({ id }) => !ids.includes(id));
  return left.length > 0 ? left : null;
}

/**
 * The parts with each of their elements moved in the design's frame, in the order of `DesignFacts.elements`: a part that
 * is one element goes as a whole, a drawing of several is rearranged.
 */
export function withElementsMoved(parts: readonly Part[], moves: readonly Point[]): Part[] {
  let first = 0;
  return parts.map((part) => {
    const count = drawnPart(part)?.elements.length ?? 0;
    const own = moves.slice(first, first + count);
    first += count;
    if (count === 1) return { ...part, at: add(part.at, own[0] ?? ORIGIN) };
    return {
      ...part,
      elementMoves: own.map((by, i) => add(part.elementMoves[i] ?? ORIGIN, wayInPart(part, by))),
    };
  });
}
