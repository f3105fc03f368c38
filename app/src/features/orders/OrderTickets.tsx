import type { Order } from '@zt/core/model/order';
import type { OrderedTicket } from '@zt/core/model/ordersApi';
import { STAGES } from '@zt/core/model/stages';
import type { Ticket } from '@zt/core/model/ticket';
import { PIECE_KINDS } from '@zt/core/stages/piece/kinds/index';
import { type Href, Link, useRouter } from 'expo-router';
import { Pressable } from 'react-native';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { announce } from '../../everyone/announce';
import { useBench } from '../../hooks/useBenchTickets';
import { ticketsApi } from '../../services/ticketsApi';
import { ticketQueued } from '../../store/editor';
import { useAppDispatch } from '../../store/store';
import { usePalette } from '../../theme/palette';

const nameOf = ({ name, kind }: Pick<OrderedTicket, 'name' | 'kind'>): string =>
  name || (PIECE_KINDS[kind as Ticket['piece']['kind']]?.name ?? 'a piece');

const standOf = ({ loggedAs, onBench, settled }: OrderedTicket): string => {
  if (loggedAs !== null) return 'in the logbook';
  if (!onBench) return 'off the bench';
  return settled === 0 ? 'not begun' : `${settled} of ${STAGES.length} stages settled`;
};

function TicketLine({ ticket }: { ticket: OrderedTicket }) {
  const p = usePalette();
  const href = (ticket.loggedAs ? `/logbook/${ticket.loggedAs}` : `/ticket/${ticket.id}/piece`) as Href;
  return (
    <Link href={href} asChild>
      <Pressable
        aria-label={`${nameOf(ticket)}: ${ticket.samePieceAs ? 'on the same piece' : ticket.pieces}, ${standOf(ticket)}`}
        style={{ minHeight: 52, justifyContent: 'center', borderBottomWidth: 1, borderColor: p.hairline }}
      >
        <Row align="middle" spread>
          <Stack grow>
            <Txt as="strong">{nameOf(ticket)}</Txt>
            <Txt as="small" tone={ticket.loggedAs ? 'moss' : 'graphite'}>
              {standOf(ticket)}
            </Txt>
          </Stack>
          <Txt as="figure">{ticket.samePieceAs ? 'same piece' : `× ${ticket.pieces}`}</Txt>
        </Row>
      </Pressable>
    </Link>
  );
}

/** Tickets of the bench that belong to no order yet: one tap puts one on this. */
function FromBench({ order, customer }: { order: Order; customer: string }) {
  const { kept } = useBench();
  const dispatch = useAppDispatch();
  const free = kept.filter(({ ticket, loggedAs }) => ticket.orderId === null && loggedAs === null);
  if (free.length === 0) return null;
  const take = ({ ticket, rev }: (typeof free)[number]) => {
    const next = {
      ...ticket,
      orderId: order.id,
      customer: ticket.customer || customer,
      due: ticket.due ?? order.due,
    };
    dispatch(ticketQueued({ ticket: next, base: ticket, rev }));
    announce(`${nameOf({ name: ticket.name, kind: ticket.piece.kind })} is on this order.`);
  };
  return (
    <Disclosure title={`Take one from the bench: ${free.length}`} label="Take a ticket from the bench">
      <Stack gap={6}>
        {free.map((one) => (
          <Press
            key={one.ticket.id}
            title={nameOf({ name: one.ticket.name, kind: one.ticket.piece.kind })}
            onPress={() => take(one)}
          />
        ))}
      </Stack>
    </Disclosure>
  );
}

/** Which tickets are more designs on the pieces of another: one bare piece for both, made one after the other. */
function SamePieces({ tickets }: { tickets: readonly OrderedTicket[] }) {
  const { kept } = useBench();
  const dispatch = useAppDispatch();
  const open = tickets.filter(({ loggedAs, onBench }) => loggedAs === null && onBench);
  if (open.length < 2) return null;
  const hasOthersOn = (id: string) => open.some(({ samePieceAs }) => samePieceAs === id);
  const put = async (id: string, samePieceAs: string | null) => {
    // Of a long bench it may stand on a page that was not read yet.
    const one =
      kept.find(({ ticket }) => ticket.id === id) ??
      (await dispatch(ticketsApi.endpoints.ticket.initiate(id, { subscribe: false }))).data;
    if (!one) return announce('The shop’s computer does not answer: nothing was changed.');
    dispatch(ticketQueued({ ticket: { ...one.ticket, samePieceAs }, base: one.ticket, rev: one.rev }));
  };
  return (
    <Disclosure title="Several designs on one piece" label="Several designs on one piece">
      <Stack gap={10}>
        {open
          .filter(({ id }) => !hasOthersOn(id))
          .map((ticket) => (
            <Choice
              key={ticket.id}
              label={`${nameOf(ticket)} goes on`}
              quiet
              small
              options={[
                { id: '', name: 'a piece of its own' },
                ...open
                  .filter(({ id, samePieceAs }) => id !== ticket.id && samePieceAs === null)
                  .map((other) => ({ id: other.id, name: `that of ${nameOf(other)}` })),
              ]}
              chosen={ticket.samePieceAs ?? ''}
              onChoose={(id) => void put(ticket.id, id === '' ? null : id)}
            />
          ))}
      </Stack>
    </Disclosure>
  );
}

interface OrderTicketsProps {
  order: Order;
  customer: string;
  tickets: readonly OrderedTicket[];
}

/** The tickets of an order, each leading to where it stands, and the ways to add one. */
export function OrderTickets({ order, customer, tickets }: OrderTicketsProps) {
  const router = useRouter();
  return (
    <Stack gap={8}>
      <Txt as="heading" level={2}>
        {tickets.length === 0 ? 'No tickets yet' : `Tickets: ${tickets.length}`}
      </Txt>
      {tickets.map((ticket) => (
        <TicketLine key={ticket.id} ticket={ticket} />
      ))}
      <Row wrap>
        <Press
          title="Start a piece for it"
          onPress={() => router.push({ pathname: '/new', params: { order: order.id } })}
        />
      </Row>
      <SamePieces tickets={tickets} />
      <FromBench order={order} customer={customer} />
    </Stack>
  );
}
