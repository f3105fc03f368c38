import { isInTheWay } from '@zt/core/model/finding';
import { worstOfAll } from '@zt/core/model/ticket/log';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Press } from '../../components/ui/Press';
import { Txt } from '../../components/ui/Txt';
import { announce } from '../../everyone/announce';
import { useIsExample } from '../../example/useExample';
import { useLoggedAs, usePlan, useTicket } from '../../hooks/useTicket';
import { logPiece, takeEntryBack } from '../../store/shopActs';
import type { RootState } from '../../store/state';
import { useAppDispatch, useAppSelector } from '../../store/store';

/** Why a ticket cannot be logged yet, or null. */
export function useWhyNotLogged(): string | null {
  const plan = usePlan('hoop', 'findings');
  const save = useAppSelector((state) => state.editor.save);
  const isExample = useIsExample();
  if (isExample) return 'An example is not logged.';
  if (plan.hoop === null) return 'Measure the piece first.';
  if (plan.findings.some((f) => f.stage === 'log' && isInTheWay(f))) return 'A figure here was not taken.';
  if (save === 'refused') return 'The ticket is not saved yet.';
  return null;
}

/** The entry of a ticket as it will be once all is sent that waits: logged here, or taken back. */
const entryOnceSent =
  (ticketId: string, loggedAs: string | null) =>
  ({ queue }: RootState): string | null =>
    queue.waiting.reduce((entry, one) => {
      if (one.endpoint === 'addEntry' && one.arg.ticket.id === ticketId) return one.arg.id;
      return one.endpoint === 'removeEntry' && one.arg.ticketId === ticketId ? null : entry;
    }, loggedAs);

/** Puts it all in the logbook with the plan as it is now, and the way back. */
export function LogAction() {
  const ticket = useTicket();
  const { log } = usePlan('log');
  const loggedAs = useLoggedAs();
  const router = useRouter();
  const dispatch = useAppDispatch();
  const why = useWhyNotLogged();
  const entry = useAppSelector(entryOnceSent(ticket.id, loggedAs));
  const isReported = worstOfAll(ticket.log) > 0 || log.off.mm !== null;
  if (entry) {
    return (
      <>
        <Press
          kind="link"
          title="Take it back"
          label="Take it back out of the logbook"
          onPress={() => dispatch(takeEntryBack(entry, ticket.id))}
        />
        {loggedAs === entry ? (
          <Press kind="main" title="Open the entry" onPress={() => router.push(`/logbook/${entry}`)} />
        ) : (
          <Txt as="small" live>
            On its way into the logbook.
          </Txt>
        )}
      </>
    );
  }
  return (
    <>
      {why ? (
        <View style={{ flexShrink: 1 }}>
          <Txt as="small" tone="madder" live>
            {why}
          </Txt>
        </View>
      ) : null}
      <Press
        kind="main"
        title={isReported ? 'Put it in the logbook' : 'Came out well'}
        disabled={why !== null}
        onPress={() => {
          dispatch(logPiece(ticket));
          announce('On its way into the logbook.');
        }}
      />
    </>
  );
}
