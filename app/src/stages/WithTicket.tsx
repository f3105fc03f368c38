import { useIsFocused, useRouter } from 'expo-router';
import { type ReactNode, useEffect } from 'react';
import { Notice } from '../components/ui/Notice';
import { Press } from '../components/ui/Press';
import { Txt } from '../components/ui/Txt';
import { OpenTicketProvider } from '../hooks/useTicket';
import { useTicketQuery } from '../services/ticketsApi';
import { type Shop, useShop } from '../shop/useShop';
import { isNewHere, ticketOpened } from '../store/editor';
import { ticketHere } from '../store/shopNow';
import { useAppDispatch, useAppSelector } from '../store/store';
import { PartsAtWork } from './design/PartsAtWork';

/** Loads a ticket into the editor unless it is there already. */
function useEditedTicket(id: string) {
  const dispatch = useAppDispatch();
  const open = useAppSelector((state) => state.editor.present?.id === id);
  const isNew = useAppSelector(({ editor }) => isNewHere(editor, id));
  const kept = useTicketQuery(id, { skip: isNew });
  /** While it cannot be asked for: what this device has of it. */
  const here = useAppSelector((state) => ticketHere(state, id));
  const found = kept.data?.ticket.id === id ? kept.data : kept.isError || isNew ? here : null;
  /** Another ticket may be open in a page over this one: only the one in sight takes hold. */
  const isShown = useIsFocused();
  useEffect(() => {
    if (found && !open && isShown) dispatch(ticketOpened(found));
  }, [found, open, isShown, dispatch]);
  return { open, loggedAs: found?.loggedAs ?? null, failed: kept.isError && !found && !open };
}

/** Opens a ticket for what is drawn with it; says so while it is fetched, or when it cannot be. */
export function WithTicket({ id, children }: { id: string; children: (shop: Shop) => ReactNode }) {
  const shop = useShop();
  const router = useRouter();
  const { open, loggedAs, failed } = useEditedTicket(id);
  if (failed)
    return (
      <Notice title="This ticket cannot be opened">
        <Txt>It is not on the bench, or the shop’s computer does not answer. Nothing was changed.</Txt>
        <Press kind="main" title="Back to the bench" onPress={() => router.replace('/')} />
      </Notice>
    );
  if (!open) return <Notice title="Loading the ticket…" isAwaited />;
  return (
    <OpenTicketProvider loggedAs={loggedAs}>
      <PartsAtWork />
      {children(shop)}
    </OpenTicketProvider>
  );
}
