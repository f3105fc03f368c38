import { newOrder, ORDER_STATES } from '@zt/core/model/order';
import type { OrderLine } from '@zt/core/model/ordersApi';
import { type Href, Link, useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable } from 'react-native';
import { AmongPlaces } from '../../components/AmongPlaces';
import { dueInWords, isLate } from '../../components/dueInWords';
import { OrderTape } from '../../components/OrderTape';
import { UndoBar } from '../../components/UndoBar';
import { Callout } from '../../components/ui/Callout';
import { Choice } from '../../components/ui/Choice';
import { ListScreen } from '../../components/ui/ListScreen';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { TextField } from '../../components/ui/TextField';
import { Txt } from '../../components/ui/Txt';
import { newId } from '../../hooks/newId';
import { today } from '../../hooks/today';
import { useOrdersInfiniteQuery } from '../../services/ordersApi';
import { SetAsideRows } from '../../shop/SetAsideRows';
import { putOrder, putOrderBack } from '../../store/shopActs';
import { useAppDispatch } from '../../store/store';
import { usePalette } from '../../theme/palette';

const SHOWN = [
  { id: 'open', name: 'open' },
  { id: 'all', name: 'all' },
  ...ORDER_STATES.map((id) => ({ id, name: id })),
] as const;
type Shown = (typeof SHOWN)[number]['id'];

function OrderRow({ line }: { line: OrderLine }) {
  const p = usePalette();
  const { order, customer, pieces, tickets, logged } = line;
  const what =
    tickets === 0
      ? 'no tickets yet'
      : `${pieces} ${pieces === 1 ? 'piece' : 'pieces'} on ${tickets} ${tickets === 1 ? 'ticket' : 'tickets'}${logged > 0 ? `, ${logged} done` : ''}`;
  const late = isLate(order, today());
  return (
    <Link href={`/orders/${order.id}` as Href} asChild>
      <Pressable
        aria-label={`${order.name}; ${customer || 'nobody named'}; ${order.state}; ${dueInWords(order.due)}${late ? ', late' : ''}; ${what}`}
        style={{
          flex: 1,
          gap: 4,
          paddingVertical: 12,
          borderBottomWidth: 1,
          borderColor: p.hairline,
          borderStyle: 'dashed',
        }}
      >
        <Row align="baseline" spread>
          <Stack grow>
            <Txt as="heading" level={2}>
              {order.name}
            </Txt>
          </Stack>
          <Txt as="strong" tone={late ? 'madder' : 'ink'}>
            {dueInWords(order.due)}
          </Txt>
        </Row>
        <Txt as="small" tone="graphite">
          {[customer, what].filter(Boolean).join(' · ')}
        </Txt>
        <OrderTape state={order.state} />
      </Pressable>
    </Link>
  );
}

/** The order book: what is promised to whom, until when, and how far it is. */
export function OrdersScreen() {
  const router = useRouter();
  const dispatch = useAppDispatch();
  const { removed } = useLocalSearchParams<{ removed?: string }>();
  const [sought, setSought] = useState('');
  const [shown, setShown] = useState<Shown>('open');
  const asked = {
    ...(sought.trim() ? { q: sought.trim() } : {}),
    ...(shown === 'all' ? {} : { state: shown }),
  };
  const { data, isError, fetchNextPage, hasNextPage, isFetching } = useOrdersInfiniteQuery(asked, {
    refetchOnMountOrArgChange: true,
  });
  const lines = data?.pages.flatMap(({ orders }) => orders) ?? [];
  const total = data?.pages[0]?.total ?? 0;
  const begin = () => {
    const order = newOrder(newId(), 'New order', today());
    dispatch(putOrder(order));
    router.push(`/orders/${order.id}`);
  };
  return (
    <AmongPlaces>
      <ListScreen
        title="Orders"
        subtitle={data ? `${total} ${total === 1 ? 'order' : 'orders'}` : 'The order book'}
        isHere={data !== undefined || isError}
        aside={<Press title="Customers" onPress={() => router.push('/customers')} />}
        items={lines}
        keyOf={({ order }) => order.id}
        row={(line) => <OrderRow line={line} />}
        rowWidth={336}
        onEnd={() => {
          if (hasNextPage && !isFetching) void fetchNextPage();
        }}
      >
        <SetAsideRows place="orders" />
        {removed ? (
          <UndoBar
            text="The order is off the book; its tickets stay on the bench."
            onPutBack={() => {
              dispatch(putOrderBack(removed));
              router.replace('/orders');
            }}
          />
        ) : null}
        {isError ? (
          <Txt tone="madder" live>
            The order book is with the shop’s computer, and it does not answer. Nothing is lost.
          </Txt>
        ) : null}
        <Row wrap>
          <Press kind="main" title="New order" onPress={begin} />
          <Press title="How the shop does" onPress={() => router.push('/weeks')} />
        </Row>
        <TextField
          label="Find an order"
          value={sought}
          onText={setSought}
          placeholder="what it is, or for whom"
        />
        <Choice label="Which orders" quiet small options={SHOWN} chosen={shown} onChoose={setShown} />
        {data && lines.length === 0 ? (
          <Callout tone="tape">
            <Txt>
              {sought || shown !== 'open'
                ? 'No order is like that.'
                : 'No order is open. An order holds its tickets, the day and the price that were promised, and what was brought.'}
            </Txt>
          </Callout>
        ) : null}
      </ListScreen>
    </AmongPlaces>
  );
}
