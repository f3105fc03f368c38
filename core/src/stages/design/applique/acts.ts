import type { Applique } from '../../../model/ticket/applique';
import type { Part } from '../../../model/ticket/part';

/** What is of cloth in a part, with that of one colour put in or, without any, taken out. */
export const withCloth = ({ appliques }: Part, stop: number, applique: Applique | null): Applique[] => {
  const others = appliques.filter((one) => one.stop !== stop);
  return applique ? [...others, applique].sort((a, b) => a.stop - b.stop) : others;
};

/** The shapes of one colour, by their places in the drawing. */
export const clothShapesOf = ({ artwork }: Part, stop: number): number[] =>
  (artwork?.paths ?? []).flatMap((path, i) => (path.stop === stop ? [i] : []));

/**
 * A colour's appliqué with one of its shapes put to the cloth or back to thread; null once no shape is left of cloth, and
 * all of them again where all are.
 */
export function withShape(part: Part, applique: Applique, shape: number): Applique | null {
  const all = clothShapesOf(part, applique.stop);
  const now = applique.shapes ?? all;
  const next = now.includes(shape) ? now.filter((one) => one !== shape) : [...now, shape];
  const there = next.filter((one) => all.includes(one)).sort((a, b) => a - b);
  if (there.length === 0) return null;
  return { ...applique, shapes: there.length === all.length ? null : there };
}
