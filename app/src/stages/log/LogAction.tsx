import { isInTheWay } from '@zt/core';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Press } from '../../components/ui/Press';
import { Txt } from '../../components/ui/Txt';
import { newId } from '../../hooks/newId';
import { useLoggedAs, usePlan, useTicket } from '../../hooks/useTicket';
import { useAddEntryMutation, useRemoveEntryMutation } from '../../services/logbookApi';
import { useAppSelector } from '../../store/store';

/** Why a ticket cannot be logged yet, or null. */
function useWhyNotLogged(): string | null {
  const plan = usePlan('hoop', 'findings');
  const save = useAppSelector((state) => state.editor.save);
  if (plan.hoop === null) return 'Measure the piece first.';
  if (plan.findings.some((f) => f.stage === 'log' && isInTheWay(f))) return 'A figure here was not taken.';
  if (save === 'failed' || save === 'refused') return 'The ticket is not saved yet.';
  return null;
}

/** Puts it all in the logbook with the plan as it is now, and the way back. */
export function LogAction() {
  const ticket = useTicket();
  const loggedAs = useLoggedAs();
  const router = useRouter();
  const why = useWhyNotLogged();
  const [add, adding] = useAddEntryMutation();
  const [takeBack] = useRemoveEntryMutation();
  if (loggedAs) {
    return (
      <>
        <Press
          kind="link"
          title="Take it back"
          label="Take it back out of the logbook"
          onPress={() => void takeBack(loggedAs)}
        />
        <Press kind="main" title="Open the entry" onPress={() => router.push(`/logbook/${loggedAs}`)} />
      </>
    );
  }
  return (
    <>
      {why || adding.isError ? (
        <View style={{ flexShrink: 1 }}>
          <Txt as="small" tone="madder" live>
            {why ?? 'It was not logged. The ticket is safe; try again.'}
          </Txt>
        </View>
      ) : null}
      <Press
        kind="main"
        title="Put it in the logbook"
        disabled={why !== null || adding.isLoading}
        onPress={() => void add({ id: newId(), ticket })}
      />
    </>
  );
}
