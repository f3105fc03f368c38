import { benchNeedles } from '@zt/core/ledger/benchNeedles/benchNeedles';
import type { Machine } from '@zt/core/model/shelf';
import { useCallback } from 'react';
import { HowFarWord } from '../../components/HowFarWord';
import { Disclosure } from '../../components/ui/Disclosure';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Swatch } from '../../components/ui/Swatch';
import { Txt } from '../../components/ui/Txt';
import { useBenchTickets } from '../../hooks/useBenchTickets';
import { useInSlices } from '../../hooks/useInSlices';
import { useRules, useShelf } from '../../hooks/useTicket';

/** The needles of a machine over all that is on the bench for it: what is put on before each ticket. */
function WholeBench({ machine }: { machine: Machine }) {
  const tickets = useBenchTickets();
  const shelf = useShelf();
  const rules = useRules();
  const finding = useCallback(
    () => benchNeedles(tickets ?? [], machine, { shelf, rules }),
    [tickets, machine, shelf, rules],
  );
  const { result: found, howFar } = useInSlices(tickets && finding);
  if (!found) return <HowFarWord howFar={howFar} />;
  if (found.tickets.length === 0)
    return <Txt as="small">No other ticket on the bench goes on this machine yet.</Txt>;
  return (
    <Stack gap={8}>
      <Txt as="small">
        {`${found.threadings} threads put on for ${found.tickets.length} tickets, in the order they are promised; beginning anew at needle 1 each time it would be ${found.eachAnew}.`}
      </Txt>
      {found.tickets.map(({ ticketId, title, putOn }) => (
        <Stack key={ticketId} gap={2}>
          <Txt as="strong">{title}</Txt>
          {putOn.length === 0 ? <Txt as="small">all its threads are on already</Txt> : null}
          <Row gap={8} wrap>
            {putOn.map(({ needle, name, hex }, i) => (
              <Row key={`${needle} ${name} ${i}`} gap={4}>
                <Swatch hex={hex} width={20} height={20} />
                <Txt as="small">{`needle ${needle + 1}: ${name}`}</Txt>
              </Row>
            ))}
          </Row>
        </Stack>
      ))}
    </Stack>
  );
}

export const BenchNeedles = ({ machine }: { machine: Machine }) => (
  <Disclosure title="Needles for the whole bench">
    <WholeBench machine={machine} />
  </Disclosure>
);
