import { say } from '@zt/core';
import { View } from 'react-native';
import { Stack } from '../../components/ui/Stack';
import { Tick } from '../../components/ui/Tick';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';

/** What these layers leave to be done, in their order, and what to look for. */
export function FinishPanel() {
  const ticket = useTicket('finish');
  const plan = usePlan('finish');
  const units = useUnits();
  const { change } = useTicketActs();
  const { finish } = plan;
  if (!finish) return null;
  const done = new Set(ticket.finish.done);
  const toggle = (id: string, on: boolean) =>
    change({
      stage: 'finish',
      set: { done: on ? [...done, id] : ticket.finish.done.filter((d) => d !== id) },
    });
  return (
    <Stack gap={12}>
      <Txt
        as="heading"
        level={2}
      >{`Finish: ${finish.steps.filter((s) => done.has(s.id)).length} of ${finish.steps.length}`}</Txt>
      <View role="list">
        {finish.steps.map((step, i) => (
          <View key={step.id} role="listitem">
            <Tick
              title={`${i + 1}. ${say(step.text, units)}`}
              on={done.has(step.id)}
              onToggle={(on) => toggle(step.id, on)}
            />
            {step.caution ? (
              <Stack indent>
                <Txt as="small" tone="madder">
                  {say(step.caution, units)}
                </Txt>
              </Stack>
            ) : null}
          </View>
        ))}
      </View>
      <Txt as="heading" level={2}>
        Look for
      </Txt>
      {finish.inspect.map((line) => (
        <Txt key={say(line, units)}>{say(line, units)}</Txt>
      ))}
    </Stack>
  );
}
