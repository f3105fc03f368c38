import { boxOf, centreOf, heightOf, widthOf } from '../../../base/geometry/box';
import { subtract } from '../../../base/geometry/point';
import type { Polygon } from '../../../base/geometry/polygon';
import { mm, phrase } from '../../../base/units/phrase';
import { numberFor } from '../../../catalogue/houseNumber';
import { HOOP_NUMBERS } from '../../../catalogue/numbers/hoop';
import type { DesignFacts } from '../../design/designFacts';
import { gathered } from '../../design/elements';
import { withElementsMoved } from '../../design/parts/acts';
import type { Rescue, RescueQuestion } from './rescue';
import { forHoop, judgeChanged, set, WHERE_IT_LIES, works } from './rescue';

/** The design with another outline, about its own middle. */
function factsWithHull(facts: DesignFacts, hull: Polygon): DesignFacts {
  const box = boxOf(hull);
  const middle = centreOf(box);
  return {
    ...facts,
    widthMm: widthOf(box),
    heightMm: heightOf(box),
    hull: hull.map((p) => subtract(p, middle)),
  };
}

/** Draw the elements of the design closer together. */
export function moveCloser(asked: RescueQuestion): Rescue[] {
  const { setting, verdict } = asked;
  const { facts, design } = setting;
  if (works(verdict, asked.method)) return [];
  const { scale } = facts;
  const fits = (hull: Polygon) => works(judgeChanged(asked, factsWithHull(facts, hull)), asked.method);
  const gapMm = numberFor(setting.rules, HOOP_NUMBERS.elementGapMm);
  const found = gathered(
    facts.elements.map((hull) => ({ hull })),
    fits,
    gapMm,
  );
  if (!found) return [];
  const moves = found.moves.map((m) => ({ x: m.x / scale, y: m.y / scale }));
  const farthest = Math.max(...found.moves.map((m) => Math.hypot(m.x, m.y)));
  return [
    {
      label: phrase`Move its elements closer together`,
      result: phrase`fits ${verdict.hoop.name}; ${mm(found.gapMm)} are left between them`,
      cost: phrase`the composition changes: up to ${mm(farthest)} for an element; save the file so`,
      change: { stage: 'design', set: { parts: withElementsMoved(design.parts, moves) } },
      also: set(forHoop(asked, { turnDeg: null, shift: null })),
      removes: WHERE_IT_LIES,
    },
  ];
}
