import { say } from '@zt/core/base/units/phrase';
import { boundsAt } from '@zt/core/model/fields/bounds';
import { readField } from '@zt/core/model/fields/readField';
import { isNameTaken, SHELF_ITEMS, type Shelf, type ShelfNoun } from '@zt/core/model/shelf';
import { useState } from 'react';
import { Press } from '../components/ui/Press';
import { Row } from '../components/ui/Row';
import { Stack } from '../components/ui/Stack';
import { TextField } from '../components/ui/TextField';
import { Txt } from '../components/ui/Txt';
import { useIsExample } from '../example/useExample';
import { newId } from '../hooks/newId';
import { useShop } from '../shop/useShop';
import { putItem } from '../store/shopActs';
import { useAppDispatch } from '../store/store';

interface KeepAsProps<N extends ShelfNoun> {
  label: string;
  placeholder: string;
  noun: N;
  itemOf: (id: string, name: string) => Shelf[N][number];
}

/** Keeps something of this ticket on the shelf under a name, for the next time. */
export function KeepAs<N extends ShelfNoun>({ label, placeholder, noun, itemOf }: KeepAsProps<N>) {
  const { shelf, units } = useShop();
  const dispatch = useAppDispatch();
  const [name, setName] = useState('');
  const [kept, setKept] = useState('');
  const twice = name.trim() !== kept && isNameTaken(shelf[noun], { name });
  const bounds = boundsAt(SHELF_ITEMS[noun], 'name');
  const read = bounds && readField(name.trim(), bounds, units);
  const error = read?.state === 'unread' ? say(read.why, units) : null;
  // Nothing of an example is kept.
  if (useIsExample()) return null;
  const keep = () => {
    dispatch(putItem(noun, itemOf(newId(), name.trim())));
    setKept(name.trim());
    setName('');
  };
  return (
    <Stack gap={4}>
      <Row align="end">
        <TextField grow label={label} value={name} onText={setName} placeholder={placeholder} error={error} />
        <Press
          title="Keep"
          label={`${label}: keep`}
          disabled={name.trim() === '' || twice || error !== null}
          onPress={keep}
        />
      </Row>
      {twice ? (
        <Txt as="small" tone="madder" live>
          {`There is a “${name.trim()}” already. Keep this one under another name.`}
        </Txt>
      ) : null}
      {kept !== '' ? <Txt as="small" live>{`“${kept}” is on the shelf.`}</Txt> : null}
    </Stack>
  );
}
