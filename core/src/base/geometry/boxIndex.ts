import type { Box } from './box';
import type { Point } from './point';

/** Boxes by where they lie, so that few are looked at: a grid of square cells, each with the boxes over it. */
export interface BoxIndex {
  /** Those over the cell of a point: all boxes that hold it are among them. */
  near: (p: Point) => readonly number[];
  /** Those that share area with a box, in rising order. */
  touching: (box: Box) => number[];
}

export const boxesTouch = (a: Box, b: Box): boolean =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

/** A box over more cells than this is looked at wherever one asks. */
const MOST_CELLS = 400;

/** An index of boxes, by their places in the list. Boxes without area are in it too. mm. */
export function boxIndex(boxes: readonly Box[], cellMm: number): BoxIndex {
  const cells = new Map<string, number[]>();
  const large: number[] = [];
  const range = (from: number, to: number): [number, number] => [
    Math.floor(from / cellMm),
    Math.floor(to / cellMm),
  ];
  function keysOver({ left, top, right, bottom }: Box): string[] | null {
    const [[x0, x1], [y0, y1]] = [range(left, right), range(top, bottom)];
    if (!((x1 - x0 + 1) * (y1 - y0 + 1) <= MOST_CELLS)) return null;
    const keys: string[] = [];
    for (let x = x0; x <= x1; x++) for (let y = y0; y <= y1; y++) keys.push(`${x} ${y}`);
    return keys;
  }
  for (const [i, box] of boxes.entries()) {
    const keys = keysOver(box);
    if (!keys) large.push(i);
    for (const key of keys ?? []) {
      const own = cells.get(key);
      if (own) own.push(i);
      else cells.set(key, [i]);
    }
  }
  const near = ({ x, y }: Point): readonly number[] => {
    const own = cells.get(`${Math.floor(x / cellMm)} ${Math.floor(y / cellMm)}`) ?? [];
    return large.length === 0 ? own : [...own, ...large];
  };
  const touching = (box: Box): number[] => {
    const keys = keysOver(box);
    const candidates = keys
      ? new Set([...keys.flatMap((key) => cells.get(key) ?? []), ...large])
      : boxes.keys();
    return [...candidates].filter((i) => boxesTouch(box, boxes[i] ?? box)).sort((a, b) => a - b);
  };
  return { near, touching };
}
