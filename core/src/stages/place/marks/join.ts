import { mm, phrase } from '../../../base/units/phrase';
import { landmark } from '../placement';
import type { MarkAct } from './acts';
import { axisStep } from './axis';
import { centreStep } from './centre';
import { halved, isHalved, lineAt } from './lineSteps';
import type { MarkingWay } from './markMethod';
import type { MarkQuestion, MarkStep } from './markStep';
import { step } from './markStep';

/** Two landmarks joined, then a level of their own joined across, and another one so far from it. */
function joinSteps(q: MarkQuestion): MarkStep[] {
  const w = halved(q);
  const top = w.second ? landmark(q.outline, w.second.landmark) : { x: 0, y: q.outline.centreFrom };
  const farY = top.y === q.outline.centreTo ? q.outline.centreFrom : q.outline.centreTo;
  const topAct: MarkAct = w.second ? { do: 'beside', at: top, mm: 0 } : { do: 'halve', y: top.y };
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

/** By joining landmarks, where the piece is halved by its line. */
export const JOIN: MarkingWay = {
  id: 'join',
  serves: (piece, { corner, edge }) => !corner && !edge && isHalved({ piece }),
  steps: (q) => [...joinSteps(q), centreStep(q, 'centre line'), axisStep(q)],
};
