import { type ReadPalette, readThreads, threadsToCsv, threadsToPalette } from '@zt/core/colour/palette';
import { createElement, useRef, useState } from 'react';
import { View } from 'react-native';
import { UndoBar } from '../../components/UndoBar';
import { FileLink } from '../../components/ui/FileLink';
import { Press } from '../../components/ui/Press';
import { Txt } from '../../components/ui/Txt';
import { newId } from '../../hooks/newId';
import { useShop } from '../../hooks/useShop';
import { usePutItemMutation, useRemoveItemMutation } from '../../services/api';

const asFile = (type: string, text: string) => `data:${type};charset=utf-8,${encodeURIComponent(text)}`;

/** Threads brought in from a file, and those that were here already. */
function useBringIn() {
  const { shelf } = useShop();
  const [put] = usePutItemMutation({ fixedCacheKey: 'shelf' });
  const [remove] = useRemoveItemMutation();
  const [brought, setBrought] = useState<{ ids: string[]; known: number } | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const take = async (read: ReadPalette) => {
    setBrought(null);
    if (!read.ok) return setRefusal(read.message);
    setRefusal(null);
    const owned = new Set(shelf.threads.map((t) => `${t.name} ${t.hex.toUpperCase()}`));
    const fresh = read.threads.filter((t) => !owned.has(`${t.name} ${t.hex.toUpperCase()}`));
    const ids: string[] = [];
    for (const thread of fresh) {
      const id = newId();
      ids.push(id);
      await put({ noun: 'threads', item: { id, ...thread } as { id: string } });
    }
    setBrought({ ids, known: read.threads.length - fresh.length });
  };
  const putBack = async () => {
    for (const id of brought?.ids ?? []) await remove({ noun: 'threads', id });
    setBrought(null);
  };
  return { take, putBack, brought, refusal };
}

/** The threads as a file, and from one: CSV, or open palette text. */
export function ThreadFiles() {
  const { shelf } = useShop();
  const { take, putBack, brought, refusal } = useBringIn();
  const input = useRef<HTMLInputElement>(null);
  return (
    <View style={{ gap: 8 }}>
      <View style={{ flexDirection: 'row', gap: 8, flexWrap: 'wrap' }}>
        {createElement('input', {
          ref: input,
          type: 'file',
          accept: '.csv,.txt,text/csv,text/plain',
          'aria-label': 'Thread list',
          style: { display: 'none' },
          onChange: (event: { target: HTMLInputElement }) => {
            const file = event.target.files?.[0];
            event.target.value = '';
            if (file) void file.text().then((text) => take(readThreads(text)));
          },
        })}
        <Press
          title="Bring in a list"
          label="Bring in a list of threads"
          onPress={() => input.current?.click()}
        />
        <FileLink
          href={asFile('text/csv', threadsToCsv(shelf.threads))}
          name="As CSV"
          fileName="threads.csv"
        />
        <FileLink
          href={asFile('text/plain', threadsToPalette(shelf.threads))}
          name="As palette text"
          fileName="threads.txt"
        />
      </View>
      {refusal ? (
        <Txt tone="madder" live>
          {refusal}
        </Txt>
      ) : null}
      {brought ? (
        <UndoBar
          text={`${brought.ids.length} threads brought in${brought.known > 0 ? `, ${brought.known} were here already` : ''}.`}
          onPutBack={() => void putBack()}
        />
      ) : null}
    </View>
  );
}
