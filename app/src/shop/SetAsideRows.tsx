import type { SetAside } from '@zt/core/model/api';
import { useState } from 'react';
import { UndoBar } from '../components/UndoBar';
import { Callout } from '../components/ui/Callout';
import { Press } from '../components/ui/Press';
import { Row } from '../components/ui/Row';
import { Txt } from '../components/ui/Txt';
import {
  useMendRowMutation,
  useRemoveRowMutation,
  useRestoreRowMutation,
  useSetAsideQuery,
} from '../services/setAsideApi';

/** Of what there is one of in a shop, what it is called. */
const WHOLE: Partial<Record<SetAside['place'], string>> = {
  day: 'The day’s plan',
  rules: 'The set of house rules',
};

/** What of a page is kept and cannot be read: each named, with a way to mend it or take it away. */
export function SetAsideRows({ place }: { place: SetAside['place'] }) {
  const { data } = useSetAsideQuery();
  const [mend, mending] = useMendRowMutation();
  const [remove] = useRemoveRowMutation();
  const [restore] = useRestoreRowMutation();
  const [removed, setRemoved] = useState<SetAside | null>(null);
  const rows = (data ?? []).filter((row) => row.place === place);
  return (
    <>
      {removed ? (
        <UndoBar
          text={`“${removed.name}” is taken away.`}
          onPutBack={() => {
            void restore(removed);
            setRemoved(null);
          }}
        />
      ) : null}
      {rows.map((row) => (
        <Callout tone="madder" key={row.id} role="alert">
          <Txt as="strong">{`${WHOLE[row.place] ?? `“${row.name}”`} cannot be read, and is set aside`}</Txt>
          <Txt as="small">{`${row.why} All else is as it was.`}</Txt>
          <Row wrap>
            {row.canMend ? (
              <Press
                title="Mend it"
                label={`Mend ${row.name}: what was out of bounds stays beside its field`}
                onPress={() => void mend(row)}
              />
            ) : null}
            <Press
              kind="link"
              title="Take it away"
              label={`Take ${row.name} away`}
              onPress={() => {
                void remove(row);
                setRemoved(row);
              }}
            />
          </Row>
        </Callout>
      ))}
      {mending.isError ? (
        <Txt tone="madder" live>
          It could not be mended. It is kept as it is.
        </Txt>
      ) : null}
    </>
  );
}
