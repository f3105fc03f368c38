import { type ShoppingLine, shoppingList } from '@zt/core';
import { useMemo } from 'react';
import { View } from 'react-native';
import { amount } from '../../components/figures';
import { Callout } from '../../components/ui/Callout';
import { Txt } from '../../components/ui/Txt';
import { useBenchTickets } from '../../hooks/useBenchTickets';
import { useShop } from '../../shop/useShop';

const WORDS: Record<ShoppingLine['why'], (line: ShoppingLine) => string> = {
  missing: (line) => `none here; the bench needs ${amount(line.needed, line.unit)}`,
  short: (line) => `${amount(line.has, line.unit)} left; the bench needs ${amount(line.needed, line.unit)}`,
  low: (line) =>
    `${amount(line.has, line.unit)} left${line.needed > 0 ? `, ${amount(line.needed, line.unit)} of it for the bench` : ''}: nearly gone`,
};

/** What to buy: what the tickets on the bench need and the shelf has not, and rolls that are nearly gone. */
export function ShoppingList() {
  const { shelf, rules } = useShop();
  const tickets = useBenchTickets();
  const lines = useMemo(() => shoppingList(tickets, shelf, rules), [tickets, shelf, rules]);
  if (lines.length === 0) return null;
  return (
    <Callout tone="chalk">
      <Txt as="heading" level={2}>
        Shopping list
      </Txt>
      {lines.map((line) => (
        <View key={line.type} testID="to-buy">
          <Txt as="strong">{line.name}</Txt>
          <Txt as="small" tone={line.why === 'low' ? 'graphite' : 'madder'}>
            {WORDS[line.why](line)}
          </Txt>
          {line.tickets.length > 0 ? (
            <Txt as="small" tone="graphite">{`for ${line.tickets.join(', ')}`}</Txt>
          ) : null}
        </View>
      ))}
    </Callout>
  );
}
