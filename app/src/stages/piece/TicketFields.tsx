import { piecesOf } from '@zt/core/model/pieces';
import type { Ticket } from '@zt/core/model/ticket';
import { pieceCount } from '@zt/core/model/ticket/piece';
import { useRouter } from 'expo-router';
import { MoneyField } from '../../components/ui/MoneyField';
import { NumberField } from '../../components/ui/NumberField';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { WordsField } from '../../components/ui/WordsField';
import { useTicket, useTicketActs } from '../../hooks/useTicket';
import { ticketNamed } from '../../store/editor';
import { takeTicketOff } from '../../store/shopActs';
import { useAppDispatch } from '../../store/store';

/** All pieces of the order, where other sizes add to those of this one; with names one for each. */
const inAll = ({ piece, design }: Pick<Ticket, 'piece' | 'design'>): string | undefined =>
  design.names && design.names.rows.length > 0
    ? `not counted: ${piecesOf({ piece, design })} are made, one for each name.`
    : piece.sizes.length > 0
      ? `of this size; ${pieceCount(piece)} with the other sizes. Time, thread, bobbin and sheets count them all.`
      : undefined;

/** What the ticket is called, for whom and until when. */
export function TicketFields() {
  const ticket = useTicket('id', 'name', 'customer', 'due', 'blankMinor', 'piece', 'design');
  const { change } = useTicketActs();
  const dispatch = useAppDispatch();
  const router = useRouter();
  const takeOff = () => {
    dispatch(takeTicketOff(ticket.id));
    router.replace({ pathname: '/', params: { removed: ticket.id } });
  };
  return (
    <Stack gap={10}>
      <Txt as="heading" level={2}>
        The ticket
      </Txt>
      <WordsField
        label="Name of the ticket"
        at="name"
        value={ticket.name}
        onText={(name) => dispatch(ticketNamed({ name }))}
        placeholder="e.g. Crew tee, crossed oars"
      />
      <WordsField
        label="For whom"
        at="customer"
        value={ticket.customer}
        onText={(customer) => dispatch(ticketNamed({ customer }))}
      />
      <WordsField
        label="Promised for"
        at="due"
        value={ticket.due ?? ''}
        onText={(due) => dispatch(ticketNamed({ due }))}
        placeholder="2026-12-24"
      />
      <NumberField
        label="How many pieces"
        at="piece.quantity"
        value={ticket.piece.quantity}
        onNumber={(quantity) => change({ stage: 'piece', set: { quantity } })}
        hint={inAll(ticket)}
      />
      <MoneyField
        label="One bare piece costs"
        at="blankMinor"
        minor={ticket.blankMinor}
        onMoney={(blankMinor) => dispatch(ticketNamed({ blankMinor }))}
        hint="0 where the customer brings it; empty, what it all costs is not known."
      />
      <Row wrap gap={16}>
        <Press
          kind="link"
          title="Print the job card or labels"
          onPress={() => router.push(`/ticket/${ticket.id}/print`)}
        />
        <Press kind="link" title="What it costs" onPress={() => router.push(`/ticket/${ticket.id}/price`)} />
      </Row>
      <Press kind="link" title="Take this ticket off the bench" onPress={takeOff} />
    </Stack>
  );
}
