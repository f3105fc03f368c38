import { boxOf, widthOf } from '../../base/geometry/box';
import { mm, percent, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { PLACE_NUMBERS } from '../../catalogue/numbers/place';
import type { SpotRule } from '../piece/usualPlacement';
import {
  arithmetic,
  type DepthFrom,
  landmark,
  type PlacementQuestion,
  type RuledSpot,
  spot,
} from './placement';

type RuleOf<K extends SpotRule['by']> = Extract<SpotRule, { by: K }>;

const upFromHem = (q: PlacementQuestion, hint?: DepthFrom['hint']): DepthFrom => ({
  at: landmark(q.outline, 'hem'),
  name: 'the end hem',
  way: 'up',
  ...(hint ? { hint } : {}),
});

/** A towel: above its border band, or above the hem where there is none. */
export function aboveBandSpot(q: PlacementQuestion, rule: RuleOf<'above-band'>): RuledSpot {
  const { bandHeight = 0, bandTop = 0 } = q.readings;
  const banded = bandHeight > 0;
  const gap = numberFor(q.rules, banded ? rule.banded : rule.plain);
  const foot = (banded ? bandTop : 0) + gap;
  const { bottom } = q.reachAt(0);
  const height = foot + bottom;
  const text = banded
    ? phrase`On a ${rule.piece} the bottom of the design stands ${mm(gap)} above the border band.`
    : phrase`Without a band, the bottom of the design stands ${mm(gap)} above the hem.`;
  const sums = [
    banded
      ? phrase`${mm(bandTop)} + ${mm(gap)} = ${mm(foot)}: the design's bottom, above the hem`
      : phrase`bottom ${mm(foot)} above the hem`,
    phrase`${mm(foot)} + ${mm(bottom)} (half its height) = ${mm(height)}: its centre, above the hem`,
  ];
  const hint = banded
    ? phrase`That is ${mm(height - bandTop)} above the band's far edge; measure it there too.`
    : undefined;
  return spot({ y: -height, depth: upFromHem(q, hint), reason: arithmetic('place', text, sums) });
}

/** Above a hem: a tea towel's middle third from the edge, a skirt's border from the hem stitching. */
export function aboveHemSpot(q: PlacementQuestion, rule: RuleOf<'above-hem'>): RuledSpot {
  const gap = numberFor(q.rules, rule.gap);
  const from = rule.within ? landmark(q.outline, 'hem') : landmark(q.outline, 'hemLine');
  const hem = landmark(q.outline, 'hem');
  const { bottom } = q.reachAt(0);
  const y = from.y - gap - bottom;
  const turned = hem.y - from.y;
  const third = (q.readings.width ?? 0) / 3;
  return spot({
    y,
    depth: { ...upFromHem(q), name: rule.within ? 'the end hem' : 'the hem' },
    space: rule.within ? { name: 'middle third', widthMm: third } : null,
    reason: arithmetic(
      'place',
      rule.within
        ? phrase`Its bottom ${mm(gap)} above the hem, within the middle third: folded in three, it shows whole.`
        : phrase`Its bottom ${mm(gap)} above the hem stitching.`,
      [
        ...(turned > 0 ? [phrase`hem turned up ${mm(turned)}`] : []),
        phrase`${mm(turned + gap)} + ${mm(bottom)} (half its height) = ${mm(hem.y - y)}: its centre, above the edge`,
        ...(rule.within ? [phrase`${mm(q.readings.width ?? 0)} ÷ 3 = ${mm(third)} wide`] : []),
      ],
    ),
  });
}

/** A corner: the nearest stitched edge equally far from both hems, upright or facing out at 45°. */
export function cornerSpot(q: PlacementQuestion, { diagonal }: RuleOf<'corner'>): RuledSpot {
  const gap = numberFor(q.rules, PLACE_NUMBERS.cornerFromHemsMm);
  const [edge, inside] = [landmark(q.outline, 'cornerRight'), landmark(q.outline, 'cornerRightInside')];
  const turnDeg = diagonal ? -45 : 0;
  const reach = q.reachAt(turnDeg);
  const [across, up] = diagonal
    ? [Math.max(reach.right, reach.bottom), Math.max(reach.right, reach.bottom)]
    : [reach.right, reach.bottom];
  const centre = { x: inside.x - gap - across, y: inside.y - gap - up };
  const hem = edge.x - inside.x;
  const sum = (name: string, half: number) =>
    phrase`${name}: hem ${mm(hem)} + ${mm(gap)} + ${mm(half)} = ${mm(hem + gap + half)} from the edge`;
  return spot({
    across: centre.x,
    y: centre.y,
    turnDeg,
    depth: { at: { x: edge.x, y: edge.y }, name: 'the bottom edge', way: 'up' },
    edge: { x: edge.x, name: 'side edge on your right' },
    corner: diagonal ? edge : null,
    reason: arithmetic(
      'place',
      diagonal
        ? phrase`Turned 45° to face out of the corner; its nearest stitches ${mm(gap)} from both hems.`
        : phrase`Upright in the corner; its nearest stitches ${mm(gap)} from both hems.`,
      [
        sum('across', across),
        sum('up', up),
        ...(diagonal
          ? [phrase`along the crease from the corner's point: ${mm((hem + gap + across) * Math.SQRT2)}`]
          : []),
      ],
    ),
  });
}

/** The middle between two landmarks, raised by a share of the space where a rule says so. */
export function middleSpot(q: PlacementQuestion, rule: RuleOf<'middle'>): RuledSpot {
  const [top, foot] = [landmark(q.outline, rule.top.landmark), landmark(q.outline, rule.foot.landmark)];
  const space = foot.y - top.y;
  const raise = rule.raise ? numberFor(q.rules, rule.raise) : 0;
  const raised = (space * raise) / 100;
  const y = (top.y + foot.y) / 2 - raised;
  const up = q.view.datumSign < 0;
  const face = widthOf(boxOf(q.outline.outline));
  const widest = rule.widest ? numberFor(q.rules, rule.widest.percent) : null;
  const depth: DepthFrom = up
    ? { at: foot, name: rule.foot.name, way: 'up' }
    : { at: top, name: rule.top.name, way: 'down' };
  const sums = [
    phrase`${rule.top.name} to ${rule.foot.name}: ${mm(space)}; half is ${mm(space / 2)}`,
    ...(raised > 0 ? [phrase`raised by ${percent(raise)}: ${mm(raised)}`] : []),
    phrase`centre ${mm(Math.abs(y - depth.at.y))} from ${depth.name}`,
    ...(widest === null
      ? []
      : [phrase`no wider than ${percent(widest)} of ${mm(face)}: ${mm((face * widest) / 100)}`]),
  ];
  return spot({
    y,
    depth,
    space:
      widest === null || !rule.widest
        ? null
        : { name: `${widest} % of ${rule.widest.of}`, widthMm: (face * widest) / 100 },
    reason: arithmetic(
      'place',
      raised > 0
        ? phrase`Halfway between ${rule.top.name} and ${rule.foot.name}, raised by ${percent(raise)} of the space.`
        : phrase`Halfway between ${rule.top.name} and ${rule.foot.name}.`,
      sums,
    ),
  });
}

/** A given gap from one edge, for a strip or a piping; centred along it. Left and right are the viewer's. */
export function gapFromEdgeSpot(q: PlacementQuestion, { edge }: RuleOf<'gap-from-edge'>): RuledSpot {
  const gap = q.edgeGapMm ?? numberFor(q.rules, PLACE_NUMBERS.edgeGapMm);
  const reach = q.reachAt(0);
  const [top, bottom] = [landmark(q.outline, 'top'), landmark(q.outline, 'bottom')];
  const out = gap + reach[edge];
  const half = edge === 'left' || edge === 'right' ? 'width' : 'height';
  const seamName = edge === 'left' || edge === 'right' ? `side seam on your ${edge}` : `${edge} seam`;
  const reason = arithmetic('place', phrase`Its ${edge} stands ${mm(gap)} from the edge, as you set it.`, [
    phrase`${mm(gap)} + ${mm(reach[edge])} (half its ${half}) = ${mm(out)}: its centre, from the ${seamName}`,
  ]);
  const up: DepthFrom = { at: bottom, name: 'the bottom seam', way: 'up' };
  if (edge === 'bottom') return spot({ y: bottom.y - out, depth: up, reason });
  if (edge === 'top')
    return spot({ y: top.y + out, depth: { at: top, name: 'the top seam', way: 'down' }, reason });
  const side = landmark(q.outline, edge === 'left' ? 'sideLeft' : 'sideRight');
  const towards = edge === 'left' ? 1 : -1;
  return spot({
    across: side.x + towards * out,
    y: (top.y + bottom.y) / 2,
    depth: up,
    edge: { x: side.x, name: seamName },
    reason,
  });
}
