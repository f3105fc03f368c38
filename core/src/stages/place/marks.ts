import { leanDegOf } from '../../base/geometry/fitLine';
import { minus, type Point, plus, turn } from '../../base/geometry/point';
import { count, mm, type Phrase, phrase } from '../../base/units/phrase';
import type { MarkMethod } from '../../model/ticket/place';
import { isA } from '../piece/geometry';
import type { PiecePlan } from '../piece/planPiece';
import type { Act } from './acts';
import { centreLineSteps, foldedLineSteps, halved, isFolded, isHalved, lineAt } from './lineSteps';
import { type MarkQuestion, type MarkStep, side, step } from './markStep';
import { landmark, type RuledSpot } from './placement';

/** The two ends of the design's level axis. */
export function axisEnds(q: Pick<MarkQuestion, 'facts' | 'centre' | 'turnDeg'>): [Point, Point] {
  const half = q.facts.widthMm / 2;
  return [
    plus(q.centre, turn({ x: -half, y: 0 }, q.turnDeg)),
    plus(q.centre, turn({ x: half, y: 0 }, q.turnDeg)),
  ];
}

/** Turns that differ by less are the same to a hand, degrees. */
const SAME_DEG = 0.05;

/** How a hand finds the design's own axis through its centre. */
function axisWords({ spot, piece, turnDeg }: MarkQuestion, right: Point, centre: Point): Phrase {
  if (Math.abs(turnDeg) < SAME_DEG) return phrase`level with the centre`;
  if (spot.corner && Math.abs(turnDeg + 45) < SAME_DEG) return phrase`square to the crease`;
  if (!spot.edge && Math.abs(turnDeg - leanDegOf(piece.centreLine.used)) < SAME_DEG)
    return phrase`square to the centre line`;
  return phrase`along the design's own axis: its right end lies ${wayThere(minus(right, centre))}`;
}

/** "30 mm to the right and 12 mm up"; what is nothing is left out. */
function wayThere({ x, y }: Point): Phrase {
  const parts = [
    ...(Math.abs(x) < 0.05 ? [] : [phrase`${mm(Math.abs(x))} to the ${side(x)}`]),
    ...(Math.abs(y) < 0.05 ? [] : [phrase`${mm(Math.abs(y))} ${y > 0 ? 'down' : 'up'}`]),
  ];
  return parts.flatMap((part, i) => (i === 0 ? part : [' and ', ...part]));
}

function axisStep(q: MarkQuestion): MarkStep {
  const [left, right] = axisEnds(q);
  return step(
    phrase`Mark both axis ends, ${mm(q.facts.widthMm / 2)} either side of the centre, ${axisWords(q, right, q.centre)}.`,
    {
      figure: mm(q.facts.widthMm / 2),
      hint: phrase`Three marks, ${mm(q.facts.widthMm)} from end to end. The centre alone fixes the place but not the angle.`,
      tape: { from: q.centre, to: right },
      cross: left,
    },
  );
}

/** Through to the wrong side, so that a patch of stabilizer can be centred there. */
function transferStep({ centre, patch }: MarkQuestion): MarkStep {
  return step(
    phrase`Push a pin through the centre. On the wrong side, centre the stabilizer on it: at least ${mm(patch.widthMm)} × ${mm(patch.heightMm)}.`,
    {
      figure: mm(Math.max(patch.widthMm, patch.heightMm)),
      hint: phrase`The size of the patch matters, not how exactly it is centred. The pin comes out before the first stitch.`,
      cross: centre,
    },
  );
}

const sideNamed = (q: MarkQuestion, across: number): Phrase | null => {
  const { wearersLeft } = q.piece.view;
  if (!wearersLeft) return null;
  const wearers = side(across) === wearersLeft ? 'left' : 'right';
  return phrase`On your ${side(across)} as it faces you is the wearer's ${wearers}.`;
};

function centreStep(q: MarkQuestion, line: string): MarkStep {
  const { edge } = q.spot;
  if (edge) {
    const from = Math.abs(edge.x - q.centre.x);
    return step(phrase`Along that level, measure ${mm(from)} from the ${edge.name}: chalk the centre.`, {
      figure: mm(from),
      hint: sideNamed(q, q.centre.x),
      tape: { from: { x: edge.x, y: q.centre.y }, to: q.centre },
      cross: q.centre,
      acts: [{ do: 'from edge', x: edge.x, mm: q.centre.x - edge.x }],
    });
  }
  const across = q.centre.x - q.lineX;
  if (Math.abs(across) < 0.05) {
    return step(phrase`Chalk the centre where the level meets the ${line}.`, {
      cross: q.centre,
      hint: phrase`This is the design's centre.`,
      acts: [{ do: 'from line', mm: across }],
    });
  }
  return step(phrase`From the ${line}, ${mm(Math.abs(across))} to your ${side(across)}: chalk the centre.`, {
    figure: mm(Math.abs(across)),
    hint: sideNamed(q, across),
    tape: { from: { x: q.lineX, y: q.centre.y }, to: q.centre },
    cross: q.centre,
    acts: [{ do: 'from line', mm: across }],
  });
}

