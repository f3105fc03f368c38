import { type Box, cornersOf } from '../../../base/geometry/box';
import type { Point } from '../../../base/geometry/point';
import type { Contradiction, NoGoArea, Seam } from '../geometry';
import type { Readings } from '../readings';

/** Parts that outlines are made of. Piece frame, mm. */

/** Points of a quadratic curve, ends included. */
export function curve(from: Point, control: Point, to: Point, pieces = 12): Point[] {
  return Array.from({ length: pieces + 1 }, (_, i) => {
    const t = i / pieces;
    const [a, b, c] = [(1 - t) ** 2, 2 * t * (1 - t), t * t];
    return { x: a * from.x + b * control.x + c * to.x, y: a * from.y + b * control.y + c * to.y };
  });
}

/** An ellipse's points, clockwise from the right. */
export function ellipse(centre: Point, rx: number, ry: number, pieces = 40): Point[] {
  return Array.from({ length: pieces }, (_, i) => {
    const t = (2 * Math.PI * i) / pieces;
    return { x: centre.x + rx * Math.cos(t), y: centre.y + ry * Math.sin(t) };
  });
}

/** The points on the other side of the centre line, in the same order. */
export const mirroredPoints = (points: readonly Point[]): Point[] => points.map((p) => ({ x: -p.x, y: p.y }));

/** A right edge from top to foot, closed by its mirror image. */
export const closedByMirror = (right: readonly Point[]): Point[] => [
  ...right,
  ...mirroredPoints(right).reverse(),
];

export const level = (halfWidth: number, y: number): Point[] => [
  { x: -halfWidth, y },
  { x: halfWidth, y },
];
export const upright = (x: number, top: number, foot: number): Point[] => [
  { x, y: top },
  { x, y: foot },
];

export const strip = (id: string, name: string, box: Box): NoGoArea => ({ id, name, area: cornersOf(box) });
export const seam = (
  id: string,
  name: string,
  line: readonly Point[],
  style: Seam['style'] = 'seam',
): Seam => ({
  id,
  name,
  line,
  style,
});

/** A seam and its twin on the other side. */
export const onBothSides = (
  id: string,
  name: string,
  line: readonly Point[],
  style: Seam['style'] = 'seam',
): Seam[] => [
  seam(`${id}Right`, `${name} on your right`, line, style),
  seam(`${id}Left`, `${name} on your left`, mirroredPoints(line), style),
];

/** A landmark and its twin: `underarm` gives underarmRight and underarmLeft. */
export const twins = (name: string, right: Point): Record<string, Point> => ({
  [`${name}Right`]: right,
  [`${name}Left`]: { x: -right.x, y: right.y },
});

/** A reading's name with its value, by id, for speaking of two that disagree. */
export const named = (names: Readonly<Record<string, string>>, readings: Readings) => (id: string) => ({
  name: names[id] ?? id,
  mm: readings[id] ?? 0,
});

/** Checks in order; those whose condition holds are contradictions. */
export function contradictionsOf(
  readings: Readings,
  names: Readonly<Record<string, string>>,
  checks: readonly [wrong: boolean, field: string, other: string, why: string][],
): Contradiction[] {
  const of = named(names, readings);
  return checks
    .filter(([wrong]) => wrong)
    .map(([, field, other, why]) => ({ field, readings: [field, other], a: of(field), b: of(other), why }));
}
