import type { OnPractice } from '@zt/core/model/api';
import { MARK_IDS, type MarkId } from '@zt/core/model/ticket/mount';
import { MARK_NAMES } from '@zt/core/stages/mount/hoopAgain';
import { placeWords } from '@zt/core/table/practice/index';
import { useState } from 'react';
import { KeyRow } from '../../components/KeyRow';
import { Choice } from '../../components/ui/Choice';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useTicket, useTicketActs } from '../../hooks/useTicket';
import { tenthMm, withReading } from '../../stages/mount/readings';
import type { Practice } from './usePractice';

const WHAT = [
  { id: 'jog', name: 'needle' },
  { id: 'move', name: 'design' },
] as const;
/** The arrows and the machine's own panel speak millimetres, whatever the shop measures in. */
const MACHINE_UNITS = { system: 'mm' } as const;
const STEPS = [0.1, 1, 10].map((mm) => ({ id: String(mm), name: `${mm} mm` }));

/** Arrows for the needle over the hoop or for the design in it, its turn and mirror, and marks read off the needle. */
export function NeedlePad({ practice, on: { job, state } }: { practice: Practice; on: OnPractice }) {
  const ticket = useTicket('mount');
  const plan = usePlan('mount');
  const { change } = useTicketActs();
  const [what, setWhat] = useState<'jog' | 'move'>('jog');
  const [step, setStep] = useState('1');
  const { press } = practice;
  const { mount } = plan;
  const mm = Number(step);
  const go = (x: number, y: number) => press({ press: what, x: x * mm, y: y * mm });
  const read = (mark: MarkId) => {
    const chalkedAt = mount?.marksAt[mark];
    change({
      stage: 'mount',
      set: {
        readings: withReading(ticket.mount.readings, {
          mark,
          x: tenthMm(state.needle.x),
          y: tenthMm(state.needle.y),
          ...(chalkedAt ? { chalkedAt } : {}),
        }),
      },
    });
  };
  const { turnStepDeg } = job.machine;
  return (
    <Stack gap={8}>
      {mount ? <KeyRow keys={mount.keys} order={mount.keyOrder} units={MACHINE_UNITS} /> : null}
      <Txt testID="needle-at">{`Needle ${placeWords(state.needle)}.`}</Txt>
      <Txt testID="design-at">
        {`Design ${placeWords(state.move)}; turned ${state.turnDeg}°${state.mirror ? ', mirrored' : ''}.`}
      </Txt>
      <Row gap={14} wrap>
        <Choice label="Arrows move the" small options={WHAT} chosen={what} onChoose={setWhat} />
        <Choice label="by" small options={STEPS} chosen={step} onChoose={setStep} />
      </Row>
      <Row gap={6} align="middle">
        <Press title="←" label={`${what} left`} onPress={() => go(-1, 0)} />
        <Stack gap={6}>
          <Press title="↑" label={`${what} away`} onPress={() => go(0, -1)} />
          <Press title="↓" label={`${what} towards you`} onPress={() => go(0, 1)} />
        </Stack>
        <Press title="→" label={`${what} right`} onPress={() => go(1, 0)} />
        <Stack gap={6} grow>
          <Press title={`Turn ${turnStepDeg}°`} onPress={() => press({ press: 'turn', deg: turnStepDeg })} />
          <Press title="Mirror" onPress={() => press({ press: 'mirror' })} />
        </Stack>
      </Row>
      <Txt as="label" tone="graphite">
        The needle is over a chalked mark: take it as a reading
      </Txt>
      <Row wrap>
        {MARK_IDS.map((mark, i) => (
          <Press
            key={mark}
            title={`${i + 1} ${MARK_NAMES[mark]}`}
            label={`Needle over the ${MARK_NAMES[mark]}`}
            onPress={() => read(mark)}
          />
        ))}
      </Row>
      {ticket.mount.readings.length > 0 ? (
        <Txt as="small" tone="graphite">
          {`${ticket.mount.readings.length} read. With two or more, Mount says how crooked it lies and what to key.`}
        </Txt>
      ) : null}
    </Stack>
  );
}
