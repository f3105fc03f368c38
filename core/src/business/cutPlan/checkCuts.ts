import type { Box } from '../../base/geometry/box';
import type { PlacedSheet } from './guillotine';

const EPSILON_MM = 1e-6;
const overlap = (a: Box, b: Box): boolean =>
  Math.min(a.right, b.right) - Math.max(a.left, b.left) > EPSILON_MM &&
  Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) > EPSILON_MM;

/** The two heaps of pieces that a cut from edge to edge parts, between a place where one ends and the next begins; null where none does. */
function parted(
  boxes: readonly Box[],
  from: (box: Box) => number,
  to: (box: Box) => number,
): [Box[], Box[]] | null {
  for (const at of new Set(boxes.map(to))) {
    const before = boxes.filter((box) => to(box) <= at + EPSILON_MM);
    const behind = boxes.filter((box) => from(box) >= at - EPSILON_MM);
    if (before.length + behind.length === boxes.length && before.length > 0 && behind.length > 0)
      return [before, behind];
  }
  return null;
}

/** Whether scissors can part pieces by straight cuts from edge to edge, one after the other, none through a piece. */
export function canBeCut(boxes: readonly Box[]): boolean {
  if (boxes.length < 2) return true;
  const halves =
    parted(
      boxes,
      ({ left }) => left,
      ({ right }) => right,
    ) ??
    parted(
      boxes,
      ({ top }) => top,
      ({ bottom }) => bottom,
    );
  return halves?.every(canBeCut) ?? false;
}

/** What is wrong with pieces laid on a sheet of a size, in words; empty for nothing. Proves a cut plan without its cuts. */
export function checkCuts(sheet: Box, placed: readonly PlacedSheet[]): string[] {
  const outside = placed.flatMap(({ id, at }) =>
    at.left < sheet.left - EPSILON_MM ||
    at.top < sheet.top - EPSILON_MM ||
    at.right > sheet.right + EPSILON_MM ||
    at.bottom > sheet.bottom + EPSILON_MM
      ? [`${id} lies outside`]
      : [],
  );
  const over = placed.flatMap((one, i) =>
    placed
      .slice(i + 1)
      .flatMap((other) => (overlap(one.at, other.at) ? [`${one.id} lies on ${other.id}`] : [])),
  );
  const boxes = placed.map(({ at }) => at);
  return [
    ...outside,
    ...over,
    ...(over.length === 0 && !canBeCut(boxes) ? ['no straight cuts part them'] : []),
  ];
}
