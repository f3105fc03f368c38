import { type Customer, CustomerSchema } from '@zt/core/model/customer';
import { readerOf } from '@zt/core/model/houseRules';
import { newOrder } from '@zt/core/model/order';
import type { CustomerDetail, Erased } from '@zt/core/model/ordersApi';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { type Href, Link, useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { dueInWords } from '../../components/dueInWords';
import { OrderTape } from '../../components/OrderTape';
import { Disclosure } from '../../components/ui/Disclosure';
import { FileLink } from '../../components/ui/FileLink';
import { FieldsContext } from '../../components/ui/fields';
import { Notice } from '../../components/ui/Notice';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Ruled } from '../../components/ui/Ruled';
import { Screen } from '../../components/ui/Screen';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { WordsField } from '../../components/ui/WordsField';
import { newId } from '../../hooks/newId';
import { today } from '../../hooks/today';
import { useThing } from '../../hooks/useThing';
import { messageOf } from '../../services/messageOf';
import { customerFile, useCustomerQuery, useEraseCustomerMutation } from '../../services/ordersApi';
import { OffersOn } from '../../shop/OffersOn';
import { useCustomers } from '../../shop/useOrders';
import { useShop } from '../../shop/useShop';
import { putCustomer, putOrder } from '../../store/shopActs';
import { useAppDispatch } from '../../store/store';

function CustomerFields({ customer }: { customer: Customer }) {
  const { rules } = useShop();
  const dispatch = useAppDispatch();
  const { fields, put, refused } = useThing<Customer>({
    thing: customer,
    reader: readerOf(rules),
    schema: CustomerSchema,
    onThing: (next) => dispatch(putCustomer(next, customer)),
  });
  return (
    <FieldsContext.Provider value={fields}>
      <OffersOn thing={customer} schema={CustomerSchema} onThing={put} />
      {refused ? (
        <Txt tone="madder" live>
          {refused}
        </Txt>
      ) : null}
      <WordsField
        label="Name"
        at="name"
        value={customer.name}
        onText={(name) => put({ ...customer, name })}
      />
      <WordsField
        label="How to reach them"
        at="contact"
        value={customer.contact}
        onText={(contact) => put({ ...customer, contact })}
      />
      <WordsField
        label="To keep in mind"
        at="note"
        value={customer.note}
        onText={(note) => put({ ...customer, note })}
      />
    </FieldsContext.Provider>
  );
}

function Orders({ orders }: Pick<CustomerDetail, 'orders'>) {
  return (
    <Stack gap={6}>
      <Txt as="heading" level={2}>
        {orders.length === 0 ? 'No orders yet' : 'Orders'}
      </Txt>
      {orders.map(({ order, pieces }) => (
        <Ruled key={order.id} room={8}>
          <Link href={`/orders/${order.id}` as Href} style={{ minHeight: 44, justifyContent: 'center' }}>
            <Txt as="strong" tone="chalk">
              {order.name}
            </Txt>
          </Link>
          <Txt
            as="small"
            tone="graphite"
          >{`${dueInWords(order.due)}, ${pieces} ${pieces === 1 ? 'piece' : 'pieces'}`}</Txt>
          <OrderTape state={order.state} />
        </Ruled>
      ))}
    </Stack>
  );
}

/** What was made for them before, each to be looked at, and made again from its entry. */
function MadeBefore({ made }: Pick<CustomerDetail, 'made'>) {
  if (made.length === 0) return null;
  return (
    <Stack gap={6}>
      <Txt as="heading" level={2}>
        Made before
      </Txt>
      {made.map(({ entryId, name, loggedAt, pieces }) => (
        <Row key={entryId} align="middle" spread>
          <Stack grow>
            <Txt as="strong">{name || 'A piece'}</Txt>
            <Txt
              as="small"
              tone="graphite"
            >{`${format(parseISO(loggedAt), 'd MMM yyyy')}, ${pieces} ${pieces === 1 ? 'piece' : 'pieces'}`}</Txt>
          </Stack>
          <Link
            href={`/logbook/${entryId}` as Href}
            aria-label={`Again: ${name || 'a piece'}`}
            style={{ minHeight: 44, minWidth: 44, justifyContent: 'center' }}
          >
            <Txt as="label" tone="chalk">
              again
            </Txt>
          </Link>
        </Row>
      ))}
    </Stack>
  );
}

