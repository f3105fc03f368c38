import { boxOf, centreOf, heightOf, widthOf } from '../../../base/geometry/box';
import type { Polygon } from '../../../base/geometry/polygon';
import { mm, phrase } from '../../../base/units/phrase';
import { numberFor } from '../../../catalogue/houseNumber';
import { HOOP_NUMBERS } from '../../../catalogue/numbers/hoop';
import { elementsOf, gathered } from '../../design/elements';
import type { DesignFacts } from '../../design/planDesign';
import type { Asked, Rescue } from './rescue';
import { forHoop, judgeChanged, set, WHERE_IT_LIES, works } from './rescue';

/** The design with another outline at its scale, about its own middle. */
function factsWithHull(facts: DesignFacts, hull: Polygon, scale: number): DesignFacts {
  const box = boxOf(hull);
  const middle = centreOf(box);
  return {
    ...facts,
    widthMm: widthOf(box) * scale,
    heightMm: heightOf(box) * scale,
    hull: hull.map((p) => ({ x: (p.x - middle.x) * scale, y: (p.y - middle.y) * scale })),
  };
}

/** Draw the elements of the design closer together. */
export function moveCloser(asked: Asked): Rescue[] {
  const { setting, verdict } = asked;
  const { artwork, scalePercent } = setting;
  if (!artwork || works(verdict, asked.method)) return [];
  const scale = scalePercent / 100;
  const fits = (hull: Polygon) =>
    works(judgeChanged(asked, factsWithHull(setting.facts, hull, scale)), asked.method);
  const gapMm = numberFor(setting.rules, HOOP_NUMBERS.elementGapMm);
  const found = gathered(elementsOf(artwork), fits, gapMm / scale);
  if (!found) return [];
  const farthest = Math.max(...found.moves.map((m) => Math.hypot(m.x, m.y))) * scale;
  return [
    {
      label: phrase`Move its elements closer together`,
      result: phrase`fits ${verdict.hoop.name}; ${mm(found.gapMm * scale)} are left between them`,
      cost: phrase`the composition changes: up to ${mm(farthest)} for an element; save the file so`,
      change: { stage: 'design', set: { elementMoves: found.moves } },
      also: set(forHoop(asked, { turnDeg: null, shift: null })),
      removes: WHERE_IT_LIES,
    },
  ];
}