const levelAct = ({ spot: { depth }, centre }: MarkQuestion): Act => ({
  do: 'level',
  from: depth.at,
  mm: Math.abs(centre.y - depth.at.y),
  way: centre.y >= depth.at.y ? 'down' : 'up',
});

function depthStep(q: MarkQuestion, mark: string): MarkStep {
  const { depth, edge } = q.spot;
  const fromLine = depth.at.x === 0 && !edge;
  const from = fromLine ? { x: q.lineX, y: depth.at.y } : depth.at;
  const to = { x: from.x, y: q.centre.y };
  const act = levelAct(q);
  const reading = Math.abs(to.y - from.y);
  const way = to.y >= from.y ? 'straight down' : 'up';
  return step(phrase`From ${depth.name} ${way} ${mm(reading)}: ${mark} a level line.`, {
    figure: mm(reading),
    hint: depth.hint ?? null,
    tape: { from, to },
    cross: to,
    acts: [act],
  });
}

/** Along the crease that halves a corner. */
function diagonalSteps(q: MarkQuestion, corner: Point): MarkStep[] {
  const along = Math.hypot(corner.x - q.centre.x, corner.y - q.centre.y);
  return [
    step(phrase`Fold the corner so that its two edges lie on each other, and press a short crease.`, {
      tape: { from: corner, to: q.centre },
      hint: phrase`The crease halves the corner: 45° to both edges.`,
    }),
    step(phrase`From the corner's point ${mm(along)} along the crease: chalk the centre.`, {
      figure: mm(along),
      hint: phrase`Check it: ${mm(corner.x - q.centre.x)} from the side edge, ${mm(corner.y - q.centre.y)} from the bottom edge.`,
      tape: { from: corner, to: q.centre },
      cross: q.centre,
      acts: [{ do: 'along crease', corner, towards: q.centre, mm: along }],
    }),
  ];
}

/** Two landmarks joined, then a level of their own joined across, and another one so far from it. */
function joinSteps(q: MarkQuestion): MarkStep[] {
  const w = halved(q);
  const top = w.second ? landmark(q.outline, w.second.landmark) : { x: 0, y: q.outline.centreFrom };
  const farY = top.y === q.outline.centreTo ? q.outline.centreFrom : q.outline.centreTo;
  const topAct: Act = w.second ? { do: 'beside', at: top, mm: 0 } : { do: 'halve', y: top.y };
  const levelY = w.left.y;
  const apart = q.centre.y - levelY;
  return [
    step(
      w.second
        ? phrase`Find ${w.second.name}, and the middle of the far edge opposite. Join the two with a chalk line.`
        : phrase`Find the middles of both ends. Join the two with a chalk line.`,
      {
        tape: { from: top, to: lineAt(q, farY) },
        cross: lineAt(q, top.y),
        acts: [topAct, { do: 'halve', y: farY }, { do: 'join' }],
      },
    ),
    step(phrase`Join both ends of ${w.name}: that line is level.`, {
      tape: { from: w.left, to: w.right },
      cross: lineAt(q, levelY),
    }),
    step(
      Math.abs(apart) < 0.5
        ? phrase`The design's centre lies on that level.`
        : phrase`A second line level with it, ${mm(Math.abs(apart))} ${apart > 0 ? 'below' : 'above'}: measure at both sides.`,
      {
        figure: mm(Math.abs(apart)),
        tape: { from: lineAt(q, levelY), to: lineAt(q, q.centre.y) },
        cross: lineAt(q, q.centre.y),
        acts: [
          {
            do: 'level',
            from: { x: 0, y: levelY },
            mm: Math.abs(apart),
            way: apart >= 0 ? 'down' : 'up',
          },
        ],
      },
    ),
  ];
}

/** "190 mm down from the collar seam, 102 mm to your right of the centre line". */
function readingInWords(q: MarkQuestion, line: string): Phrase {
  const { depth } = q.spot;
  const down = q.centre.y >= depth.at.y;
  const reading = phrase`${mm(Math.abs(q.centre.y - depth.at.y))} ${down ? 'down' : 'up'} from ${depth.name}`;
  if (q.spot.edge) {
    const from = q.centre.x - q.spot.edge.x;
    return phrase`${reading} and ${mm(Math.abs(from))} from the ${q.spot.edge.name}`;
  }
  const across = q.centre.x - (line === 'middle' ? 0 : q.lineX);
  return Math.abs(across) < 0.05
    ? phrase`${reading} on the ${line}`
    : phrase`${reading} and ${mm(Math.abs(across))} to your ${side(across)} of the ${line}`;
}

/** Where the reading leads: along its level from the line, or from an edge. */
const readingActs = (q: MarkQuestion, fromLineMm: number): Act[] => [
  levelAct(q),
  q.spot.edge
    ? { do: 'from edge', x: q.spot.edge.x, mm: q.centre.x - q.spot.edge.x }
    : { do: 'from line', mm: fromLineMm },
];

