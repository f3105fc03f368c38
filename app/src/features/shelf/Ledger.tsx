import { say } from '@zt/core/base/units/phrase';
import { boughtOf } from '@zt/core/ledger/bought';
import { movementInWords } from '@zt/core/ledger/inWords';
import { boundsAt } from '@zt/core/model/fields/bounds';
import { readField } from '@zt/core/model/fields/readField';
import type { Movement } from '@zt/core/model/movement';
import { SHELF_ITEMS, type Shelf, type ShelfNoun } from '@zt/core/model/shelf';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { type Href, Link } from 'expo-router';
import { useState } from 'react';
import { countOf } from '../../components/figures';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Ruled } from '../../components/ui/Ruled';
import { Stack } from '../../components/ui/Stack';
import { TextField } from '../../components/ui/TextField';
import { Txt } from '../../components/ui/Txt';
import { useMovementsQuery } from '../../services/shelfApi';
import { useShop } from '../../shop/useShop';
import { putItem } from '../../store/shopActs';
import { useAppDispatch } from '../../store/store';

interface OfItem<N extends ShelfNoun> {
  noun: N;
  item: Shelf[N][number];
}

/** Adds what was bought to what is there, whatever was used meanwhile. */
function Bought<N extends ShelfNoun>({ noun, item }: OfItem<N>) {
  const { units } = useShop();
  const dispatch = useAppDispatch();
  const [text, setText] = useState('');
  const field = boughtOf(item);
  const bounds = field && boundsAt(SHELF_ITEMS[noun], field.figure);
  if (!field || !bounds) return null;
  const read = text.trim() === '' ? null : readField(text, bounds, units);
  const error = read?.state === 'unread' ? say(read.why, units) : null;
  const add = () => {
    if (read?.state !== 'read') return;
    dispatch(putItem(noun, { ...item, [field.figure]: field.left + Number(read.value) }, 'bought'));
    setText('');
  };
  return (
    <Row align="end">
      <TextField
        grow
        label={`Bought, ${field.unit}`}
        value={text}
        onText={setText}
        keyboard="decimal"
        error={error}
      />
      <Press title="Add it" label="Add what was bought" disabled={read?.state !== 'read'} onPress={add} />
    </Row>
  );
}

function Line<N extends ShelfNoun>({ noun, item, movement }: OfItem<N> & { movement: Movement }) {
  const { units } = useShop();
  const { at, by, entryId } = movement;
  return (
    <Ruled room={4}>
      <Row wrap spread>
        <Txt>{say(movementInWords(noun, item, movement), units)}</Txt>
        <Txt as="small" tone="graphite">
          {[format(parseISO(at), 'd MMM, HH:mm'), ...(entryId || by === '' ? [] : [`from ${by}`])].join(', ')}
        </Txt>
        {entryId ? (
          <Link href={`/logbook/${entryId}` as Href}>
            <Txt as="label" tone="chalk">
              the entry
            </Txt>
          </Link>
        ) : null}
      </Row>
    </Ruled>
  );
}

function Lines<N extends ShelfNoun>({ noun, item }: OfItem<N>) {
  const { data, isError } = useMovementsQuery(item.id);
  if (isError) return <Txt>The shop’s computer does not answer; it keeps these lines.</Txt>;
  if (!data) return <Txt>Loading the lines…</Txt>;
  return (
    <Stack gap={0} role="list" aria-label={countOf(data.length, 'line')}>
      {data.map((movement) => (
        <Line key={movement.id} noun={noun} item={item} movement={movement} />
      ))}
    </Stack>
  );
}

/** What came and went of an item: each purchase, use and recount, of which its amounts are the sum. */
export function Ledger<N extends ShelfNoun>({ noun, item }: OfItem<N>) {
  return (
    <Stack gap={8}>
      <Bought noun={noun} item={item} />
      <Disclosure title="What came and went">
        <Lines noun={noun} item={item} />
      </Disclosure>
    </Stack>
  );
}
