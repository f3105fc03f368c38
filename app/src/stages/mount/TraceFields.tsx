import { formatLength, OBSTACLE_KINDS, OBSTACLE_SIZES, type Obstacle } from '@zt/core';
import { View } from 'react-native';
import { Disclosure } from '../../components/ui/Disclosure';
import { FileLink } from '../../components/ui/FileLink';
import { Press } from '../../components/ui/Press';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';
import { FieldFindings } from '../FieldFindings';

const TURN_DEG = 45;

/** What lies on the hoop that the foot must not meet: put down, dragged on the drawing, turned, taken away. */
export function TraceFields() {
  const ticket = useTicket('mount', 'id');
  const plan = usePlan('mount', 'hoop');
  const units = useUnits();
  const { change } = useTicketActs();
  const { mount, hoop } = plan;
  if (!mount || !hoop?.laid) return null;
  const { obstacles } = ticket.mount;
  const set = (next: Obstacle[]) => change({ stage: 'mount', set: { obstacles: next } });
  const { fieldWidthMm } = hoop.laid.verdict.hoop;
  const nearest = mount.trace.clearances[0];
  return (
    <View style={{ gap: 6 }}>
      {nearest ? (
        <Txt testID="trace">{`Foot to ${nearest.name}: ${nearest.mm < 0 ? `${formatLength(-nearest.mm, units)} too near` : `${formatLength(nearest.mm, units)} clear`}.`}</Txt>
      ) : null}
      <FieldFindings field="obstacles" />
      <Disclosure
        title={obstacles.length > 0 ? `On the hoop: ${obstacles.length}` : 'Pins, clips or magnets on it?'}
        label="Things on the hoop"
        startOpen={obstacles.length > 0}
      >
        <Txt as="small">Put down what lies on the hoop, then drag it on the drawing to where it is.</Txt>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          {OBSTACLE_KINDS.map((kind) => (
            <Press
              key={kind}
              title={`+ ${OBSTACLE_SIZES[kind].name}`}
              label={`Put down a ${OBSTACLE_SIZES[kind].name}`}
              onPress={() => set([...obstacles, { kind, x: fieldWidthMm / 2, y: 0, turnDeg: 90 }])}
            />
          ))}
        </View>
        {obstacles.map((obstacle, i) => {
          const name = `${OBSTACLE_SIZES[obstacle.kind].name} ${i + 1}`;
          return (
            <View key={i} style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
              <View style={{ flex: 1 }}>
                <Txt as="strong">{name}</Txt>
              </View>
              <Press
                title="turn"
                label={`Turn ${name}`}
                onPress={() =>
                  set(
                    obstacles.map((o, k) => (k === i ? { ...o, turnDeg: (o.turnDeg + TURN_DEG) % 360 } : o)),
                  )
                }
              />
              <Press
                title="off"
                label={`Take ${name} off`}
                onPress={() => set(obstacles.filter((_, k) => k !== i))}
              />
            </View>
          );
        })}
        <View style={{ flexDirection: 'row' }}>
          <FileLink href={`/api/paper/${ticket.id}/trace.svg`} name="The needle’s path as SVG" />
        </View>
      </Disclosure>
    </View>
  );
}
