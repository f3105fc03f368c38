import { nameInHand } from '@zt/core/planner/onTable';
import { calledName } from '@zt/core/stages/design/names/onTable';
import { useRouter } from 'expo-router';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useTicket } from '../../hooks/useTicket';

/** The way to the names of the order. */
export function NamesPress({ title, label }: { title: string; label: string }) {
  const { id } = useTicket('id');
  const router = useRouter();
  return <Press title={title} label={label} onPress={() => router.push(`/ticket/${id}/names`)} />;
}

/** Which name of how many is on the table, and how they stand; nothing where there are no names. */
export function NamesInHand() {
  const ticket = useTicket('design');
  const { findings } = usePlan('findings');
  const inHand = nameInHand(ticket);
  if (!ticket.design.names) return null;
  const wide = findings.filter(({ code }) => code === 'design-name-wide').length;
  return (
    <Row align="middle">
      <Stack grow>
        <Txt as="strong">
          {inHand
            ? `${calledName(inHand.row)}, ${inHand.number} of ${inHand.of} names`
            : 'The names have no letters'}
        </Txt>
        {wide > 0 ? (
          <Txt as="small" tone="madder">
            {`${wide} too wide for what is allowed`}
          </Txt>
        ) : null}
      </Stack>
      <NamesPress title="Names" label="Open the names of the order" />
    </Row>
  );
}
