import { type Box, boxContainsPoint, boxOf, clampTo } from '../../../base/geometry/box';
import { boxIndex } from '../../../base/geometry/boxIndex';
import { type Clipper, isInside } from '../../../base/geometry/clip';
import { distance, type Point } from '../../../base/geometry/point';
import { sharesArea } from '../../../base/geometry/sharesArea';
import { type Element, stitchElement } from './element';
import { type Stitches, type StitchWriter, stitchWriter } from './stitches';

/** How far the stitching has come: elements done, of how many, and stitches so far. */
export interface StitchProgress {
  done: number;
  of: number;
  stitches: number;
}

interface Boxed extends Element {
  /** Its place among the elements, as it was given. */
  id: number;
  box: Box;
}

/** A cell of the index of elements, mm: about what a shape of a drawing measures. */
const CELL_MM = 8;

/** So many pairs are looked at closely; beyond, each element comes after the one before it. */
const MOST_PAIRS = 4000;

/** Of elements of one stop, those before it that each lies on: they come first. */
function liesOn(elements: readonly Boxed[]): number[][] {
  const index = boxIndex(
    elements.map(({ box }) => box),
    CELL_MM,
  );
  let pairs = 0;
  const near: number[][] = [];
  for (const [i, { box }] of elements.entries()) {
    const before = index.touching(box).filter((k) => k < i);
    near.push(before);
    pairs += before.length;
    if (pairs > MOST_PAIRS) return elements.map((_, k) => (k > 0 ? [k - 1] : []));
  }
  return elements.map((upper, i) =>
    (near[i] ?? []).filter((k) => sharesArea(upper.region, elements[k]?.region ?? [])),
  );
}

/** The elements of one stop, the nearest next, and none before one that it lies on. */
function* inOrder(elements: readonly Boxed[], writer: StitchWriter): Generator<Boxed> {
  const on = liesOn(elements);
  const left = new Set(elements.keys());
  while (left.size > 0) {
    const at = writer.at();
    let [best, least] = [-1, Number.POSITIVE_INFINITY];
    for (const i of left) {
      const element = elements[i];
      if (!element || on[i]?.some((k) => left.has(k))) continue;
      const far = at ? distance(at, clampTo(element.box, at)) : i;
      if (far < least) [best, least] = [i, far];
    }
    const next = elements[best];
    if (!next) return;
    left.delete(best);
    yield next;
  }
}

/**
 * The stitches of a design, element after element: stop by stop as they are given, within a stop the nearest next. Yields
 * after each how far it has come. The same elements give the same stitches. Elements without area have none.
 */
export function* stitchDesign(
  elements: readonly Element[],
  clip: Clipper,
): Generator<StitchProgress, Stitches> {
  const writer = stitchWriter();
  const boxed = elements.map((element, id): Boxed => {
    return { ...element, id, box: boxOf(element.region.flat()) };
  });
  const index = boxIndex(
    boxed.map(({ box }) => box),
    CELL_MM,
  );
  const begun = new Set<number>();
  const isCoveredLater = (p: Point): boolean =>
    index.near(p).some((i) => {
      const element = begun.has(i) ? undefined : boxed[i];
      return element !== undefined && boxContainsPoint(element.box, p) && isInside(element.region, p);
    });
  const stops = [...new Set(boxed.map(({ stop }) => stop))].sort((a, b) => a - b);
  let done = 0;
  for (const stop of stops)
    for (const element of inOrder(
      boxed.filter((one) => one.stop === stop),
      writer,
    )) {
      writer.begin(stop, element.id);
      begun.add(element.id);
      stitchElement(element, { clip, writer, isCoveredLater });
      done += 1;
      yield { done, of: boxed.length, stitches: writer.count() };
    }
  return writer.finish();
}
