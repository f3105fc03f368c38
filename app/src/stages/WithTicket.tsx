import { useRouter } from 'expo-router';
import { type ReactNode, useEffect } from 'react';
import { Notice } from '../components/ui/Notice';
import { Press } from '../components/ui/Press';
import { Txt } from '../components/ui/Txt';
import { OpenTicketProvider } from '../hooks/useTicket';
import { useTicketQuery } from '../services/ticketsApi';
import { type Shop, useShop } from '../shop/useShop';
import { ticketOpened } from '../store/editor';
import { useAppDispatch, useAppSelector } from '../store/store';

/** Loads a ticket into the editor unless it is there already. */
function useEditedTicket(id: string) {
  const dispatch = useAppDispatch();
  const kept = useTicketQuery(id);
  const open = useAppSelector((state) => state.editor.present?.id === id);
  useEffect(() => {
    if (kept.data && kept.data.ticket.id === id && !open) dispatch(ticketOpened(kept.data));
  }, [kept.data, id, open, dispatch]);
  return { open, loggedAs: kept.data?.loggedAs ?? null, failed: kept.isError && !open };
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
  if (!open) return <Notice title="Fetching the ticket" />;
  return <OpenTicketProvider loggedAs={loggedAs}>{children(shop)}</OpenTicketProvider>;
}
