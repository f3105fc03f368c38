import {
  entryTitleOf,
  FABRICS,
  formatLength,
  LOG_FACETS,
  LOG_ORDERS,
  type LogFilter,
  type LogOrder,
  type LogPage,
  type LogSummary,
  OUTCOMES,
  PIECE_KINDS,
  type SavedSearch,
} from '@zt/core';
import { format } from 'date-fns/format';
import { isValid } from 'date-fns/isValid';
import { parseISO } from 'date-fns/parseISO';
import { type Href, Link, useRouter } from 'expo-router';
import isEqual from 'fast-deep-equal';
import { useMemo, useState } from 'react';
import { Pressable } from 'react-native';
import { AmongPlaces } from '../../components/AmongPlaces';
import { UndoBar } from '../../components/UndoBar';
import { Chip } from '../../components/ui/Chip';
import { Disclosure } from '../../components/ui/Disclosure';
import { LateTable } from '../../components/ui/LateTable';
import { ListScreen } from '../../components/ui/ListScreen';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { TextField } from '../../components/ui/TextField';
import { Tick } from '../../components/ui/Tick';
import { Txt } from '../../components/ui/Txt';
import { newId } from '../../hooks/newId';
import { useKindPlans } from '../../hooks/useKindPlans';
import {
  useKeepSearchMutation,
  useLogbookInfiniteQuery,
  useRemoveSearchMutation,
  useSearchesQuery,
} from '../../services/logbookApi';
import { Thumbnail } from '../../sheet/Thumbnail';
import { SetAsideRows } from '../../shop/SetAsideRows';
import { useShop } from '../../shop/useShop';
import { useBoard } from '../../theme/layout';
import { usePalette } from '../../theme/palette';
import { Facets, useValueName } from './Facets';
import { MOST_COMPARED } from './mostCompared';

const OUTCOME_SIGNS: Record<LogSummary['outcome'], string> = {
  good: '✓ good',
  slight: '1 slight',
  plain: '2 plain',
  spoilt: '3 spoilt',
};

/** How many there are, and how many came out how: counts, not averages. */
function countsInWords(counts: LogPage['counts'] | undefined): string {
  if (!counts) return 'opening it';
  const all = OUTCOMES.reduce((sum, outcome) => sum + counts[outcome], 0);
  return `${all} ${all === 1 ? 'piece' : 'pieces'}: ${OUTCOMES.map((o) => `${counts[o]} ${o}`).join(', ')}`;
}

interface EntryWords {
  name: string;
  /** All that is said of it, for those who listen. */
  label: string;
  day: string;
  fabric: string;
  off: string;
  isBad: boolean;
}

/** What is read of an entry. */
function useEntryWords(): (entry: LogSummary) => EntryWords {
  const { units, shelf } = useShop();
  return (entry) => {
    const title = entryTitleOf(entry);
    const at = parseISO(entry.loggedAt);
    return {
      name: entry.pieces > 1 ? `${title}, ${entry.pieces} pieces` : title,
      label: `${title}, ${entry.outcome}; ${[entry.customer, format(at, 'd MMM yyyy')].filter(Boolean).join(', ')}`,
      day: format(at, 'd MMM'),
      fabric:
        [...FABRICS, ...shelf.fabrics].find((f) => f.id === entry.fabricId)?.name ?? 'a cloth no longer kept',
      off: entry.misplacementMm === null ? '' : `off by ${formatLength(entry.misplacementMm, units)}`,
      isBad: entry.outcome === 'plain' || entry.outcome === 'spoilt',
    };
  };
}

interface EntryRowProps {
  entry: LogSummary;
  /** Whether it is among those that are compared; null while none are chosen for it. */
  picked: boolean | null;
  onPick: () => void;
}

function EntryRow({ entry, picked, onPick }: EntryRowProps) {
  const p = usePalette();
  const { name, label, day, fabric, off, isBad } = useEntryWords()(entry);
  if (picked !== null)
    return (
      <Tick
        title={`${day}  ${name}, ${fabric}: ${OUTCOME_SIGNS[entry.outcome]}`}
        on={picked}
        onToggle={onPick}
      />
    );
  return (
    <Link href={`/logbook/${entry.id}` as Href} asChild>
      <Pressable
        aria-label={label}
        style={{
          flexDirection: 'row',
          gap: 12,
          paddingVertical: 10,
          borderBottomWidth: 1,
          borderColor: p.hairline,
          alignItems: 'flex-start',
        }}
      >
        <Stack width={64}>
          <Txt as="label" tone="graphite">
            {day}
          </Txt>
        </Stack>
        <Stack grow>
          <Txt as="strong">{name}</Txt>
          <Txt as="small" tone="graphite">
            {[PIECE_KINDS[entry.kind].name, fabric, entry.method, ...(off ? [off] : [])].join(' · ')}
          </Txt>
          {entry.note ? <Txt as="small">{entry.note}</Txt> : null}
        </Stack>
        <Txt as="label" tone={isBad ? 'madder' : 'moss'}>
          {OUTCOME_SIGNS[entry.outcome]}
        </Txt>
      </Pressable>
    </Link>
  );
}

interface EntryTableProps {
  entries: readonly LogSummary[];
  order: LogOrder;
  onOrder: (order: LogOrder) => void;
}

