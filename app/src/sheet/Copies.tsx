import { type Plan, posesOf } from '@zt/core';
import { DesignLayer } from './DesignLayer';
import { clothInk } from './PieceLayer';
import type { View } from './view';

/** The design wherever the plan lays it: once, or all its copies. Nothing before it is placed. */
export function Copies({ plan, view, boxed = false }: { plan: Plan; view: View; boxed?: boolean }) {
  const { piece, design, place } = plan;
  const { facts } = design;
  if (!place || !facts) return null;
  return posesOf(place).map(({ centre, turnDeg, footprint }, i) => (
    <DesignLayer
      key={i}
      facts={facts}
      view={view}
      at={centre}
      turnDeg={turnDeg}
      box={boxed ? footprint : null}
      ink={clothInk(piece.colour)}
      ground={piece.colour}
    />
  ));
}
