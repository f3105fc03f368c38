import { faceWidthOf, formatLength } from '@zt/core';
import { View } from 'react-native';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { Txt } from '../../components/ui/Txt';
import { useOpenTicket } from '../../hooks/useTicket';
import { KeepAs } from '../KeepAs';

/** Keeps where it was dragged as a place of the shop's own; it grows with the size of the piece. */
function KeepPlace() {
  const { ticket, plan } = useOpenTicket();
  const { place, piece } = plan;
  if (!place || !piece.geometry || place.placement.moved) return null;
  const atWidthMm = faceWidthOf(piece.view, piece.geometry);
  const { offset, turnDeg } = ticket.place;
  return (
    <Disclosure title="Keep it as our place" label="Keep it as our place">
      <KeepAs
        label="Name of our place"
        placeholder="e.g. our club chest"
        noun="placements"
        itemOf={(id, name) => ({
          id,
          name,
          base: place.placement.id,
          offset,
          turnDeg,
          atWidthMm,
          school: place.school,
        })}
      />
      <Txt as="small" tone="graphite">
        On a wider piece it moves in proportion. It is offered among the placements.
      </Txt>
    </Disclosure>
  );
}

/** How far the design lies from its rule, and the way back. */
export function OffsetLine() {
  const { ticket, units, change } = useOpenTicket();
  const { offset, turnDeg } = ticket.place;
  const parts = [
    offset.x === 0
      ? null
      : `${formatLength(Math.abs(offset.x), units)} to your ${offset.x > 0 ? 'right' : 'left'}`,
    offset.y === 0 ? null : `${formatLength(Math.abs(offset.y), units)} ${offset.y > 0 ? 'lower' : 'higher'}`,
    turnDeg === 0 ? null : `turned ${turnDeg}°`,
  ].filter(Boolean);
  if (parts.length === 0)
    return (
      <Txt as="small" tone="graphite">
        On the rule. Drag it on the sheet to move it.
      </Txt>
    );
  return (
    <View>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 10, flexWrap: 'wrap' }}>
        <Txt as="strong" testID="offset">{`Off the rule: ${parts.join(', ')}`}</Txt>
        <Press
          kind="link"
          title="back to the rule"
          onPress={() => change({ stage: 'place', set: { offset: { x: 0, y: 0 }, turnDeg: 0 } })}
        />
      </View>
      <KeepPlace />
    </View>
  );
}
