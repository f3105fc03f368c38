import { schoolReason } from '../findings/reason';
import type { Point } from '../geometry/point';
import { segmentsOf } from '../geometry/polygon';
import { numberFor } from '../rules/numbers';
import { mm, phrase } from '../units/phrase';
import { gradedAt } from './graded';
import { GRADE_ANCHORS, GRADED } from './numbers';
import { arithmetic, landmark, type Placement, type PlacementQuestion, type RuledSpot } from './placement';

const graded = (row: keyof typeof GRADED, q: PlacementQuestion) =>
  gradedAt(GRADE_ANCHORS, GRADED[row], q.readings.chestWidth ?? 0);

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

const byAnchors = (row: keyof typeof GRADED) =>
  phrase`table at chest ${mm(GRADE_ANCHORS[0])} / ${mm(GRADE_ANCHORS[1])} / ${mm(GRADE_ANCHORS[2])} / ${mm(GRADE_ANCHORS[3])}: ${GRADED[row].map((v) => [{ mm: v }] as const).flatMap((v, i) => (i === 0 ? v : [' / ', ...v]))}`;

function sideChestSpot(q: PlacementQuestion, sign: 1 | -1): RuledSpot {
  const width = q.readings.chestWidth ?? 0;
  const acrossByTable = graded('chestFromCentreLine', q);
  const neckPoint = landmark(q.outline, 'neckPointRight');
  const school = schoolReason('chest', q.school);
  if (q.school === 'armhole') {
    const middle = armholeMiddle(q);
    const why = arithmetic(
      'place',
      phrase`Level with the middle of the armhole, halfway from the centre line to the armhole seam.`,
      [
        phrase`armhole seam ${mm(middle.x)} from the centre line at that level; half is ${mm(middle.x / 2)}`,
        phrase`middle of the armhole ${mm(middle.y - neckPoint.y)} below the high point of shoulder`,
      ],
      school,
    );
    return { across: (sign * middle.x) / 2, y: middle.y, reason: why };
  }
  const acrossSum = phrase`at your ${mm(width)}: ${mm(acrossByTable)} from the centre line`;
  if (q.school === 'collar') {
    const margin = numberFor(q.rules, 'templateMarginMm');
    const why = arithmetic(
      'place',
      phrase`The template's top edge is level with the collar seam; its paper reaches ${mm(margin)} beyond the design.`,
      [
        byAnchors('chestFromCentreLine'),
        acrossSum,
        phrase`centre ${mm(margin)} + ${mm(q.halfHeight)} = ${mm(margin + q.halfHeight)} below the collar seam`,
      ],
      school,
    );
    return { across: sign * acrossByTable, y: margin + q.halfHeight, reason: why };
  }
  const below = graded('chestBelowShoulderPoint', q);
  const why = arithmetic(
    'place',
    phrase`From the graded table, between the sizes on either side of your chest width.`,
    [
      byAnchors('chestFromCentreLine'),
      acrossSum,
      byAnchors('chestBelowShoulderPoint'),
      phrase`at your ${mm(width)}: ${mm(below)} below the high point of shoulder`,
    ],
    school,
  );
  return { across: sign * acrossByTable, y: neckPoint.y + below, reason: why };
}

function centreChestSpot(q: PlacementQuestion): RuledSpot {
  const school = schoolReason('chest', q.school);
  const half = phrase`centre half the height lower: + ${mm(q.halfHeight)}`;
  if (q.school === 'armhole') {
    const top = armholeMiddle(q).y;
    return {
      across: 0,
      y: top + q.halfHeight,
      reason: arithmetic(
        'place',
        phrase`The design's top is level with the middle of the armhole.`,
        [phrase`top ${mm(top)} below the collar seam`, half],
        school,
      ),
    };
  }
  if (q.school === 'collar') {
    const top = numberFor(q.rules, 'templateMarginMm');
    return {
      across: 0,
      y: top + q.halfHeight,
      reason: arithmetic(
        'place',
        phrase`The template's top edge touches the collar seam; its paper reaches ${mm(top)} beyond the design.`,
        [phrase`top ${mm(top)} below the collar seam`, half],
        school,
      ),
    };
  }
  const top = graded('topBelowCollar', q);
  return {
    across: 0,
    y: top + q.halfHeight,
    reason: arithmetic(
      'place',
      phrase`From the graded table, between the sizes on either side of your chest width.`,
      [
        byAnchors('topBelowCollar'),
        phrase`at your ${mm(q.readings.chestWidth ?? 0)}: top ${mm(top)} below the collar seam`,
        half,
      ],
      school,
    ),
  };
}

const TOPS = ['t-shirt'] as const;

export const CHEST_PLACEMENTS: readonly Placement[] = [
  {
    id: 'left-chest',
    name: 'Left chest',
    faces: "Wearer's left chest, on your right as it faces you",
    kinds: TOPS,
    bySchool: true,
    from: 'shoulderPoint',
    spotOf: (q) => sideChestSpot(q, 1),
  },
  {
    id: 'right-chest',
    name: 'Right chest',
    faces: "Wearer's right chest, on your left as it faces you",
    kinds: TOPS,
    bySchool: true,
    from: 'shoulderPoint',
    spotOf: (q) => sideChestSpot(q, -1),
  },
  {
    id: 'centre-chest',
    name: 'Centre chest',
    faces: 'Centre chest, below the collar seam',
    kinds: TOPS,
    bySchool: true,
    from: 'collarSeam',
    spotOf: centreChestSpot,
  },
];
