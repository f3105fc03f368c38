import { say } from '@zt/core/base/units/phrase';
import { View } from 'react-native';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';
import { endTimer, startTimer, useTimer } from './timers';

/** Minutes and seconds, as a clock shows them. */
const clock = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;

interface StepTimerProps {
  ticketId: string;
  stepId: string;
  text: string;
  seconds: number;
  onDone: () => void;
}

/** The clock of one step: to start, running down, or up. */
function StepTimer({ ticketId, stepId, text, seconds, onDone }: StepTimerProps) {
  const left = useTimer(ticketId, stepId);
  const says = text.split(/[.:]/)[0] ?? text;
  if (left === null)
    return (
      <Press
        title={`${says}: start ${clock(seconds)}`}
        onPress={() => startTimer({ ticketId, stepId, says }, seconds)}
      />
    );
  return (
    <Row gap={8} align="middle" wrap>
      <View role="timer" aria-label={`${says}, time left`}>
        <Txt as="figure">{clock(left)}</Txt>
      </View>
      <Txt as="strong" tone={left === 0 ? 'madder' : 'ink'}>
        {left === 0 ? `Time is up: ${says}` : says}
      </Txt>
      {left === 0 ? (
        <Press
          title="Done"
          label={`${says} is done`}
          onPress={() => {
            endTimer(ticketId, stepId);
            onDone();
          }}
        />
      ) : (
        <Press title="Stop" label={`Stop the clock: ${says}`} onPress={() => endTimer(ticketId, stepId)} />
      )}
    </Row>
  );
}

/** Clocks for the steps that take their time; they run on through a reload. */
export function StepTimers() {
  const { id, finish: input } = useTicket('id', 'finish');
  const { finish } = usePlan('finish');
  const units = useUnits();
  const { change } = useTicketActs();
  const timed = (finish?.steps ?? []).filter(
    (step) => step.seconds !== null && !input.done.includes(step.id),
  );
  if (timed.length === 0) return null;
  return (
    <Stack gap={6}>
      {timed.map((step) => (
        <StepTimer
          key={step.id}
          ticketId={id}
          stepId={step.id}
          text={say(step.text, units)}
          seconds={step.seconds ?? 0}
          onDone={() => change({ stage: 'finish', set: { done: [...input.done, step.id] } })}
        />
      ))}
    </Stack>
  );
}
