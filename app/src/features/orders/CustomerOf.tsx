import type { Customer } from '@zt/core/model/customer';
import { type Href, Link } from 'expo-router';
import { useState } from 'react';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { TextField } from '../../components/ui/TextField';
import { Txt } from '../../components/ui/Txt';
import { newId } from '../../hooks/newId';
import { useCustomers } from '../../shop/useOrders';
import { putCustomer } from '../../store/shopActs';
import { useAppDispatch } from '../../store/store';

const MOST_OFFERED = 5;

interface CustomerOfProps {
  customer: Customer | null;
  onCustomer: (id: string | null) => void;
}

/** For whom an order is: one who is known, or a new name. */
export function CustomerOf({ customer, onCustomer }: CustomerOfProps) {
  const customers = useCustomers();
  const dispatch = useAppDispatch();
  const [typed, setTyped] = useState('');
  const name = typed.trim();
  const isLike = (one: Customer) => one.name.toLowerCase().includes(name.toLowerCase());
  const offered = name === '' ? [] : customers.filter(isLike).slice(0, MOST_OFFERED);
  const isKnown = customers.some((one) => one.name.toLowerCase() === name.toLowerCase());
  const take = (id: string) => {
    setTyped('');
    onCustomer(id);
  };
  const add = () => {
    const added: Customer = { id: newId(), name: name.slice(0, 120), contact: '', note: '' };
    dispatch(putCustomer(added));
    take(added.id);
  };
  if (customer)
    return (
      <Row align="middle" wrap gap={12}>
        <Stack grow>
          <Txt as="label" tone="graphite">
            For whom
          </Txt>
          <Txt as="strong">{customer.name}</Txt>
        </Stack>
        <Link href={`/customers/${customer.id}` as Href} style={{ minHeight: 44, justifyContent: 'center' }}>
          <Txt as="label" tone="chalk">
            their page
          </Txt>
        </Link>
        <Press kind="link" title="somebody else" onPress={() => onCustomer(null)} />
      </Row>
    );
  return (
    <Stack gap={6}>
      <TextField
        label="For whom"
        value={typed}
        onText={setTyped}
        placeholder="a name"
        hint="Only what the work needs: a name is enough."
      />
      <Row wrap>
        {offered.map((one) => (
          <Press key={one.id} title={one.name} onPress={() => take(one.id)} />
        ))}
        {name !== '' && !isKnown ? <Press title={`New: ${name}`} onPress={add} /> : null}
      </Row>
    </Stack>
  );
}
