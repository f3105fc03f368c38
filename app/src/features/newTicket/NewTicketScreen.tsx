import { newTicket, PIECE_KIND_IDS, PIECE_KINDS, type PieceKindId, planTicket } from '@zt/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { Press } from '../../components/ui/Press';
import { Screen } from '../../components/ui/Screen';
import { Txt } from '../../components/ui/Txt';
import { newId } from '../../hooks/newId';
import { useShop } from '../../hooks/useShop';
import { useSaveTicketMutation } from '../../services/api';
import { Thumbnail } from '../../sheet/Thumbnail';
import { ticketOpened } from '../../store/editor';
import { useAppDispatch } from '../../store/store';
import { usePalette } from '../../theme/palette';

/** What is it? The first question of a ticket. */
export function NewTicketScreen() {
  const router = useRouter();
  const dispatch = useAppDispatch();
  const p = usePalette();
  const { shelf, rules } = useShop();
  const [save] = useSaveTicketMutation();
  const [failed, setFailed] = useState(false);
  const start = async (kind: PieceKindId) => {
    const ticket = newTicket(newId(), kind);
    const result = await save({ ticket, rev: 0 });
    if (!result.data) return setFailed(true);
    dispatch(ticketOpened({ ticket, rev: result.data.rev }));
    router.replace(`/ticket/${ticket.id}/piece`);
  };
  return (
    <Screen
      title="Start a piece"
      subtitle="What is it?"
      aside={<Press title="Back" onPress={() => router.replace('/')} />}
    >
      {failed ? (
        <Txt tone="madder" live>
          The ticket could not be kept, so it was not started. Try again.
        </Txt>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 16 }}>
        {PIECE_KIND_IDS.map((id) => {
          const kind = PIECE_KINDS[id];
          return (
            <Pressable
              key={id}
              role="button"
              aria-label={kind.name}
              onPress={() => void start(id)}
              style={{
                flexBasis: 320,
                flexGrow: 1,
                flexDirection: 'row',
                alignItems: 'center',
                gap: 16,
                padding: 12,
                borderWidth: 1.5,
                borderColor: p.ink,
                borderRadius: 6,
                backgroundColor: p.paper,
              }}
            >
              <Thumbnail plan={planTicket(newTicket('picture-of-a-kind', id), shelf, rules)} size={132} />
              <View style={{ flex: 1, gap: 4 }}>
                <Txt as="heading" level={2}>
                  {kind.name}
                </Txt>
                <Txt
                  as="small"
                  tone="graphite"
                >{`Have the tape ready: ${kind.readings.map((r) => r.name).join(', ')}.`}</Txt>
              </View>
            </Pressable>
          );
        })}
      </View>
    </Screen>
  );
}
