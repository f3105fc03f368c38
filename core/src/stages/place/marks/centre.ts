import type { Phrase } from '../../../base/units/phrase';
import { mm, phrase } from '../../../base/units/phrase';
import type { MarkAct } from './acts';
import type { MarkQuestion, MarkStep } from './markStep';
import { side, step } from './markStep';
/** Which side of the wearer a place is on, where the view has one. */
export const sideNamed = (q: MarkQuestion, across: number): Phrase | null => {
  const { wearersLeft } = q.piece.view;
  if (!wearersLeft) return null;
  const wearers = side(across) === wearersLeft ? 'left' : 'right';
  return phrase`On your ${side(across)} as it faces you is the wearer's ${wearers}.`;
};

/** The centre, along its level from a line or an edge. */
export function centreStep(q: MarkQuestion, line: string): MarkStep {
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

/** How the level of the centre is found. */
export const levelAct = ({ spot: { depth }, centre }: MarkQuestion): MarkAct => ({
  do: 'level',
  from: depth.at,
  mm: Math.abs(centre.y - depth.at.y),
  way: centre.y >= depth.at.y ? 'down' : 'up',
});

/** The level of the centre, from its landmark down or up. */
export function depthStep(q: MarkQuestion, mark: string): MarkStep {
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
