import type { LogFilter, LogOrder, LogPage } from '@zt/core/model/api';
import { OUTCOMES } from '@zt/core/model/ticket/log';
import { type Href, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { AmongPlaces } from '../../components/AmongPlaces';
import { Disclosure } from '../../components/ui/Disclosure';
import { ListScreen } from '../../components/ui/ListScreen';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { TextField } from '../../components/ui/TextField';
import { Txt } from '../../components/ui/Txt';
import { useLogbookInfiniteQuery } from '../../services/logbookApi';
import { SetAsideRows } from '../../shop/SetAsideRows';
import { useBoard } from '../../theme/layout';
import { EntryRow, EntryTable } from './Entries';
import { Facets } from './Facets';
import { MOST_COMPARED } from './mostCompared';
import { DayField, KeptSearches, useFilterWords, withoutEmpty } from './Searches';

/** How many there are, and how many came out how: counts, not averages. */
function countsInWords(counts: LogPage['counts'] | undefined): string {
  if (!counts) return '';
  const all = OUTCOMES.reduce((sum, outcome) => sum + counts[outcome], 0);
  return `${all} ${all === 1 ? 'piece' : 'pieces'}: ${OUTCOMES.map((o) => `${counts[o]} ${o}`).join(', ')}`;
}

/** What will stand here, and the way to it. */
function NothingLogged() {
  const router = useRouter();
  return (
    <Stack gap={12}>
      <Txt>
        Each piece that leaves the table is kept here: how it was marked, hooped and held, and how it came
        out. Make one again a year later, and it lands where the first one did.
      </Txt>
      <Row>
        <Press kind="main" title="Start a piece" onPress={() => router.push('/new')} />
      </Row>
    </Stack>
  );
}

/** What was done, how, and how it came out. */
export function LogbookScreen() {
  const [filter, setFilter] = useState<LogFilter>({});
  const [order, setOrder] = useState<LogOrder>({ by: 'date', way: 'falling' });
  const board = useBoard();
  const words = useFilterWords();
  const router = useRouter();
  /** The entries to be compared; null while none are chosen for it. */
  const [picked, setPicked] = useState<readonly string[] | null>(null);
  const pick = (id: string) =>
    setPicked((before) =>
      before?.includes(id)
        ? before.filter((one) => one !== id)
        : [...(before ?? []), id].slice(-MOST_COMPARED),
    );
  const asked = {
    ...withoutEmpty({ ...filter, q: filter.q?.trim() }),
    // The latest first is what is kept for a page without the shop's computer, too.
    ...(board && !(order.by === 'date' && order.way === 'falling') ? order : {}),
  };
  const logbook = useLogbookInfiniteQuery(asked, { refetchOnMountOrArgChange: true });
  const { data, hasNextPage, isFetching, fetchNextPage } = logbook;
  const entries = useMemo(() => data?.pages.flatMap((page) => page.entries) ?? [], [data]);
  const chosen = words(filter);
  const isNew = logbook.isSuccess && entries.length === 0 && chosen.length === 0;
  const more = () => {
    if (hasNextPage && !isFetching) void fetchNextPage();
  };
  const facets = data?.pages[0]?.facets;
  return (
    <AmongPlaces>
      <ListScreen
        title="Logbook"
        subtitle={countsInWords(data?.pages[0]?.counts)}
        isHere={data !== undefined || logbook.isError}
        items={entries}
        keyOf={({ id }) => id}
        row={(entry) => (
          <EntryRow
            entry={entry}
            picked={picked === null ? null : picked.includes(entry.id)}
            onPick={() => pick(entry.id)}
          />
        )}
        {...(board && picked === null
          ? {
              table:
                entries.length > 0 ? <EntryTable entries={entries} order={order} onOrder={setOrder} /> : null,
            }
          : {})}
        onEnd={more}
      >
        <SetAsideRows place="logbook" />
        <SetAsideRows place="searches" />
        {isNew ? (
          <NothingLogged />
        ) : (
          <>
            <TextField
              label="Find a piece"
              value={filter.q ?? ''}
              onText={(q) => setFilter({ ...filter, q })}
              placeholder="any words: name, cloth, thread, note"
            />
            <Disclosure
              title={chosen.length > 0 ? `Shown: ${chosen.join(', ')}` : 'Show only some'}
              label="Filters"
            >
              <Stack gap={12}>
                {facets ? <Facets facets={facets} filter={filter} onFilter={setFilter} /> : null}
                <Row gap={8} wrap>
                  <DayField
                    key={`from ${filter.from ?? ''}`}
                    label="Logged from"
                    day={filter.from}
                    onDay={(from) => setFilter({ ...filter, from })}
                  />
                  <DayField
                    key={`to ${filter.to ?? ''}`}
                    label="Logged to"
                    day={filter.to}
                    onDay={(to) => setFilter({ ...filter, to })}
                  />
                </Row>
                {chosen.length > 0 ? <Press title="Show all" onPress={() => setFilter({})} /> : null}
              </Stack>
            </Disclosure>
            <KeptSearches filter={filter} onFilter={setFilter} />
            <Row gap={16} align="middle" wrap>
              <Press kind="link" title="Pictures" onPress={() => router.push('/logbook/pictures' as Href)} />
              <Press kind="link" title="Drills" onPress={() => router.push('/drills' as Href)} />
              <Press
                kind="link"
                title={picked === null ? 'Compare some' : 'Compare none'}
                onPress={() => setPicked(picked === null ? [] : null)}
              />
              {picked === null ? null : (
                <Press
                  title={picked.length < 2 ? 'Choose two to four' : `Compare these ${picked.length}`}
                  disabled={picked.length < 2}
                  onPress={() => router.push(`/logbook/compare?ids=${picked.join(',')}` as Href)}
                />
              )}
            </Row>
          </>
        )}
        {logbook.isSuccess && entries.length === 0 && !isNew ? (
          <Stack gap={10}>
            <Txt>No piece in the logbook agrees with these.</Txt>
            {chosen.length > 0 ? <Press title="Show all" onPress={() => setFilter({})} /> : null}
          </Stack>
        ) : null}
      </ListScreen>
    </AmongPlaces>
  );
}
