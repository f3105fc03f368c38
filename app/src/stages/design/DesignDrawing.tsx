import { boxOf, type DesignFacts, formatFigure, formatLength, inflate } from '@zt/core';
import { Path } from 'react-native-svg';
import { useOpenTicket } from '../../hooks/useTicket';
import { DesignLayer } from '../../sheet/DesignLayer';
import { ChalkCross, Dimension } from '../../sheet/marks';
import { Sheet } from '../../sheet/Sheet';
import { pathPx } from '../../sheet/view';
import { PieceDrawing } from '../piece/PieceDrawing';

/** The design by itself, large, with its size, its outline and its centre. */
export function DesignDrawing() {
  const { plan } = useOpenTicket();
  return plan.design.facts ? <DrawnDesign facts={plan.design.facts} /> : <PieceDrawing />;
}

function DrawnDesign({ facts }: { facts: DesignFacts }) {
  const { units } = useOpenTicket();
  const box = boxOf(facts.hull);
  const gap = Math.max(facts.widthMm, facts.heightMm) * 0.12;
  return (
    <Sheet
      focus={inflate(box, gap * 1.6)}
      description={`The design, ${formatLength(facts.widthMm, units)} wide and ${formatLength(facts.heightMm, units)} high, in ${facts.stops.length} colour stops.`}
      draw={(view, palette) => (
        <>
          <DesignLayer
            facts={facts}
            view={view}
            at={{ x: 0, y: 0 }}
            turnDeg={0}
            ink={palette.ink}
            ground={palette.paper}
          />
          {facts.hullKnown ? (
            <Path
              d={pathPx(view, facts.hull, true)}
              stroke={palette.graphite}
              strokeWidth={1}
              strokeDasharray="6 4"
              fill="none"
            />
          ) : null}
          <ChalkCross view={view} palette={palette} at={{ x: 0, y: 0 }} />
          <Dimension
            view={view}
            palette={palette}
            from={{ x: box.left, y: box.bottom + gap }}
            to={{ x: box.right, y: box.bottom + gap }}
            text={formatFigure(facts.widthMm, units)}
          />
          <Dimension
            view={view}
            palette={palette}
            from={{ x: box.right + gap, y: box.top }}
            to={{ x: box.right + gap, y: box.bottom }}
            text={formatFigure(facts.heightMm, units)}
          />
        </>
      )}
    />
  );
}
