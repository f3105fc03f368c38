import { DESIGN_PARTS, type DesignPart } from '@zt/core/model/ticket/place';
import { depthLandmarks } from '@zt/core/stages/place/depths';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { LengthField } from '../../components/ui/LengthField';
import { Press } from '../../components/ui/Press';
import { Stack } from '../../components/ui/Stack';
import { usePlan, useTicket, useTicketActs } from '../../hooks/useTicket';

const PARTS: Record<DesignPart, string> = { top: 'its top', centre: 'its centre', bottom: 'its bottom' };

/** A depth of the maker's own: from which landmark, to which part of the design, and how far. */
export function DepthFields() {
  const ticket = useTicket('place');
  const plan = usePlan('piece', 'place');
  const { change } = useTicketActs();
  const { piece, place } = plan;
  if (!piece.geometry || !place) return null;
  const landmarks = depthLandmarks(piece.kind, piece.view, piece.geometry);
  const asked = ticket.place.depth;
  const nearest = landmarks.find((d) => d.name === place.depthName) ?? landmarks[0];
  if (!nearest) return null;
  const now = asked ?? { from: nearest.id, part: 'centre' as const, mm: place.depthMm };
  const put = (next: Partial<typeof now>) => change({ stage: 'place', set: { depth: { ...now, ...next } } });
  const from = landmarks.find((d) => d.id === now.from) ?? nearest;
  return (
    <Disclosure
      title={asked ? `Depth of your own, from ${from.name}` : 'Set the depth yourself'}
      label="Set the depth yourself"
      startOpen={asked !== null}
    >
      <Stack gap={8}>
        <Choice
          label="Measured from"
          small
          options={landmarks.map(({ id, name }) => ({ id, name }))}
          chosen={now.from}
          onChoose={(id) => put({ from: id })}
        />
        <Choice
          label="To"
          small
          options={DESIGN_PARTS.map((id) => ({ id, name: PARTS[id] }))}
          chosen={now.part}
          onChoose={(part) => put({ part })}
        />
        <LengthField
          label={`${PARTS[now.part]}, ${from.way === 'down' ? 'below' : 'above'} ${from.name}`}
          at="place.depth.mm"
          mm={now.mm}
          onLength={(mm) => put({ mm })}
        />
        {asked ? (
          <Press
            kind="link"
            title="back to the rule’s own depth"
            onPress={() => change({ stage: 'place', set: { depth: null } })}
          />
        ) : null}
      </Stack>
    </Disclosure>
  );
}
