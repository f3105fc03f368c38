import { boxOf, type DesignFacts, formatFigure, formatLength, inflate, ORIGIN } from '@zt/core';
import { Path } from 'react-native-svg';
import { usePlan, useUnits } from '../../hooks/useTicket';
import { DesignLayer } from '../../sheet/layers/DesignLayer';
import { ChalkCross, Dimension } from '../../sheet/layers/marks';
import { useOnSheet } from '../../sheet/onSheet';
import { Sheet } from '../../sheet/Sheet';
import { pathPx } from '../../sheet/view';
import { usePalette } from '../../theme/palette';

/** The design by itself, large, with its size, its outline and its centre. */
export function DesignDrawing() {
  const plan = usePlan('design');
  return plan.design.facts ? <DrawnDesign facts={plan.design.facts} /> : null;
}

function DrawnDesign({ facts }: { facts: DesignFacts }) {
  const units = useUnits();
  const palette = usePalette();
  const box = boxOf(facts.hull);
  const gap = Math.max(facts.widthMm, facts.heightMm) * 0.12;
  return (
    <Sheet
      focus={inflate(box, gap * 1.6)}
      description={`The design, ${formatLength(facts.widthMm, units)} wide and ${formatLength(facts.heightMm, units)} high, in ${facts.stops.length} colour stops.`}
    >
      <DesignLayer facts={facts} at={ORIGIN} turnDeg={0} ink={palette.ink} ground={palette.paper} />
      {facts.hullKnown ? <Hull facts={facts} /> : null}
      <ChalkCross at={ORIGIN} />
      <Dimension
        from={{ x: box.left, y: box.bottom + gap }}
        to={{ x: box.right, y: box.bottom + gap }}
        text={formatFigure(facts.widthMm, units)}
      />
      <Dimension
        from={{ x: box.right + gap, y: box.top }}
        to={{ x: box.right + gap, y: box.bottom }}
        text={formatFigure(facts.heightMm, units)}
      />
    </Sheet>
  );
}

/** The design's convex outline, by which it is judged in a hoop. */
function Hull({ facts }: { facts: DesignFacts }) {
  const { view, palette } = useOnSheet();
  return (
    <Path
      d={pathPx(view, facts.hull, true)}
      stroke={palette.graphite}
      strokeWidth={1}
      strokeDasharray="6 4"
      fill="none"
    />
  );
}
