import { type Href, Link, useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable } from 'react-native';
import { Callout } from '../../components/ui/Callout';
import { ListScreen } from '../../components/ui/ListScreen';
import { Press } from '../../components/ui/Press';
import { Stack } from '../../components/ui/Stack';
import { TextField } from '../../components/ui/TextField';
import { Txt } from '../../components/ui/Txt';
import { useCustomersQuery } from '../../services/ordersApi';
import { SetAsideRows } from '../../shop/SetAsideRows';
import { useCustomers } from '../../shop/useOrders';
import { usePalette } from '../../theme/palette';

/** The customers, by name, each leading to their page. */
export function CustomersScreen() {
  const p = usePalette();
  const router = useRouter();
  const { data, isError } = useCustomersQuery(undefined, { refetchOnMountOrArgChange: true });
  const customers = useCustomers();
  const [sought, setSought] = useState('');
  const found = customers.filter(({ name }) => name.toLowerCase().includes(sought.trim().toLowerCase()));
  const ordersOf = (id: string): string => {
    const line = data?.find(({ customer }) => customer.id === id);
    if (!line || line.orders === 0) return 'no orders';
    return `${line.orders} ${line.orders === 1 ? 'order' : 'orders'}${line.open > 0 ? `, ${line.open} open` : ''}`;
  };
  return (
    <ListScreen
      title="Customers"
      subtitle={`${customers.length} in all`}
      isHere={data !== undefined || isError}
      aside={<Press title="Back" onPress={() => router.replace('/orders')} />}
      items={found}
      keyOf={({ id }) => id}
      rowWidth={336}
      row={({ id, name }) => (
        <Link href={`/customers/${id}` as Href} asChild>
          <Pressable
            aria-label={`${name}: ${ordersOf(id)}`}
            style={{
              flex: 1,
              minHeight: 56,
              justifyContent: 'center',
              borderBottomWidth: 1,
              borderColor: p.hairline,
              borderStyle: 'dashed',
            }}
          >
            <Stack>
              <Txt as="strong">{name}</Txt>
              <Txt as="small" tone="graphite">
                {ordersOf(id)}
              </Txt>
            </Stack>
          </Pressable>
        </Link>
      )}
      onEnd={() => undefined}
    >
      <SetAsideRows place="customers" />
      {isError ? (
        <Txt tone="madder" live>
          The customers are with the shop’s computer, and it does not answer.
        </Txt>
      ) : null}
      {customers.length > 5 ? <TextField label="Find a customer" value={sought} onText={setSought} /> : null}
      {data && customers.length === 0 ? (
        <Callout tone="tape">
          <Txt>Nobody yet. A customer is added on the order that is theirs.</Txt>
        </Callout>
      ) : null}
    </ListScreen>
  );
}
