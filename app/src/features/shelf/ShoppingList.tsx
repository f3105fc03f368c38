import type { HowFar } from '@zt/core/base/inSteps';
import { bySupplier } from '@zt/core/business/shopping/bySupplier';
import { type ShoppingLine, shoppingList } from '@zt/core/business/shopping/shopping';
import { useRouter } from 'expo-router';
import { useCallback } from 'react';
import { View } from 'react-native';
import { dueInWords } from '../../components/dueInWords';
import { amount } from '../../components/figures';
import { HowFarWord } from '../../components/HowFarWord';
import { Callout } from '../../components/ui/Callout';
import { FileLink } from '../../components/ui/FileLink';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Txt } from '../../components/ui/Txt';
import { useBenchTickets } from '../../hooks/useBenchTickets';
import { useInSlices } from '../../hooks/useInSlices';
import { useShop } from '../../shop/useShop';

const WORDS: Record<ShoppingLine['why'], (line: ShoppingLine) => string> = {
  missing: (line) => `none here; the bench needs ${amount(line.needed, line.unit)}`,
  short: (line) => `${amount(line.has, line.unit)} left; the bench needs ${amount(line.needed, line.unit)}`,
  low: (line) =>
    `${amount(line.has, line.unit)} left${line.needed > 0 ? `, ${amount(line.needed, line.unit)} of it for the bench` : ''}: nearly gone`,
};

/** For which ticket there is no more of it, and until when that one is promised. */
const runsOutWords = ({ runsOut, why }: ShoppingLine): string =>
  runsOut && why === 'short'
    ? `; runs out at ${runsOut.ticket}${runsOut.due ? `, due ${dueInWords(runsOut.due)}` : ''}`
    : '';

function Line({ line }: { line: ShoppingLine }) {
  return (
    <View testID="to-buy">
      <Txt as="strong">{line.name}</Txt>
      <Txt as="small" tone={line.why === 'low' ? 'graphite' : 'madder'}>
        {`${WORDS[line.why](line)}${runsOutWords(line)}`}
      </Txt>
      {line.tickets.length > 0 ? (
        <Txt as="small" tone="graphite">{`for ${line.tickets.join(', ')}`}</Txt>
      ) : null}
    </View>
  );
}

/** What the bench needs and the shelf has not, once it is gone through; null before. How far that is, meanwhile. */
export function useShoppingList() {
  const { shelf, rules } = useShop();
  const tickets = useBenchTickets();
  const list = useCallback(() => shoppingList(tickets ?? [], shelf, rules), [tickets, shelf, rules]);
  const { result, howFar } = useInSlices(tickets && list);
  return { lines: result, howFar };
}

/** What to buy, by whom it is bought from: what the bench needs and the shelf has not, and rolls that are nearly gone. */
export function ShoppingList({ lines, howFar }: { lines: readonly ShoppingLine[]; howFar: HowFar | null }) {
  const router = useRouter();
  const groups = bySupplier(lines);
  return (
    <>
      <HowFarWord howFar={howFar} />
      {lines.length > 0 ? (
        <Callout tone="chalk">
          <Txt as="heading" level={2}>
            Shopping list
          </Txt>
          {groups.map(({ supplier, lines: own }) => (
            <View key={supplier} style={{ gap: 6 }}>
              {groups.length > 1 || supplier !== '' ? (
                <Txt as="label" level={3}>
                  {supplier || 'Bought from nobody named'}
                </Txt>
              ) : null}
              {own.map((line) => (
                <Line key={line.type} line={line} />
              ))}
            </View>
          ))}
          <Row wrap>
            <FileLink href="/api/day/shopping.csv" name="As a table (CSV)" />
          </Row>
        </Callout>
      ) : null}
      <Row wrap>
        <Press title="Cut and buy for the bench" onPress={() => router.push('/cutting')} />
      </Row>
    </>
  );
}
