import { numberFor } from '../rules/numbers';
import { mm, phrase } from '../units/phrase';
import { arithmetic, type Placement, type PlacementQuestion, type RuledSpot } from './placement';

function spotOf(q: PlacementQuestion): RuledSpot {
  const hand = q.kind === 'hand-towel';
  const { bandHeight = 0, bandTop = 0 } = q.readings;
  const banded = bandHeight > 0;
  const gap = banded
    ? numberFor(q.rules, hand ? 'aboveBandHandMm' : 'aboveBandBathMm')
    : numberFor(q.rules, hand ? 'aboveHemHandMm' : 'aboveHemBathMm');
  const foot = (banded ? bandTop : 0) + gap;
  const height = foot + q.halfHeight;
  const name = hand ? 'hand' : 'bath';
  const text = banded
    ? phrase`On a ${name} towel the bottom of the design stands ${mm(gap)} above the border band.`
    : phrase`Without a band, the bottom of the design stands ${mm(gap)} above the hem.`;
  const sums = [
    banded
      ? phrase`${mm(bandTop)} + ${mm(gap)} = ${mm(foot)}: the design's bottom, above the hem`
      : phrase`bottom ${mm(foot)} above the hem`,
    phrase`${mm(foot)} + ${mm(q.halfHeight)} (half its height) = ${mm(height)}: its centre, above the hem`,
  ];
  return { across: 0, y: -height, reason: arithmetic('place', text, sums) };
}

export const ABOVE_BORDER: Placement = {
  id: 'above-border',
  name: 'Above the border',
  faces: 'Centred above the border band',
  kinds: ['bath-towel', 'hand-towel'],
  bySchool: false,
  from: 'hem',
  spotOf,
};
