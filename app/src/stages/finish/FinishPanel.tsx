import { say } from '@zt/core/base/units/phrase';
import { lazy, Suspense } from 'react';
import { TickList } from '../../components/TickList';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';
import { StepTimers } from './StepTimers';

/** Only where somebody finishes is it fetched: it is a small book. */
const FaultGuide = lazy(() => import('./FaultGuide').then((guide) => ({ default: guide.FaultGuide })));

/** What these layers leave to be done, in their order, and what to look for. */
export function FinishPanel() {
  const ticket = useTicket('finish');
  const plan = usePlan('finish');
  const units = useUnits();
  const { change } = useTicketActs();
  const { finish } = plan;
  if (!finish) return null;
  const { done } = ticket.finish;
  return (
    <Stack gap={12}>
      <Txt
        as="heading"
        level={2}
      >{`Finish: ${finish.steps.filter((s) => done.includes(s.id)).length} of ${finish.steps.length}`}</Txt>
      <TickList
        numbered
        items={finish.steps}
        done={done}
        onDone={(next) => change({ stage: 'finish', set: { done: next } })}
        units={units}
      />
      <StepTimers />
      <Txt as="heading" level={2}>
        Look for
      </Txt>
      {finish.inspect.map((line) => (
        <Txt key={say(line, units)}>{say(line, units)}</Txt>
      ))}
      <Suspense fallback={null}>
        <FaultGuide />
      </Suspense>
    </Stack>
  );
}
