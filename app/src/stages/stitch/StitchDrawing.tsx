import { boxOf, inflate, ORIGIN } from '@zt/core';
import { usePlan, useTicket } from '../../hooks/useTicket';
import { DesignLayer } from '../../sheet/layers/DesignLayer';
import { Sheet } from '../../sheet/Sheet';
import { usePalette } from '../../theme/palette';

/** The design as it will stand when the current colour is done. */
export function StitchDrawing() {
  const ticket = useTicket('stitch');
  const plan = usePlan('design', 'stitch');
  const palette = usePalette();
  const facts = plan.design.facts;
  if (!facts || !plan.stitch) return null;
  const next = plan.stitch.stops[Math.min(ticket.stitch.stopsDone, plan.stitch.stops.length - 1)];
  return (
    <Sheet
      focus={inflate(boxOf(facts.hull), Math.max(facts.widthMm, facts.heightMm) * 0.15)}
      description={`The design up to colour ${Math.min(ticket.stitch.stopsDone + 1, facts.stops.length)}, ${next?.name ?? ''}.`}
    >
      <DesignLayer
        facts={facts}
        at={ORIGIN}
        turnDeg={0}
        stops={Math.min(facts.stops.length, ticket.stitch.stopsDone + 1)}
        ink={palette.ink}
        ground={palette.paper}
      />
    </Sheet>
  );
}
