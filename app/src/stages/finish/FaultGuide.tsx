import { say } from '@zt/core/base/units/phrase';
import type { FaultId } from '@zt/core/model/faults';
import { FAULTS } from '@zt/core/model/faults';
import { faultFacts } from '@zt/core/records/faultGuide/facts';
import { causesOf, type RankedCause, withCause } from '@zt/core/records/faultGuide/guide';
import { useState } from 'react';
import { View } from 'react-native';
import { FaultSample } from '../../components/FaultSample';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useRules, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';

const HOW_LIKELY = ['usual', 'may be', 'likely', 'most likely'] as const;

/** One cause: what speaks for it on this ticket, what helps now, what helps next time. */
function CauseRow({ cause, onLog }: { cause: RankedCause; onLog: () => void }) {
  const units = useUnits();
  const text = say(cause.text, units);
  return (
    <View role="listitem" style={{ paddingTop: 12 }}>
      <Stack gap={2}>
        <Txt as="strong">{`${text.replace(/\.$/, '')}: ${HOW_LIKELY[cause.likely] ?? 'usual'}`}</Txt>
        {cause.because ? <Txt>{say(cause.because, units)}</Txt> : null}
        <Txt as="small">{`Now: ${say(cause.now, units)}`}</Txt>
        <Txt as="small">{`Next time: ${say(cause.next, units)}`}</Txt>
        <Press title="It was this: put it in the log" label={`It was this: ${text}`} onPress={onLog} />
      </Stack>
    </View>
  );
}

/** What went wrong, tapped on the drawn sample; why, by this ticket’s own figures; and into the log with one tap. */
export function FaultGuide() {
  const ticket = useTicket();
  const plan = usePlan();
  const rules = useRules();
  const units = useUnits();
  const { change } = useTicketActs();
  const [shown, setShown] = useState<FaultId | null>(null);
  const facts = faultFacts(plan, rules);
  if (!facts) return null;
  const { log } = ticket;
  const logged = (fault: FaultId, cause: RankedCause) =>
    change({ stage: 'log', set: withCause(log, fault, { cause, units }) });
  const fault = FAULTS.find(({ id }) => id === shown);
  return (
    <Disclosure title="Something went wrong?">
      <FaultSample seen={(id) => id === shown} onTap={(id) => setShown(id === shown ? null : id)} />
      {fault ? (
        <View role="list" aria-label={`Causes of: ${fault.name}`}>
          {causesOf(fault.id, facts).map((cause) => (
            <CauseRow key={cause.id} cause={cause} onLog={() => logged(fault.id, cause)} />
          ))}
        </View>
      ) : null}
      {shown && log.faults[shown] ? (
        <Txt as="small" tone="moss">{`In the log: ${fault?.name ?? ''}. Next time: ${log.nextTime}`}</Txt>
      ) : null}
    </Disclosure>
  );
}
