import type { OnPractice } from '@zt/core/model/api';
import { STRAIGHT } from '@zt/core/table/practice/index';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import type { Practice } from './usePractice';

const CROOKED = { turnDeg: 3.4, shift: { x: 2, y: -1.5 } };
const LIES = [
  { id: 'straight', name: 'as planned' },
  { id: 'crooked', name: '3.4° crooked' },
] as const;

/** How it was hooped, which hoop is on the carriage, and its latch. */
export function HoopSwitches({ practice, on: { job, state } }: { practice: Practice; on: OnPractice }) {
  const { press, lie, layAnew } = practice;
  const fitted = job.hoops.find((h) => h.id === state.onId);
  return (
    <Stack gap={8}>
      <Txt as="heading" level={2}>
        {fitted ? `${fitted.name}, ${state.latched ? 'latched' : 'not latched'}` : 'No hoop on the carriage'}
      </Txt>
      {fitted ? (
        <Row wrap>
          <Press
            title={state.latched ? 'Unlatch' : 'Latch it'}
            onPress={() => press({ press: state.latched ? 'unlatch' : 'latch' })}
          />
          <Press title="Take it off" onPress={() => press({ press: 'take-off' })} />
        </Row>
      ) : (
        <Choice
          label="Put on"
          small
          options={job.hoops.map(({ id, name }) => ({ id, name }))}
          chosen={null}
          onChoose={(hoopId) => press({ press: 'put-on', hoopId })}
        />
      )}
      <Disclosure
        title={`Set to ${job.hoops.find((h) => h.id === state.setId)?.name ?? 'no hoop'}`}
        label="Which hoop the machine is set to"
      >
        <Choice
          label="The machine is set to"
          small
          options={job.hoops.map(({ id, name }) => ({ id, name }))}
          chosen={state.setId}
          onChoose={(hoopId) => press({ press: 'set-hoop', hoopId })}
        />
      </Disclosure>
      <Choice
        label="How it was hooped (starts anew)"
        small
        options={LIES}
        chosen={lie.turnDeg === 0 ? 'straight' : 'crooked'}
        onChoose={(id) => layAnew(id === 'straight' ? STRAIGHT : CROOKED)}
      />
    </Stack>
  );
}
