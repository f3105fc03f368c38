import { readerOf } from '@zt/core/model/houseRules';
import { inState, ORDER_STATES, type Order, OrderSchema } from '@zt/core/model/order';
import { useRouter } from 'expo-router';
import { dueInWords, isLate } from '../../components/dueInWords';
import { OrderTape } from '../../components/OrderTape';
import { Callout } from '../../components/ui/Callout';
import { Choice } from '../../components/ui/Choice';
import { FieldsContext } from '../../components/ui/fields';
import { MoneyField } from '../../components/ui/MoneyField';
import { Notice } from '../../components/ui/Notice';
import { Press } from '../../components/ui/Press';
import { Screen } from '../../components/ui/Screen';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { WordsField } from '../../components/ui/WordsField';
import { today } from '../../hooks/today';
import { useThing } from '../../hooks/useThing';
import { useOrderCostQuery } from '../../services/ordersApi';
import { History } from '../../shop/History';
import { OffersOn } from '../../shop/OffersOn';
import { type OpenOrder, useOrder } from '../../shop/useOrders';
import { useShop } from '../../shop/useShop';
import { putOrder, takeOrderOff } from '../../store/shopActs';
import { useAppDispatch } from '../../store/store';
import { CustomerOf } from './CustomerOf';
import { OrderMoney } from './OrderMoney';
import { OrderTickets } from './OrderTickets';

const STATES = ORDER_STATES.map((id) => ({ id, name: id }));

/** A day that is promised and gone already, or one before today that is only now promised. */
function DayNote({ order }: { order: Order }) {
  if (!isLate(order, today())) return null;
  return (
    <Callout tone="madder" role="note">
      <Txt>{`${dueInWords(order.due)} is past, and it is not handed over: agree on another day, or hand it over.`}</Txt>
    </Callout>
  );
}

function OrderFields({ open: { customer, tickets }, order }: { open: OpenOrder; order: Order }) {
  const { rules } = useShop();
  const dispatch = useAppDispatch();
  const router = useRouter();
  const { fields, put, refused } = useThing<Order>({
    thing: order,
    reader: readerOf(rules),
    schema: OrderSchema,
    onThing: (next) => dispatch(putOrder(next, order)),
  });
  const { data: cost } = useOrderCostQuery(order.id, { skip: tickets.length === 0 });
  const takeOff = () => {
    dispatch(takeOrderOff(order.id));
    router.replace({ pathname: '/orders', params: { removed: order.id } });
  };
  return (
    <FieldsContext.Provider value={fields}>
      <OffersOn thing={order} schema={OrderSchema} onThing={put} />
      {refused ? (
        <Txt tone="madder" live>
          {refused}
        </Txt>
      ) : null}
      <OrderTape state={order.state} />
      <Choice
        label="How far it is"
        quiet
        small
        options={STATES}
        chosen={order.state}
        onChoose={(state) => put(inState(order, state, today(), cost?.totalMinor))}
      />
      <DayNote order={order} />
      <OrderTickets order={order} customer={customer?.name ?? ''} tickets={tickets} />
      {tickets.length === 0 ? null : (
        <OrderMoney order={order} onPrice={(promisedMinor) => put({ ...order, promisedMinor })} />
      )}
      <Stack gap={10}>
        <Txt as="heading" level={2}>
          What was agreed
        </Txt>
        <WordsField
          label="What it is"
          at="name"
          value={order.name}
          onText={(name) => put({ ...order, name })}
        />
        <CustomerOf customer={customer} onCustomer={(customerId) => put({ ...order, customerId })} />
        <WordsField
          label="Promised for"
          at="due"
          value={order.due ?? ''}
          onText={(due) => put({ ...order, due })}
          placeholder="2026-12-24"
        />
        <MoneyField
          label="Promised price, all of it"
          at="promisedMinor"
          minor={order.promisedMinor}
          onMoney={(promisedMinor) => put({ ...order, promisedMinor })}
        />
        <WordsField
          label="What the customer brought"
          at="brought"
          value={order.brought}
          onText={(brought) => put({ ...order, brought })}
        />
        <WordsField label="Note" at="note" value={order.note} onText={(note) => put({ ...order, note })} />
      </Stack>
      <History noun="order" id={order.id} schema={OrderSchema} now={order} onBringBack={put} />
      <Press kind="link" title="Take this order off the book" onPress={takeOff} />
    </FieldsContext.Provider>
  );
}

/** One order: how far it is, its tickets, what it costs and brings, and what was agreed. */
export function OrderScreen({ id }: { id: string }) {
  const router = useRouter();
  const open = useOrder(id);
  const { order, customer, failed } = open;
  if (!order)
    return (
      <Notice title={failed ? 'This order cannot be opened' : 'Loading the order…'} isAwaited={!failed}>
        {failed ? (
          <>
            <Txt>It is not on the book, or the shop’s computer does not answer. Nothing was changed.</Txt>
            <Press kind="main" title="Back to the orders" onPress={() => router.replace('/orders')} />
          </>
        ) : null}
      </Notice>
    );
  return (
    <Screen
      title={order.name}
      subtitle={[customer?.name, dueInWords(order.due)].filter(Boolean).join(', ')}
      aside={<Press title="Back" onPress={() => router.replace('/orders')} />}
    >
      <OrderFields open={open} order={order} />
    </Screen>
  );
}