const count = (n: number, what: string): string => `${n} ${what}${n === 1 ? '' : 's'}`;

/** What an erasing did, and what it could not reach. */
function ErasedNote({ erased }: { erased: Erased }) {
  const router = useRouter();
  return (
    <Notice title="Erased">
      <Txt>{`Gone from ${count(erased.orders, 'order')}, ${count(erased.tickets, 'ticket')} and ${erased.entries} ${erased.entries === 1 ? 'entry' : 'entries'} of the logbook. What was made, and how, is kept.`}</Txt>
      <Txt>
        {erased.backups > 0
          ? `${count(erased.backups, 'backup')} made before still ${erased.backups === 1 ? 'holds' : 'hold'} the name. They make way for newer ones; whoever has to be sure takes them away, from House rules’ folder.`
          : 'No backup holds the name.'}
      </Txt>
      <Txt>Photos, and papers that were printed, are not looked through.</Txt>
      <Press kind="main" title="Back to the customers" onPress={() => router.replace('/customers')} />
    </Notice>
  );
}

interface PersonalDataProps {
  customer: Customer;
  onErased: (erased: Erased) => void;
}

/** What a person may ask of their data: all of it as a file, or that it is erased. */
function PersonalData({ customer, onErased }: PersonalDataProps) {
  const [erase, { isLoading, error }] = useEraseCustomerMutation();
  const go = async () => {
    const { data } = await erase(customer.id);
    if (data) onErased(data);
  };
  return (
    <Disclosure title="Their data" label="Their data: export, erase">
      <Txt>All that is kept of them, as one file:</Txt>
      <Row wrap>
        <FileLink href={customerFile(customer.id)} name="Export as JSON" fileName="customer.json" />
      </Row>
      <Txt>
        Erased, their name is gone from orders, tickets, the logbook and all earlier states; names that were
        stitched for them, too. What was made stays, without them. This is the one thing here that nobody can
        undo.
      </Txt>
      <Press title={`Erase ${customer.name} for good`} disabled={isLoading} onPress={() => void go()} />
      {error ? (
        <Txt tone="madder" live>
          {messageOf(error, 'The shop’s computer does not answer: nothing was erased.')}
        </Txt>
      ) : null}
    </Disclosure>
  );
}

/** One customer: how to reach them, their orders, what was made before, and what is kept of them. */
export function CustomerScreen({ id }: { id: string }) {
  const router = useRouter();
  const dispatch = useAppDispatch();
  const [erased, setErased] = useState<Erased | null>(null);
  const { currentData: data, isError } = useCustomerQuery(id, {
    refetchOnMountOrArgChange: true,
    skip: erased !== null,
  });
  const customer = useCustomers().find((one) => one.id === id) ?? null;
  if (erased) return <ErasedNote erased={erased} />;
  if (!customer)
    return (
      <Notice title={isError ? 'There is no such customer' : 'Loading the customer…'} isAwaited={!isError}>
        <Press kind="main" title="Back to the customers" onPress={() => router.replace('/customers')} />
      </Notice>
    );
  const begin = () => {
    const order = { ...newOrder(newId(), 'New order', today()), customerId: id };
    dispatch(putOrder(order));
    router.push(`/orders/${order.id}`);
  };
  return (
    <Screen
      title={customer.name}
      subtitle="Customer"
      aside={<Press title="Back" onPress={() => router.replace('/customers')} />}
    >
      <Row wrap>
        <Press kind="main" title="New order for them" onPress={begin} />
      </Row>
      <Orders orders={data?.orders ?? []} />
      <MadeBefore made={data?.made ?? []} />
      <View style={{ gap: 10 }}>
        <CustomerFields customer={customer} />
      </View>
      <PersonalData customer={customer} onErased={setErased} />
    </Screen>
  );
}
