import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Press } from '../../components/ui/Press';
import { TextField } from '../../components/ui/TextField';
import { Txt } from '../../components/ui/Txt';
import { useOpenTicket } from '../../hooks/useTicket';
import { useRemoveTicketMutation } from '../../services/api';
import { ticketNamed } from '../../store/editor';
import { useAppDispatch } from '../../store/store';

const DAY = /^\d{4}-\d{2}-\d{2}$/;
const isDay = (text: string) => DAY.test(text) && !Number.isNaN(Date.parse(text));

/** What the ticket is called, for whom and until when. */
export function TicketFields() {
  const { ticket } = useOpenTicket();
  const dispatch = useAppDispatch();
  const router = useRouter();
  const [remove] = useRemoveTicketMutation();
  const [dueError, setDueError] = useState<string | null>(null);
  const setDue = (text: string) => {
    if (text !== '' && !isDay(text))
      return setDueError(`“${text}” is not a day yet. Write it as 2026-12-24.`);
    setDueError(null);
    dispatch(ticketNamed({ due: text === '' ? null : text }));
  };
  const takeOff = async () => {
    await remove(ticket.id);
    router.replace({ pathname: '/', params: { removed: ticket.id } });
  };
  return (
    <View style={{ gap: 10 }}>
      <Txt as="heading" level={2}>
        The ticket
      </Txt>
      <TextField
        label="Name of the ticket"
        value={ticket.name}
        onText={(name) => dispatch(ticketNamed({ name }))}
        placeholder="e.g. Crew tee, crossed oars"
      />
      <TextField
        label="For whom"
        value={ticket.customer}
        onText={(customer) => dispatch(ticketNamed({ customer }))}
      />
      <TextField
        label="Promised for"
        value={ticket.due ?? ''}
        onText={setDue}
        error={dueError}
        placeholder="2026-12-24"
      />
      <Press kind="link" title="Take this ticket off the bench" onPress={takeOff} />
    </View>
  );
}
