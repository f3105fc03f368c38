import {
  type ReadPalette,
  readThreads,
  threadsToCsv,
  threadsToPalette,
} from '@zt/core/files/threadLists/palette';
import { useState } from 'react';
import { countOf } from '../../components/figures';
import { UndoBar } from '../../components/UndoBar';
import { Disclosure } from '../../components/ui/Disclosure';
import { FileLink } from '../../components/ui/FileLink';
import { FilePress } from '../../components/ui/FilePress';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { newId } from '../../hooks/newId';
import { type Decoded, decoded } from '../../services/decoded';
import { useShop } from '../../shop/useShop';
import { WhichReads } from '../../shop/WhichReads';
import { changeShelf } from '../../store/shopActs';
import { useAppDispatch } from '../../store/store';

const asFile = (type: string, text: string) => `data:${type};charset=utf-8,${encodeURIComponent(text)}`;

type Listed = Extract<ReadPalette, { ok: true }>;
interface Brought {
  ids: string[];
  /** Lines that name a thread twice, or one that was on the shelf. */
  known: number;
  refused: Listed['refused'];
}

const keyOf = (t: { name: string; hex: string; weight: number; fibre: string }) =>
  `${t.name.toLowerCase()} ${t.hex.toUpperCase()} ${t.weight} ${t.fibre}`;

/** Threads brought in from a file, in one go: all of them, or none; and those that were here already. */
function useBringIn() {
  const { shelf } = useShop();
  const dispatch = useAppDispatch();
  const [brought, setBrought] = useState<Brought | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [asked, setAsked] = useState<Decoded[]>([]);
  const take = ({ text }: Decoded) => {
    setAsked([]);
    setBrought(null);
    const read = readThreads(text);
    if (!read.ok) return setRefusal(read.message);
    setRefusal(null);
    const owned = new Set(shelf.threads.map(keyOf));
    const put = read.threads
      .filter((thread) => !owned.has(keyOf(thread)))
      .map((thread) => ({ noun: 'threads' as const, item: { id: newId(), ...thread } }));
    const known = read.threads.length - put.length + read.doubles;
    if (put.length > 0) dispatch(changeShelf({ put }));
    setBrought({ ids: put.map(({ item }) => item.id), known, refused: read.refused });
  };
  const open = async (file: File) => {
    const texts = decoded(new Uint8Array(await file.arrayBuffer()));
    const [only] = texts;
    if (only && texts.length === 1) take(only);
    else setAsked(texts);
  };
  const putBack = () => {
    dispatch(changeShelf({ remove: (brought?.ids ?? []).map((id) => ({ noun: 'threads' as const, id })) }));
    setBrought(null);
  };
  return { open, take, putBack, brought, refusal, asked };
}

/** The lines of a file that were not taken, each with its number and why. */
function RefusedLines({ refused }: { refused: Listed['refused'] }) {
  if (refused.length === 0) return null;
  return (
    <Disclosure
      title={`${countOf(refused.length, 'line')} not taken: see why`}
      label="Lines that were not taken"
    >
      {refused.map(({ line, why }) => (
        <Txt key={line} as="small">{`Line ${line}: ${why}.`}</Txt>
      ))}
    </Disclosure>
  );
}

/** The threads as a file, and from one: CSV, or open palette text. */
export function ThreadFiles() {
  const { shelf } = useShop();
  const { open, take, putBack, brought, refusal, asked } = useBringIn();
  return (
    <Stack gap={8}>
      <Row wrap>
        <FilePress
          title="Bring in a list"
          label="Thread list"
          accept=".csv,.tsv,.txt,text/csv,text/plain"
          onFile={(file) => void open(file)}
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
      </Row>
      {asked.length > 0 ? <WhichReads texts={asked} onText={take} /> : null}
      {refusal ? (
        <Txt tone="madder" live>
          {refusal}
        </Txt>
      ) : null}
      {brought ? (
        <>
          <UndoBar
            text={`${countOf(brought.ids.length, 'thread')} brought in${brought.known > 0 ? `, ${brought.known} were here already` : ''}.`}
            onPutBack={putBack}
          />
          <RefusedLines refused={brought.refused} />
        </>
      ) : null}
    </Stack>
  );
}
