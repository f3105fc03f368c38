import type { Plan } from '@zt/core/planner/planned';
import { posesOf } from '@zt/core/stages/place/moveCopy';
import { clothInk } from '../onSheet';
import { DesignLayer } from './DesignLayer';

interface CopiesProps {
  plan: Pick<Plan, 'piece' | 'design' | 'place'>;
  /** With the outline of its footprint. */
  boxed?: boolean;
}

/** The design wherever the plan lays it: once, or all its copies. Nothing before it is placed. */
export function Copies({ plan, boxed = false }: CopiesProps) {
  const { piece, design, place } = plan;
  const { facts } = design;
  if (!place || !facts) return null;
  return posesOf(place).map(({ centre, turnDeg, footprint }, i) => (
    <DesignLayer
      key={i}
      facts={facts}
      at={centre}
      turnDeg={turnDeg}
      box={boxed ? footprint : null}
      ink={clothInk(piece.colour)}
      ground={piece.colour}
    />
  ));
}
