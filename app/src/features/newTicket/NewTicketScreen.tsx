import {
  newTicket,
  PIECE_FAMILIES,
  PIECE_KIND_IDS,
  PIECE_KINDS,
  type PieceKindId,
  type Plan,
  planTicket,
} from '@zt/core';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Screen } from '../../components/ui/Screen';
import { Stack } from '../../components/ui/Stack';
import { TextField } from '../../components/ui/TextField';
import { Txt } from '../../components/ui/Txt';
import { newId } from '../../hooks/newId';
import { Thumbnail } from '../../sheet/Thumbnail';
import { useShop } from '../../shop/useShop';
import { ticketStarted } from '../../store/editor';
import { useAppDispatch } from '../../store/store';
import { usePalette } from '../../theme/palette';

function KindCard({ name, plan, onStart }: { name: string; plan: Plan; onStart: () => void }) {
  const p = usePalette();
  return (
    <Pressable
      role="button"
      aria-label={name}
      onPress={onStart}
      style={{
        width: 108,
        gap: 4,
        padding: 6,
        alignItems: 'center',
        borderWidth: 1.5,
        borderColor: p.ink,
        borderRadius: 6,
        backgroundColor: p.paper,
      }}
    >
      <Thumbnail plan={plan} size={92} />
      <View style={{ minHeight: 38, justifyContent: 'center' }}>
        <Txt as="label" style={{ textAlign: 'center' }}>
          {name}
        </Txt>
      </View>
    </Pressable>
  );
}

/** What is it? The first question of a ticket: every kind, drawn, by family. */
export function NewTicketScreen() {
  const router = useRouter();
  const dispatch = useAppDispatch();
  const { shelf, rules } = useShop();
  const [sought, setSought] = useState('');
  const plans = useMemo(
    () =>
      PIECE_KIND_IDS.map((id) => ({
        id,
        kind: PIECE_KINDS[id],
        plan: planTicket(newTicket('picture-of-a-kind', id), shelf, rules),
      })),
    [shelf, rules],
  );
  const start = (kind: PieceKindId) => {
    const ticket = newTicket(newId(), kind);
    dispatch(ticketStarted(ticket));
    router.replace(`/ticket/${ticket.id}/piece`);
  };
  const found = plans.filter(({ kind }) => kind.name.toLowerCase().includes(sought.trim().toLowerCase()));
  return (
    <Screen
      title="Start a piece"
      subtitle="What is it?"
      aside={<Press title="Back" onPress={() => router.replace('/')} />}
    >
      <TextField
        label="Find a kind"
        value={sought}
        onText={setSought}
        placeholder="e.g. hoodie, towel, bib"
      />
      {found.length === 0 ? (
        <Txt>{`Nothing here is called “${sought}”. A flat panel takes any cloth that is cut afterwards.`}</Txt>
      ) : null}
      {PIECE_FAMILIES.map((family) => {
        const kinds = found.filter(({ kind }) => kind.family === family);
        return kinds.length === 0 ? null : (
          <Stack key={family} gap={8}>
            <Txt as="heading" level={2}>
              {family}
            </Txt>
            <Row wrap>
              {kinds.map(({ id, kind, plan }) => (
                <KindCard key={id} name={kind.name} plan={plan} onStart={() => start(id)} />
              ))}
            </Row>
          </Stack>
        );
      })}
    </Screen>
  );
}
