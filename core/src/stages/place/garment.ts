import { boxOf, widthOf } from '../../base/geometry/box';
import type { Point } from '../../base/geometry/point';
import { mm, phrase } from '../../base/units/phrase';
import type { GradedRow } from '../../catalogue/gradedTable';
import { numberFor } from '../../catalogue/houseNumber';
import { PLACE_NUMBERS } from '../../catalogue/numbers/place';
import { fromCollar } from './chest';
import { FROM_TABLE, gradedFor, gradedSum } from './graded';
import { arithmetic, landmark, type PlacementQuestion, type RuledSpot, spot } from './placement';

/** Full front, upper or full back: the design's top a graded depth below the collar seam. */
export function topBelowSpot(q: PlacementQuestion, { row }: { row: GradedRow }): RuledSpot {
  const { top } = q.reachAt(0);
  const below = gradedFor(row, q);
  const sums = [
    ...gradedSum(row, q, 'below the collar seam, its top'),
    phrase`centre half the height lower: + ${mm(top)} = ${mm(below + top)}`,
  ];
  return spot({
    y: below + top,
    depth: fromCollar(q),
    aboveWaist: true,
    reason: arithmetic('place', FROM_TABLE, sums),
  });
}

/** A jacket's back: between the armholes, below collar and yoke. */
export function jacketBackSpot(q: PlacementQuestion): RuledSpot {
  const { top } = q.reachAt(0);
  const usual = numberFor(q.rules, PLACE_NUMBERS.jacketBackTopMm);
  const clear = numberFor(q.rules, PLACE_NUMBERS.yokeClearanceMm);
  const yoke = q.readings.yokeDepth ?? 0;
  const belowYoke = yoke + clear;
  const fitsAbove = yoke > 0 && usual + 2 * top + clear <= yoke;
  const y = yoke === 0 || fitsAbove || belowYoke <= usual ? usual : belowYoke;
  const width = q.readings.backWidth ?? 0;
  const sums = [
    phrase`usual top ${mm(usual)} below the collar seam`,
    ...(yoke > 0 ? [phrase`yoke seam at ${mm(yoke)}; ${mm(clear)} clear of it: ${mm(belowYoke)}`] : []),
    phrase`top ${mm(y)}, centre ${mm(y)} + ${mm(top)} = ${mm(y + top)}`,
  ];
  return spot({
    y: y + top,
    depth: fromCollar(q),
    aboveWaist: true,
    space: { name: 'back between the armholes', widthMm: width },
    reason: arithmetic(
      'place',
      phrase`Centred between the armholes, its top ${mm(usual)} below the collar seam and ${mm(clear)} clear of a yoke seam.`,
      sums,
    ),
  });
}

/** A short sleeve: on the outer fold, a graded height above the hem's stitching. */
export function sleeveSpot(q: PlacementQuestion): RuledSpot {
  const { bottom } = q.reachAt(0);
  const above = gradedFor('aboveSleeveHem', q);
  const hemLine = landmark(q.outline, 'hemLine');
  const hem = landmark(q.outline, 'hem');
  const y = hemLine.y - above - bottom;
  return spot({
    y,
    depth: { at: hem, name: 'the sleeve hem', way: 'up' },
    space: { name: 'sleeve', widthMm: widthOf(boxOf(q.outline.hoopable)) },
    reason: arithmetic('place', FROM_TABLE, [
      ...gradedSum('aboveSleeveHem', q, 'above the hem stitching, its bottom'),
      phrase`hem ${mm(hem.y - hemLine.y)} + ${mm(above)} + ${mm(bottom)} (half its height) = ${mm(hem.y - y)} above the edge`,
    ]),
  });
}

/** In from the side seam to the middle of what a pocket leaves free; null without a pocket. */
function besidePocket(q: PlacementQuestion, corner: Point): { space: number; from: number } | null {
  const pocket = q.outline.landmarks.pocketFootRight;
  if (!pocket) return null;
  const space = Math.abs(corner.x) - pocket.x;
  return { space, from: space / 2 };
}

/** A hem corner: above the rib or hem, in from the side seam; beside a pocket, no farther in than its middle allows. */
export function hemCornerSpot(q: PlacementQuestion, { side }: { side: 1 | -1 }): RuledSpot {
  const { bottom } = q.reachAt(0);
  const above = gradedFor('cornerAboveHem', q);
  const graded = gradedFor('cornerFromSideSeam', q);
  const hem = landmark(q.outline, 'hem');
  const hemLine = landmark(q.outline, 'hemLine');
  const corner = landmark(q.outline, side > 0 ? 'hemCornerRight' : 'hemCornerLeft');
  const beside = besidePocket(q, corner);
  const from = Math.min(graded, beside?.from ?? graded);
  const y = hemLine.y - above - bottom;
  return spot({
    across: corner.x - side * from,
    y,
    depth: { at: { x: corner.x, y: hem.y }, name: 'the hem edge', way: 'up' },
    edge: { x: corner.x, name: `side seam on your ${side > 0 ? 'right' : 'left'}` },
    space: beside ? { name: 'face beside the pocket', widthMm: beside.space } : null,
    reason: arithmetic('place', FROM_TABLE, [
      ...gradedSum('cornerAboveHem', q, 'above the rib or hem, its bottom'),
      ...gradedSum('cornerFromSideSeam', q, 'from the side seam, its centre'),
      ...(beside && beside.from < graded
        ? [
            phrase`pocket to side seam ${mm(beside.space)}: its middle, ${mm(beside.from)} from the seam, comes before the table`,
          ]
        : []),
      phrase`hem ${mm(hem.y - hemLine.y)} + ${mm(above)} + ${mm(bottom)} (half its height) = ${mm(hem.y - y)} above the edge`,
    ]),
  });
}
