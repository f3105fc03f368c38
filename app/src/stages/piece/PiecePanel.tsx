import { FABRICS, fabricOf } from '@zt/core';
import { View } from 'react-native';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { LengthField } from '../../components/ui/LengthField';
import { Txt } from '../../components/ui/Txt';
import { Why } from '../../components/Why';
import { useOpenTicket } from '../../hooks/useTicket';
import { FieldFindings } from '../FieldFindings';
import { ColourField } from './ColourField';
import { EvennessFields } from './EvennessFields';
import { FabricFields } from './FabricFields';
import { TicketFields } from './TicketFields';

const without = <T,>(record: Record<string, T>, key: string): Record<string, T> =>
  Object.fromEntries(Object.entries(record).filter(([k]) => k !== key));

/** Measure the piece, say what cloth it is. */
export function PiecePanel() {
  const { ticket, plan, units, change } = useOpenTicket();
  const { piece } = ticket;
  const fabric = fabricOf(piece);
  return (
    <View style={{ gap: 14 }}>
      <Txt as="heading" level={2}>{`Measure the ${plan.piece.kind.name}`}</Txt>
      {plan.piece.kind.readings.map((reading) => (
        <View key={reading.id} style={{ gap: 4 }}>
          <LengthField
            label={reading.name}
            hint={reading.how}
            mm={piece.readings[reading.id] ?? null}
            unread={piece.unread[reading.id]}
            units={units}
            onLength={(mm) =>
              change(
                {
                  stage: 'piece',
                  set: {
                    readings: { ...piece.readings, [reading.id]: mm },
                    unread: without(piece.unread, reading.id),
                  },
                },
                `reading ${reading.id}`,
              )
            }
            onUnread={(text) =>
              change(
                {
                  stage: 'piece',
                  set: {
                    readings: without(piece.readings, reading.id),
                    unread:
                      text.trim() === ''
                        ? without(piece.unread, reading.id)
                        : { ...piece.unread, [reading.id]: text },
                  },
                },
                `reading ${reading.id}`,
              )
            }
          />
          <FieldFindings field={reading.id} />
        </View>
      ))}
      <Choice
        label="Fabric"
        small
        options={FABRICS.map(({ id, name }) => ({ id, name }))}
        chosen={fabric.id}
        onChoose={(fabricId) => change({ stage: 'piece', set: { fabricId, fabricChanges: {} } })}
      />
      <Disclosure
        title={`${fabric.name}: ${fabric.weightGsm} g/m², ${fabric.stretchPercent} % stretch, change it`}
      >
        <FabricFields />
      </Disclosure>
      <ColourField
        label="Colour of the piece"
        hex={piece.colour}
        onHex={(colour) => change({ stage: 'piece', set: { colour } }, 'piece colour')}
      />
      <Disclosure title="Is it cut straight?" startOpen={piece.evenness.length > 0}>
        <EvennessFields />
        <FieldFindings field="evenness" />
        <Why
          about="the centre line"
          reasons={plan.piece.reasons.filter((r) => r.about === 'centreLine')}
          units={units}
        />
      </Disclosure>
      <TicketFields />
    </View>
  );
}
