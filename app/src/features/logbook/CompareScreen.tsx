import { say } from '@zt/core/base/units/phrase';
import type { KeptEntry } from '@zt/core/model/api';
import { summaryOf } from '@zt/core/model/logEntry';
import { entryTitleOf } from '@zt/core/planner/titleOf';
import type { ComparedLine } from '@zt/core/records/again/index';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { useRouter } from 'expo-router';
import { useEffect, useRef, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { Press } from '../../components/ui/Press';
import { Screen } from '../../components/ui/Screen';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { useEntryQuery } from '../../services/logbookApi';
import { againParts } from '../../shop/again';
import { useShop } from '../../shop/useShop';
import { usePalette } from '../../theme/palette';
import { MOST_COMPARED } from './mostCompared';

const NAME_PX = 96;
/** So wide is each entry; of many, less. */
const CELL_PX = { few: 132, many: 104 };

/** Entries side by side, each figure in a row, what differs first. */
function Compared({ entries, lines }: { entries: readonly KeptEntry[]; lines: readonly ComparedLine[] }) {
  const p = usePalette();
  const { units } = useShop();
  const [all, setAll] = useState(false);
  const differ = lines.filter(({ differs }) => differs);
  const shown = all ? lines : differ;
  const cellPx = entries.length > 2 ? CELL_PX.many : CELL_PX.few;
  const colour = (hex: string) => (
    <View style={{ width: 40, height: 18, borderWidth: 1, borderColor: p.ink, backgroundColor: hex }} />
  );
  return (
    <Stack gap={10}>
      <Txt>
        {differ.length === 0
          ? 'They do not differ in anything that was kept.'
          : `They differ in ${differ.length} of ${lines.length} figures.`}
      </Txt>
      <ScrollView horizontal tabIndex={0}>
        <View role="table" aria-label="Entries side by side">
          <View
            role="row"
            style={{ flexDirection: 'row', borderBottomWidth: 2, borderColor: p.ink, paddingVertical: 6 }}
          >
            <View role="columnheader" style={{ width: NAME_PX }}>
              <Txt as="label" tone="graphite">
                figure
              </Txt>
            </View>
            {entries.map((entry) => (
              <View role="columnheader" key={entry.id} style={{ width: cellPx, paddingRight: 8 }}>
                <Txt as="strong">{entryTitleOf(summaryOf(entry))}</Txt>
                <Txt as="small" tone="graphite">
                  {format(parseISO(entry.loggedAt), 'd MMM yyyy')}
                </Txt>
              </View>
            ))}
          </View>
          {shown.map(({ id, name, figures, differs }) => (
            <View
              role="row"
              key={id}
              style={{
                flexDirection: 'row',
                borderBottomWidth: 1,
                borderColor: p.hairline,
                paddingVertical: 6,
                backgroundColor: differs ? p.shade : 'transparent',
              }}
            >
              <View role="rowheader" style={{ width: NAME_PX, paddingRight: 8 }}>
                <Txt as="label" tone="graphite">
                  {name}
                </Txt>
              </View>
              {figures.map((figure, i) => (
                <View role="cell" key={entries[i]?.id ?? i} style={{ width: cellPx, paddingRight: 8 }}>
                  {figure && id === 'colour' ? colour(String(figure.value)) : null}
                  <Txt as={differs ? 'strong' : 'body'}>{figure ? say(figure.said, units) : '–'}</Txt>
                </View>
              ))}
            </View>
          ))}
        </View>
      </ScrollView>
      {lines.length > differ.length ? (
        <Press
          kind="link"
          title={all ? 'only what differs' : `${lines.length - differ.length} that are the same`}
          onPress={() => setAll(!all)}
        />
      ) : null}
    </Stack>
  );
}

/** One entry of a comparison; nothing is read without an id. */
const useOne = (id: string | undefined) => useEntryQuery(id ?? '', { skip: id === undefined });

/** The entries of one comparison: as many as may be compared. */
function useEntries(ids: readonly string[]) {
  const read = [useOne(ids[0]), useOne(ids[1]), useOne(ids[2]), useOne(ids[3])];
  return read.slice(0, ids.length);
}

const NONE: readonly KeptEntry[] = [];

/** The figures of entries side by side; null while there is nothing to compare. */
function useLines(entries: readonly KeptEntry[]): readonly ComparedLine[] | null {
  const [lines, setLines] = useState<readonly ComparedLine[] | null>(null);
  const latest = useRef(entries);
  latest.current = entries;
  const key = entries.map(({ id }) => id).join();
  useEffect(() => {
    setLines(null);
    if (key === '') return;
    void againParts().then(({ compared }) => {
      if (latest.current.map(({ id }) => id).join() === key) setLines(compared(latest.current));
    });
  }, [key]);
  return lines;
}

/** Two to four entries side by side. */
export function CompareScreen({ ids }: { ids: readonly string[] }) {
  const router = useRouter();
  const read = useEntries(ids.slice(0, MOST_COMPARED));
  const entries = read.flatMap(({ data }) => data ?? []);
  const lines = useLines(entries.length > 1 && read.every(({ isFetching }) => !isFetching) ? entries : NONE);
  const gone = read.filter(({ isError }) => isError).length;
  return (
    <Screen
      title="Side by side"
      subtitle={`${entries.length} entries`}
      aside={<Press title="Back" onPress={() => router.replace('/logbook')} />}
    >
      {gone > 0 ? (
        <Txt tone="madder">{`${gone === 1 ? 'One of them is' : `${gone} of them are`} not in the logbook.`}</Txt>
      ) : null}
      {ids.length < 2 ? <Txt>Choose two to four entries in the logbook.</Txt> : null}
      {lines ? <Compared entries={entries} lines={lines} /> : null}
    </Screen>
  );
}
