import type { SpotRule } from '../piece/usualPlacement';
import { centreChestSpot, sideChestSpot } from './chest';
import { hemCornerSpot, jacketBackSpot, sleeveSpot, topBelowSpot } from './garment';
import { aboveBandSpot, aboveHemSpot, cornerSpot, gapFromEdgeSpot, middleSpot } from './household';
import type { PlacementQuestion, RuledSpot } from './placement';

type Spots = {
  [K in SpotRule['by']]: (q: PlacementQuestion, rule: Extract<SpotRule, { by: K }>) => RuledSpot;
};

/** What works out each rule; a new rule is a line in the union and a line here. */
const SPOTS: Spots = {
  'side-chest': sideChestSpot,
  'centre-chest': centreChestSpot,
  'top-below': topBelowSpot,
  'jacket-back': jacketBackSpot,
  sleeve: sleeveSpot,
  'hem-corner': hemCornerSpot,
  'above-band': aboveBandSpot,
  'above-hem': aboveHemSpot,
  corner: cornerSpot,
  middle: middleSpot,
  'gap-from-edge': gapFromEdgeSpot,
};

/** Where a rule puts the design on this face. */
export function spotFor<K extends SpotRule['by']>(
  q: PlacementQuestion,
  rule: Extract<SpotRule, { by: K }>,
): RuledSpot {
  return SPOTS[rule.by as K](q, rule);
}