function templateSteps(q: MarkQuestion): MarkStep[] {
  const [, right] = axisEnds(q);
  return [
    step(phrase`Print the template at 100 %. Lay a ruler on its proving ruler: 100 mm must measure 100 mm.`, {
      hint: phrase`Cut it out; prick the centre and both axis ends.`,
    }),
    ...(q.spot.edge ? [] : centreLineSteps(q)),
    step(
      phrase`Lay the template with its arrow to the top, its centre ${readingInWords(q, 'centre line')}, its axis ${axisWords(q, right, q.centre)}.`,
      {
        figure: mm(Math.abs(q.centre.y - q.spot.depth.at.y)),
        tape: { from: { x: q.centre.x, y: q.spot.depth.at.y }, to: q.centre },
        cross: q.centre,
        acts: readingActs(q, q.centre.x - q.lineX),
      },
    ),
    step(
      phrase`Mark through the three holes: the centre and both axis ends, ${mm(q.facts.widthMm)} from end to end.`,
      {
        figure: mm(q.facts.widthMm),
        cross: q.centre,
      },
    ),
  ];
}

function wearSteps(q: MarkQuestion): MarkStep[] {
  const middle: Act[] = [
    { do: 'beside', at: { x: 0, y: 0 }, mm: 0 },
    { do: 'beside', at: { x: 0, y: 100 }, mm: 0 },
    { do: 'join' },
  ];
  return [
    step(phrase`Print the template at 100 % and cut it out. Put the garment on the person, shoulders level.`),
    step(
      phrase`Start at the tape's reading, ${readingInWords(q, 'middle')}, and tape the template on with low-tack tape.`,
      {
        figure: mm(Math.abs(q.centre.y - q.spot.depth.at.y)),
        tape: { from: { x: q.centre.x, y: q.spot.depth.at.y }, to: q.centre },
        cross: q.centre,
        hint: sideNamed(q, q.centre.x),
        acts: [...middle, ...readingActs(q, q.centre.x)],
      },
    ),
    step(
      phrase`Step back and look in a mirror. Move it until it sits right on the person, not on the seams; its top edge level.`,
    ),
    step(
      phrase`Mark through the holes: the centre and both axis ends. Take the garment off and measure where the centre is now.`,
      {
        cross: q.centre,
        hint: phrase`Enter the difference by dragging the design on the sheet, or type it, so that the plan knows.`,
      },
    ),
  ];
}

/** The marks of every further copy: its centre, and its axis ends where it is turned otherwise than the first. */
function copySteps(q: MarkQuestion): MarkStep[] {
  return q.copies.slice(1).flatMap((copy, i) => {
    const no = count(i + 2);
    const [left, right] = axisEnds({ facts: q.facts, centre: copy.centre, turnDeg: copy.turnDeg });
    const readingMm = Math.abs(copy.centre.x - copy.tapeFrom.x);
    return [
      step(phrase`No. ${no}: ${copy.reading}. Chalk its centre.`, {
        cross: copy.centre,
        tape: { from: copy.tapeFrom, to: copy.centre },
        figure: readingMm < 0.05 ? null : mm(readingMm),
      }),
      step(
        phrase`No. ${no}: both axis ends, ${mm(q.facts.widthMm / 2)} either side of its centre; the right one ${wayThere(minus(right, copy.centre))} of it.`,
        {
          cross: left,
          tape: { from: copy.centre, to: right },
          figure: mm(q.facts.widthMm / 2),
        },
      ),
    ];
  });
}

/** The ways of marking that serve a spot: folding and joining only where the piece is halved by its line. */
export function methodsFor(piece: PiecePlan, spot: RuledSpot): MarkMethod[] {
  if (spot.corner) return ['fold', 'tape'];
  if (spot.edge) return ['tape', 'template'];
  const ways: readonly [MarkMethod, boolean][] = [
    ['tape', true],
    ['fold', isFolded({ piece }) && (piece.evenness.length > 0 || isHalved({ piece }))],
    ['join', isHalved({ piece })],
    ['template', true],
    ['wear', isA(piece.kind, 'worn')],
  ];
  return ways.flatMap(([way, serves]) => (serves ? way : []));
}

function findingSteps(q: MarkQuestion, method: MarkMethod): MarkStep[] {
  const { corner, edge } = q.spot;
  if (method === 'template') return templateSteps(q);
  if (corner && method === 'fold') return [...diagonalSteps(q, corner), axisStep(q)];
  if (edge) return [depthStep(q, 'chalk'), centreStep(q, 'edge'), axisStep(q)];
  if (method === 'wear') return wearSteps(q);
  if (method === 'join') return [...joinSteps(q), centreStep(q, 'centre line'), axisStep(q)];
  if (method === 'fold')
    return [...foldedLineSteps(q), depthStep(q, 'press or chalk'), centreStep(q, 'crease'), axisStep(q)];
  return [...centreLineSteps(q), depthStep(q, 'chalk'), centreStep(q, 'centre line'), axisStep(q)];
}

/** The steps of the mark card in the order the tape is used, ending in the centre, its axis ends and the wrong side. */
export function markSteps(q: MarkQuestion, method: MarkMethod): MarkStep[] {
  return [...findingSteps(q, method), ...copySteps(q), transferStep(q)];
}
