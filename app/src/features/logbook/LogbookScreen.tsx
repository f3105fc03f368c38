import {
  entryTitleOf,
  FABRICS,
  formatLength,
  LOG_ORDERS,
  type LogFilter,
  type LogOrder,
  type LogPage,
  type LogSummary,
  OUTCOMES,
  PIECE_KIND_IDS,
  PIECE_KINDS,
} from '@zt/core';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { type Href, Link, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { Pressable } from 'react-native';
import { AmongPlaces } from '../../components/AmongPlaces';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { LateTable } from '../../components/ui/LateTable';
import { ListScreen } from '../../components/ui/ListScreen';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { TextField } from '../../components/ui/TextField';
import { Txt } from '../../components/ui/Txt';
import { useKindPlans } from '../../hooks/useKindPlans';
import { useLogbookInfiniteQuery } from '../../services/logbookApi';
import { Thumbnail } from '../../sheet/Thumbnail';
import { SetAsideRows } from '../../shop/SetAsideRows';
import { useShop } from '../../shop/useShop';
import { useBoard } from '../../theme/layout';
import { usePalette } from '../../theme/palette';

const ALL = { id: 'all', name: 'all' } as const;
const FILTERS: readonly {
  id: keyof LogFilter;
  label: string;
  options: readonly { id: string; name: string }[];
}[] = [
  {
    id: 'kind',
    label: 'Piece',
    options: [ALL, ...PIECE_KIND_IDS.map((id) => ({ id, name: PIECE_KINDS[id].name }))],
  },
  { id: 'fabricId', label: 'Fabric', options: [ALL, ...FABRICS.map(({ id, name }) => ({ id, name }))] },
  {
    id: 'method',
    label: 'Method',
    options: [ALL, ...(['hooped', 'floated', 'partly'] as const).map((id) => ({ id, name: id }))],
  },
  { id: 'outcome', label: 'Outcome', options: [ALL, ...OUTCOMES.map((id) => ({ id, name: id }))] },
];
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

function EntryRow({ entry }: { entry: LogSummary }) {
  const p = usePalette();
  const { name, label, day, fabric, off, isBad } = useEntryWords()(entry);
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

/** What was done, how, and how it came out. */
export function LogbookScreen() {
  const [filter, setFilter] = useState<LogFilter>({});
  const [sought, setSought] = useState('');
  const [order, setOrder] = useState<LogOrder>({ by: 'date', way: 'falling' });
  const board = useBoard();
  const asked = {
    ...filter,
    ...(sought.trim() === '' ? {} : { q: sought.trim() }),
    // The latest first is what is kept for a page without the shop's computer, too.
    ...(board && !(order.by === 'date' && order.way === 'falling') ? order : {}),
  };
  const logbook = useLogbookInfiniteQuery(asked, { refetchOnMountOrArgChange: true });
  const { data, hasNextPage, isFetching, fetchNextPage } = logbook;
  const entries = useMemo(() => data?.pages.flatMap((page) => page.entries) ?? [], [data]);
  const chosen = FILTERS.flatMap(({ id, options }) => options.find((o) => o.id === filter[id])?.name ?? []);
  const isNew = logbook.isSuccess && entries.length === 0 && chosen.length === 0 && sought === '';
  const more = () => {
    if (hasNextPage && !isFetching) void fetchNextPage();
  };
  const set = (id: keyof LogFilter, value: string) =>
    setFilter(({ [id]: _, ...others }) => (value === 'all' ? others : { ...others, [id]: value }));
  return (
    <AmongPlaces>
      <ListScreen
        title="Logbook"
        subtitle={countsInWords(data?.pages[0]?.counts)}
        items={entries}
        keyOf={({ id }) => id}
        row={(entry) => <EntryRow entry={entry} />}
        {...(board
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
              value={sought}
              onText={setSought}
              placeholder="name, customer or note"
            />
            <Disclosure
              title={chosen.length > 0 ? `Shown: ${chosen.join(', ')}` : 'Show only some'}
              label="Filters"
            >
              {FILTERS.map(({ id, label, options }) => (
                <Choice
                  key={id}
                  label={label}
                  small
                  options={options}
                  chosen={filter[id] ?? 'all'}
                  onChoose={(value) => set(id, value)}
                />
              ))}
            </Disclosure>
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
