import { boxOf, inflate } from '@zt/core';
import { useOpenTicket } from '../../hooks/useTicket';
import { DesignLayer } from '../../sheet/DesignLayer';
import { Sheet } from '../../sheet/Sheet';
import { PlaceDrawing } from '../place/PlaceDrawing';

/** The design as it will stand when the current colour is done. */
export function StitchDrawing() {
  const { ticket, plan } = useOpenTicket();
  const facts = plan.design.facts;
  if (!facts || !plan.stitch) return <PlaceDrawing />;
  const next = plan.stitch.stops[Math.min(ticket.stitch.stopsDone, plan.stitch.stops.length - 1)];
  return (
    <Sheet
      focus={inflate(boxOf(facts.hull), Math.max(facts.widthMm, facts.heightMm) * 0.15)}
      description={`The design up to colour ${Math.min(ticket.stitch.stopsDone + 1, facts.stops.length)}, ${next?.name ?? ''}.`}
      draw={(view, palette) => (
        <>
          <DesignLayer
            facts={facts}
            view={view}
            at={{ x: 0, y: 0 }}
            turnDeg={0}
            stops={Math.min(facts.stops.length, ticket.stitch.stopsDone + 1)}
            ink={palette.ink}
            ground={palette.paper}
          />
        </>
      )}
    />
  );
}
