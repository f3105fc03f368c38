import type { Point } from '../../base/geometry/point';
import { segmentsOf } from '../../base/geometry/polygon';
import { mm, percent, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { PLACE_NUMBERS } from '../../catalogue/numbers/place';
import { schoolReason } from '../../catalogue/schools';
import { FROM_TABLE, gradedFor, gradedSum } from './graded';
import {
  arithmetic,
  type DepthFrom,
  landmark,
  type PlacementQuestion,
  type RuledSpot,
  spot,
} from './placement';

/** Where a seam running down crosses a level; its nearest end when it does not reach it. */
function xAtLevel(line: readonly Point[], y: number): number {
  for (const [a, b] of segmentsOf(line, false)) {
    if ((a.y - y) * (b.y - y) > 0 || a.y === b.y) continue;
    return a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x);
  }
  const ends = [line[0], line[line.length - 1]].flatMap((p) => p ?? []);
  return ends.sort((p, q) => Math.abs(p.y - y) - Math.abs(q.y - y))[0]?.x ?? 0;
}

function armholeMiddle(q: PlacementQuestion): Point {
  const [top, foot] = [landmark(q.outline, 'shoulderRight'), landmark(q.outline, 'underarmRight')];
  const y = (top.y + foot.y) / 2;
  const seam = q.outline.seams.find((s) => s.id === 'armholeSeamRight');
  return { x: xAtLevel(seam?.line ?? [], y), y };
}

const fromShoulder = (q: PlacementQuestion, side: 1 | -1): DepthFrom => ({
  at: landmark(q.outline, side > 0 ? 'neckPointRight' : 'neckPointLeft'),
  name: 'the high point of shoulder, where the collar meets the shoulder seam,',
  way: 'down',
});
export const fromCollar = (q: PlacementQuestion): DepthFrom => ({
  at: landmark(q.outline, 'collarSeam'),
  name: q.view.id === 'back' ? 'the collar seam at centre back' : 'the collar seam at centre front',
  way: 'down',
});

/** A left or right chest, by the shop's school. */
export function sideChestSpot(q: PlacementQuestion, { side }: { side: 1 | -1 }): RuledSpot {
  const depth = fromShoulder(q, side);
  const school = schoolReason('chest', q.school);
  const acrossSum = gradedSum('chestFromCentreLine', q, 'from the centre line');
  const across = side * gradedFor('chestFromCentreLine', q);
  const common = { depth, aboveWaist: true } as const;
  if (q.school === 'armhole') {
    const middle = armholeMiddle(q);
    const sums = [
      phrase`armhole seam ${mm(middle.x)} from the centre line at that level; half is ${mm(middle.x / 2)}`,
      phrase`middle of the armhole ${mm(middle.y - depth.at.y)} below the high point of shoulder`,
    ];
    const text = phrase`Level with the middle of the armhole, halfway from the centre line to the armhole seam.`;
    return spot({
      ...common,
      across: (side * middle.x) / 2,
      y: middle.y,
      reason: arithmetic('place', text, sums, school),
    });
  }
  if (q.school === 'collar') {
    const margin = numberFor(q.rules, PLACE_NUMBERS.templateMarginMm);
    const { top } = q.reachAt(0);
    const sums = [
      ...acrossSum,
      phrase`centre ${mm(margin)} + ${mm(top)} = ${mm(margin + top)} below the collar seam`,
    ];
    const text = phrase`The template's top edge is level with the collar seam; its paper reaches ${mm(margin)} beyond the design.`;
    return spot({
      ...common,
      across,
      y: margin + top,
      reason: arithmetic('place', text, sums, school),
    });
  }
  const sums = [...acrossSum, ...gradedSum('chestBelowShoulderPoint', q, 'below the high point of shoulder')];
  return spot({
    ...common,
    across,
    y: depth.at.y + gradedFor('chestBelowShoulderPoint', q),
    reason: arithmetic('place', FROM_TABLE, sums, school),
  });
}

/** The middle of the clear space between collar and pocket, raised to the optical middle. */
function abovePocket(q: PlacementQuestion, pocketTop: number): RuledSpot {
  const raise = numberFor(q.rules, PLACE_NUMBERS.opticalRaisePercent);
  const raised = (pocketTop * raise) / 100;
  return spot({
    y: pocketTop / 2 - raised,
    depth: fromCollar(q),
    aboveWaist: true,
    reason: arithmetic(
      'place',
      phrase`The middle of the clear space between collar and pocket, raised by ${percent(raise)} of it: the optical middle.`,
      [
        phrase`collar seam to pocket ${mm(pocketTop)}; half is ${mm(pocketTop / 2)}`,
        phrase`raised by ${mm(raised)}: centre ${mm(pocketTop / 2 - raised)} below the collar seam`,
      ],
    ),
  });
}

/** The centre of the chest: above a pocket in the optical middle, else by the shop's school. */
export function centreChestSpot(q: PlacementQuestion): RuledSpot {
  const pocket = q.outline.landmarks.pocketTop;
  if (pocket) return abovePocket(q, pocket.y);
  const school = schoolReason('chest', q.school);
  const { top } = q.reachAt(0);
  const half = phrase`centre half the height lower: + ${mm(top)}`;
  const under = (y: number, reason: RuledSpot['reason']) =>
    spot({ y: y + top, depth: fromCollar(q), aboveWaist: true, reason });
  if (q.school === 'armhole') {
    const y = armholeMiddle(q).y;
    const text = phrase`The design's top is level with the middle of the armhole.`;
    return under(y, arithmetic('place', text, [phrase`top ${mm(y)} below the collar seam`, half], school));
  }
  if (q.school === 'collar') {
    const y = numberFor(q.rules, PLACE_NUMBERS.templateMarginMm);
    const text = phrase`The template's top edge touches the collar seam; its paper reaches ${mm(y)} beyond the design.`;
    return under(y, arithmetic('place', text, [phrase`top ${mm(y)} below the collar seam`, half], school));
  }
  const sums = [...gradedSum('topBelowCollar', q, 'below the collar seam, its top'), half];
  return under(gradedFor('topBelowCollar', q), arithmetic('place', FROM_TABLE, sums, school));
}
