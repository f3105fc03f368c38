import { MOST_NAMES } from '@zt/core/model/ticket/designBounds';
import { type ReadNames, readNames } from '@zt/core/table/names/readNames';
import { useState } from 'react';
import { countOf } from '../../components/figures';
import { Callout } from '../../components/ui/Callout';
import { FilePress } from '../../components/ui/FilePress';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { TextField } from '../../components/ui/TextField';
import { Txt } from '../../components/ui/Txt';
import { useTicket } from '../../hooks/useTicket';
import { type Decoded, decoded } from '../../services/decoded';
import { WhichReads } from '../../shop/WhichReads';
import { useNames } from './useNames';

/** Names as they are typed, pasted or read from a file; what is not taken stays where it was typed. */
export function NameList() {
  const { rows, add } = useNames();
  const { piece } = useTicket('piece');
  const [text, setText] = useState('');
  const [read, setRead] = useState<ReadNames | null>(null);
  const [asked, setAsked] = useState<Decoded[]>([]);
  const take = (list: string) => {
    const found = readNames(list, { sizes: piece.sizes.map(({ name }) => name), there: rows.length });
    if (found.names.length > 0) add(found.names);
    setRead(found);
    setText(found.refused.map((line) => line.text).join('\n'));
    setAsked([]);
  };
  const open = async (file: File) => {
    const texts = decoded(new Uint8Array(await file.arrayBuffer()));
    const [only] = texts;
    if (only && texts.length === 1) take(only.text);
    else setAsked(texts);
  };
  return (
    <Stack gap={8}>
      <TextField
        label={rows.length === 0 ? 'Names, each on a line of its own' : 'More names, each on a line'}
        value={text}
        onText={setText}
        multiline
        placeholder={'Alma\nBo\nAnna Katharina'}
        hint={
          piece.sizes.length > 0
            ? `A size after a comma puts a name on it: Alma, ${piece.sizes[0]?.name ?? ''}`
            : `Typed, or pasted from a list; a spreadsheet’s file has a column “name”. At most ${MOST_NAMES}.`
        }
      />
      <Row wrap>
        <Press
          kind={rows.length === 0 ? 'main' : 'plain'}
          title="Put them on the list"
          disabled={text.trim() === ''}
          onPress={() => take(text)}
        />
        <FilePress
          title="From a file"
          label="List of names"
          accept=".csv,.tsv,.txt,text/csv,text/plain"
          onFile={(file) => void open(file)}
        />
      </Row>
      {asked.length > 0 ? <WhichReads texts={asked} onText={(one) => take(one.text)} /> : null}
      {read ? <Taken read={read} /> : null}
    </Stack>
  );
}

/** How many were taken, and each line that was not with why. */
function Taken({ read: { names, refused } }: { read: ReadNames }) {
  return (
    <Stack gap={6} role="status">
      <Txt as="small">
        {names.length === 0 && refused.length === 0
          ? 'There are no names in this list.'
          : `${countOf(names.length, 'name')} put on the list.`}
      </Txt>
      {refused.length > 0 ? (
        <Callout tone="madder" gap={4}>
          <Txt as="strong">{`${countOf(refused.length, 'line')} not taken; ${refused.length === 1 ? 'it stands' : 'they stand'} above to be mended.`}</Txt>
          {refused.map(({ line, why }) => (
            <Txt key={line} as="small">{`Line ${line}: ${why}.`}</Txt>
          ))}
        </Callout>
      ) : null}
    </Stack>
  );
}
