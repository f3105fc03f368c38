import { say } from '@zt/core/base/units/phrase';
import type { Earlier, HistoryNoun } from '@zt/core/model/history';
import { differences } from '@zt/core/sync/history/differences';
import { format } from 'date-fns/format';
import { isToday } from 'date-fns/isToday';
import { parseISO } from 'date-fns/parseISO';
import { type ReactNode, useState } from 'react';
import { countOf } from '../components/figures';
import { UndoBar } from '../components/UndoBar';
import { Disclosure } from '../components/ui/Disclosure';
import { Press } from '../components/ui/Press';
import { Row } from '../components/ui/Row';
import { Ruled } from '../components/ui/Ruled';
import { Stack } from '../components/ui/Stack';
import { Txt } from '../components/ui/Txt';
import { useEarlierQuery, useEarlierStateQuery } from '../services/historyApi';
import { useShop } from './useShop';

interface HistoryProps<T> {
  noun: HistoryNoun;
  id: string;
  schema: Parameters<typeof differences>[0];
  /** As it is now. */
  now: T;
  onBringBack: (value: T) => void;
  /** An earlier state with what does not come back as it is now; all of it comes back where nothing is said. */
  today?: (value: T) => T;
  /** How an earlier state looks. */
  draw?: (value: T) => ReactNode;
}

/** So many differences are told of a state. */
const MOST_TOLD = 12;

const timeOf = (at: string): string => {
  const time = parseISO(at);
  return format(time, isToday(time) ? 'HH:mm' : 'd MMM yyyy, HH:mm');
};

/** One earlier state: how it looked, in what it is not as it is now, and the way back to it. */
function EarlierOne<T>({
  earlier,
  schema,
  now,
  draw,
  today = (value) => value,
  onBringBack,
}: Omit<HistoryProps<T>, 'noun' | 'id'> & { earlier: Earlier }) {
  const { units } = useShop();
  const { data, isError } = useEarlierStateQuery(earlier.id);
  if (isError)
    return <Txt>It cannot be read here: the shop’s computer does not answer, or it is too old.</Txt>;
  if (!data) return <Txt>Loading it…</Txt>;
  const value = today(data.value as T);
  const told = differences(schema, value, now);
  return (
    <Row>
      {draw?.(value)}
      <Stack grow gap={4}>
        {told.length === 0 ? <Txt>It is so now.</Txt> : null}
        {told.slice(0, MOST_TOLD).map((line, i) => (
          <Txt key={i} as="small">
            {say(line, units)}
          </Txt>
        ))}
        {told.length > MOST_TOLD ? <Txt as="small">{`and ${told.length - MOST_TOLD} more`}</Txt> : null}
        {told.length === 0 ? null : <Press title="Bring it back" onPress={() => onBringBack(value)} />}
      </Stack>
    </Row>
  );
}

function Lines<T>({ noun, id, ...one }: HistoryProps<T>) {
  const { data, isError } = useEarlierQuery({ noun, id }, { refetchOnMountOrArgChange: true });
  const [seen, setSeen] = useState<string | null>(null);
  const [before, setBefore] = useState<{ value: T; text: string } | null>(null);
  if (isError) return <Txt>The shop’s computer does not answer; it keeps these.</Txt>;
  if (!data) return <Txt>Loading them…</Txt>;
  return (
    <Stack gap={0} role="list" aria-label={countOf(data.length, 'earlier state')}>
      {data.length === 0 ? <Txt>It was not changed since it was made.</Txt> : null}
      {before ? (
        <UndoBar
          text={before.text}
          onPutBack={() => {
            one.onBringBack(before.value);
            setBefore(null);
          }}
        />
      ) : null}
      {data.map((earlier) => {
        const text = `before ${timeOf(earlier.at)}`;
        return (
          <Ruled key={earlier.id} room={4}>
            <Press
              kind="link"
              title={`${text}${earlier.by === '' ? '' : `, when ${earlier.by} changed it`}`}
              onPress={() => setSeen(seen === earlier.id ? null : earlier.id)}
            />
            {seen === earlier.id ? (
              <EarlierOne
                {...one}
                earlier={earlier}
                onBringBack={(value) => {
                  setBefore({ value: one.now, text: `It is as it was ${text}.` });
                  one.onBringBack(value);
                }}
              />
            ) : null}
          </Ruled>
        );
      })}
    </Stack>
  );
}

/** How something was before each sitting in which it was changed, and the way back. */
export const History = <T,>(props: HistoryProps<T>) => (
  <Disclosure title="How it was earlier">
    <Lines {...props} />
  </Disclosure>
);
