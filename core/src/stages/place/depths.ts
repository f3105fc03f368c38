import { boxOf, centreOf } from '../../base/geometry/box';
import { datumName, type PieceKind, type PieceOutline, type PieceView } from '../piece/geometry';
import type { DepthFrom } from './placement';

/** Landmarks that a hand finds on many kinds, by the name they have there. */
const LANDMARK_NAMES: Readonly<Record<string, string>> = {
  collarSeam: 'the collar seam',
  neckPointRight: 'the high point of shoulder',
  underarmRight: 'the level of the underarms',
  yoke: 'the yoke seam',
  pocketTop: "the pocket's top edge",
  hem: 'the hem edge',
  hemLine: 'the hem stitching',
  farHem: 'the far hem',
  bandTopRight: "the border band's far edge",
  cap: 'the top of the sleeve',
  waist: 'the waist, between the ties',
  topEdge: 'the top edge',
  bottom: 'the bottom edge',
  top: 'the top seam',
  baseSeam: 'the base seam',
  frontEdge: 'the front edge',
  point: 'the point',
  patternFoot: "the pattern's bottom edge",
  seamTop: 'the seam line at the top',
  seamFoot: 'the seam line at the bottom',
};

/** A landmark from which a depth may be asked, by its id in the outline. */
export interface DepthLandmark extends DepthFrom {
  id: string;
}

/** Names that the kind's own rules give its landmarks on this face. */
function namesByRule(kind: PieceKind, view: PieceView): Record<string, string> {
  const rules = kind.placements.filter((p) => p.view === view.id).map((p) => p.rule);
  return Object.fromEntries(
    rules.flatMap((rule) =>
      rule.by === 'middle' ? [rule.top, rule.foot].map(({ landmark, name }) => [landmark, name]) : [],
    ),
  );
}

/** Of landmarks at one level only the first is offered, mm. */
const SAME_LEVEL_MM = 1;

/**
 * The landmarks of a face from which a hand measures up or down, from the top of the face to its foot: what lies in
 * its upper half is measured down from, what lies in its lower half up from.
 */
export function depthLandmarks(kind: PieceKind, view: PieceView, outline: PieceOutline): DepthLandmark[] {
  const middle = centreOf(boxOf(outline.outline)).y;
  const names = { ...LANDMARK_NAMES, ...namesByRule(kind, view) };
  const datum = datumName(view);
  const found = Object.entries(outline.landmarks).flatMap(([id, at]): DepthLandmark[] => {
    const name = at.x === 0 && at.y === 0 ? datum : names[id];
    return name ? [{ id, at, name, way: at.y <= middle ? 'down' : 'up' }] : [];
  });
  return found
    .sort((a, b) => a.at.y - b.at.y)
    .filter((one, i, all) => i === 0 || one.at.y - (all[i - 1]?.at.y ?? 0) > SAME_LEVEL_MM);
}
