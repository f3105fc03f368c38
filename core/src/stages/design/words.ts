import { type Box, boxOf, heightOf, widthOf } from '../../base/geometry/box';
import type { Polygon } from '../../base/geometry/polygon';

/** Shapes that hang together, by their places in the drawing, with what they reach and their colour stop. */
export interface Shape {
  paths: number[];
  hull: Polygon;
  stop: number;
}

/** Letters of a word: so many at least, or it could be anything. */
const LEAST_LETTERS = 3;
/** Letters of one word are no farther apart than this share of their height, and not taller than one another by more. */
const MOST_GAP = 0.6;
const MOST_TALLER = 2.2;
/** A letter is no wider than this share of its height. */
const MOST_WIDE = 1.6;

interface Boxed {
  shape: Shape;
  box: Box;
}

const isLetterLike = ({ box }: Boxed): boolean => widthOf(box) <= MOST_WIDE * heightOf(box);

/** How much two shapes share in height, as a share of the smaller one's. */
function sharedHeight(a: Box, b: Box): number {
  const shared = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top);
  return shared / Math.min(heightOf(a), heightOf(b));
}

/** Whether two shapes stand beside one another as letters do. */
function areNeighbours(a: Boxed, b: Boxed): boolean {
  const [low, tall] = [heightOf(a.box), heightOf(b.box)].sort((x, y) => x - y) as [number, number];
  const apart = Math.max(a.box.left - b.box.right, b.box.left - a.box.right, 0);
  return (
    a.shape.stop === b.shape.stop &&
    tall <= MOST_TALLER * low &&
    sharedHeight(a.box, b.box) > 0.5 &&
    apart <= MOST_GAP * tall
  );
}

/** Runs of neighbours, each shape in one run. */
function runsOf(shapes: readonly Boxed[]): Boxed[][] {
  const left = new Set(shapes);
  const runs: Boxed[][] = [];
  for (const first of shapes) {
    if (!left.delete(first)) continue;
    const run = [first];
    for (const member of run)
      for (const other of left) if (areNeighbours(member, other) && left.delete(other)) run.push(other);
    runs.push(run);
  }
  return runs;
}

/** Whether a mark belongs to a word: a dot or an accent over or under its letters. */
function belongsTo(word: Box, { box }: Boxed): boolean {
  const middle = (box.left + box.right) / 2;
  const off = Math.max(word.top - box.bottom, box.top - word.bottom);
  return (
    middle >= word.left &&
    middle <= word.right &&
    heightOf(box) < heightOf(word) / 2 &&
    off < heightOf(word) / 2
  );
}

const merged = (shapes: readonly Boxed[]): Shape => ({
  paths: shapes.flatMap(({ shape }) => shape.paths).sort((a, b) => a - b),
  hull: shapes.flatMap(({ shape }) => shape.hull),
  stop: shapes[0]?.shape.stop ?? 0,
});

/**
 * Shapes with the letters of each word as one: three and more of one colour, of like height, side by side, with
 * their dots and accents. Two alike side by side are figures, not a word. The order of the shapes is kept by each
 * word's first.
 */
export function withWordsWhole(shapes: readonly Shape[]): Shape[] {
  const boxed = shapes.map((shape): Boxed => ({ shape, box: boxOf(shape.hull) }));
  const words = runsOf(boxed.filter(isLetterLike)).filter((run) => run.length >= LEAST_LETTERS);
  const taken = new Set(words.flat());
  const all = words.map((run) => {
    const box = boxOf(run.flatMap(({ shape }) => shape.hull));
    const marks = boxed.filter((other) => !taken.has(other) && belongsTo(box, other));
    for (const mark of marks) taken.add(mark);
    return merged([...run, ...marks]);
  });
  const rest = boxed.filter((one) => !taken.has(one)).map(({ shape }) => shape);
  return [...all, ...rest].sort((a, b) => (a.paths[0] ?? 0) - (b.paths[0] ?? 0));
}
