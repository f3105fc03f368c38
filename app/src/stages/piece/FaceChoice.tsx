import { placementsFor } from '@zt/core/stages/place/planPlace';
import { Choice } from '../../components/ui/Choice';
import { Row } from '../../components/ui/Row';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useShelf, useTicket, useTicketActs } from '../../hooks/useTicket';

/** Which face the design goes on: it decides what is measured. Nothing to ask where a kind has one face. */
export function FaceChoice() {
  const ticket = useTicket('design');
  const plan = usePlan('piece');
  const shelf = useShelf();
  const { change } = useTicketActs();
  const { kind, kindId, view } = plan.piece;
  if (kind.views.length < 2) return null;
  const choose = (viewId: string) => {
    const placement = placementsFor(kindId, shelf.placements).find((p) => p.view === viewId);
    if (!placement || viewId === view.id) return;
    change({ stage: 'place', set: { placement: placement.id, offset: { x: 0, y: 0 } } });
  };
  return (
    <Row gap={10} align="middle" wrap>
      <Txt as="label" tone="graphite">
        {`${ticket.design.name || 'The design'} goes on`}
      </Txt>
      <Choice
        label="Face for the design"
        quiet
        small
        options={kind.views.map(({ id, name }) => ({ id, name: name.toLowerCase() }))}
        chosen={view.id}
        onChoose={choose}
      />
    </Row>
  );
}
