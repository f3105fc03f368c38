import { formatLength } from '@zt/core/base/units/length';
import { OBSTACLE_KINDS, type Obstacle } from '@zt/core/model/ticket/mount';
import { OBSTACLE_SIZES } from '@zt/core/stages/mount/obstacles';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';
import { FieldFindings } from '../FieldFindings';
import { SvgPress } from '../SvgPress';

const TURN_DEG = 45;

/** What lies on the hoop that the foot must not meet: put down, dragged on the drawing, turned, taken away. */
export function TraceFields() {
  const ticket = useTicket('mount');
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
    <Stack gap={6}>
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
        <Row wrap>
          {OBSTACLE_KINDS.map((kind) => (
            <Press
              key={kind}
              title={`+ ${OBSTACLE_SIZES[kind].name}`}
              label={`Put down a ${OBSTACLE_SIZES[kind].name}`}
              onPress={() => set([...obstacles, { kind, x: fieldWidthMm / 2, y: 0, turnDeg: 90 }])}
            />
          ))}
        </Row>
        {obstacles.map((obstacle, i) => {
          const name = `${OBSTACLE_SIZES[obstacle.kind].name} ${i + 1}`;
          return (
            <Row key={i} align="middle">
              <Stack grow>
                <Txt as="strong">{name}</Txt>
              </Stack>
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
            </Row>
          );
        })}
        <Row gap={0}>
          <SvgPress paper="trace" title="The needle’s path as SVG" />
        </Row>
      </Disclosure>
    </Stack>
  );
}