/** The logbook as a table with pictures; the shop's computer sorts it. */
function EntryTable({ entries, order, onOrder }: EntryTableProps) {
  const wordsOf = useEntryWords();
  const plans = useKindPlans();
  return (
    <LateTable
      label="Pieces"
      rows={entries}
      keyOf={({ id }) => id}
      order={{ id: ID_OF_ORDER[order.by], falling: order.way === 'falling' }}
      onOrder={({ id, falling }) => {
        const by = LOG_ORDERS.find((one) => ID_OF_ORDER[one] === id);
        if (by) onOrder({ by, way: falling ? 'falling' : 'rising' });
      }}
      openerTitle="piece"
      openerSortedBy={({ name }) => name}
      opener={(entry) => {
        const { name, label } = wordsOf(entry);
        return (
          <Link href={`/logbook/${entry.id}` as Href} asChild>
            <Pressable
              aria-label={label}
              style={{ minHeight: 56, justifyContent: 'center', paddingVertical: 6 }}
            >
              <Txt as="strong">{name}</Txt>
              {entry.note ? <Txt as="small">{entry.note}</Txt> : null}
            </Pressable>
          </Link>
        );
      }}
      columns={[
        {
          id: 'picture',
          title: 'picture',
          px: 60,
          cell: ({ kind }) => <Thumbnail plan={plans[kind]} size={52} />,
        },
        { id: 'day', title: 'day', share: 1, cell: (e) => wordsOf(e).day, sortedBy: (e) => e.loggedAt },
        { id: 'for whom', title: 'for whom', cell: (e) => e.customer, sortedBy: (e) => e.customer },
        { id: 'kind', title: 'kind', cell: (e) => PIECE_KINDS[e.kind].name, sortedBy: (e) => e.kind },
        { id: 'cloth', title: 'cloth', cell: (e) => wordsOf(e).fabric, sortedBy: (e) => e.fabricId },
        { id: 'method', title: 'method', share: 1, cell: (e) => e.method, sortedBy: (e) => e.method },
        {
          id: 'how it came out',
          title: 'how it came out',
          cell: (e) => (
            <Txt as="label" tone={wordsOf(e).isBad ? 'madder' : 'moss'}>
              {[OUTCOME_SIGNS[e.outcome], ...(wordsOf(e).off ? [wordsOf(e).off] : [])].join(' · ')}
            </Txt>
          ),
          sortedBy: (e) => e.outcome,
        },
      ]}
    />
  );
}

/** The column that stands for each order. */
const ID_OF_ORDER: Record<LogOrder['by'], string> = {
  date: 'day',
  name: 'opener',
  customer: 'for whom',
  kind: 'kind',
  cloth: 'cloth',
  method: 'method',
  outcome: 'how it came out',
};

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

/** What a filter comes to: what is chosen, in words. */
function useFilterWords(): (filter: LogFilter) => string[] {
  const nameOf = useValueName();
  return ({ q, from, to, ...facets }) => [
    ...LOG_FACETS.flatMap((facet) => (facets[facet] ?? []).map((value) => nameOf(facet, value))),
    ...(q ? [`“${q}”`] : []),
    ...(from ? [`from ${from}`] : []),
    ...(to ? [`to ${to}`] : []),
  ];
}

/** Searches that are kept, and keeping the one at hand. */
function KeptSearches({ filter, onFilter }: { filter: LogFilter; onFilter: (filter: LogFilter) => void }) {
  const { data: searches = [] } = useSearchesQuery();
  const [keep] = useKeepSearchMutation();
  const [remove] = useRemoveSearchMutation();
  const [name, setName] = useState('');
  const [gone, setGone] = useState<SavedSearch | null>(null);
  const words = useFilterWords();
  const isAny = words(filter).length > 0;
  const kept = searches.find((one) => isEqual(one.filter, withoutEmpty(filter)));
  return (
    <Stack gap={8}>
      {searches.length > 0 ? (
        <Row gap={6} wrap role="group" aria-label="Kept searches">
          {searches.map((search) => (
            <Chip
              key={search.id}
              role="checkbox"
              small
              name={search.name}
              on={kept?.id === search.id}
              onPress={() => onFilter(kept?.id === search.id ? {} : search.filter)}
            />
          ))}
        </Row>
      ) : null}
      {kept ? (
        <Press
          kind="link"
          title={`keep “${kept.name}” no longer`}
          onPress={() => {
            setGone(kept);
            void remove(kept.id);
          }}
        />
      ) : null}
      {isAny && !kept ? (
        <Row gap={8} align="end" wrap>
          <TextField grow label="Keep this search as" value={name} onText={setName} />
          <Press
            title="Keep it"
            disabled={name.trim() === ''}
            onPress={() => {
              void keep({ id: newId(), name: name.trim().slice(0, 60), filter: withoutEmpty(filter) });
              setName('');
            }}
          />
        </Row>
      ) : null}
      {gone ? (
        <UndoBar
          text={`“${gone.name}” is kept no longer.`}
          onPutBack={() => {
            void keep(gone);
            setGone(null);
          }}
        />
      ) : null}
    </Stack>
  );
}

const withoutEmpty = (filter: LogFilter): LogFilter =>
  Object.fromEntries(Object.entries(filter).filter(([, value]) => value !== undefined && value !== ''));

const isWholeDay = (text: string): boolean =>
  /^\d{4}-\d\d-\d\d$/.test(text.trim()) && isValid(parseISO(text.trim()));

/** A day as it is typed; what is none is said. */
function DayField({
  label,
  day,
  onDay,
}: {
  label: string;
  day: string | undefined;
  onDay: (day?: string) => void;
}) {
  const [typed, setTyped] = useState(day ?? '');
  const isDay = typed.trim() === '' || isWholeDay(typed);
  return (
    <TextField
      grow
      label={label}
      value={typed}
      placeholder="2026-03-31"
      error={isDay ? null : 'A day is written so: 2026-03-31.'}
      onText={(text) => {
        setTyped(text);
        if (text.trim() === '') onDay(undefined);
        else if (isWholeDay(text)) onDay(text.trim());
      }}
    />
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
