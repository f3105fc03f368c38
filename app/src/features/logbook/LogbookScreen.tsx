import {
  entryTitleOf,
  FABRICS,
  formatLength,
  type LogFilter,
  type LogPage,
  type LogSummary,
  OUTCOMES,
  PIECE_KIND_IDS,
  PIECE_KINDS,
} from '@zt/core';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { type Href, Link } from 'expo-router';
import { useMemo, useState } from 'react';
import { Pressable } from 'react-native';
import { AmongPlaces } from '../../components/AmongPlaces';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { ListScreen } from '../../components/ui/ListScreen';
import { Press } from '../../components/ui/Press';
import { Stack } from '../../components/ui/Stack';
import { TextField } from '../../components/ui/TextField';
import { Txt } from '../../components/ui/Txt';
import { useLogbookInfiniteQuery } from '../../services/logbookApi';
import { SetAsideRows } from '../../shop/SetAsideRows';
import { useShop } from '../../shop/useShop';
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

function EntryRow({ entry }: { entry: LogSummary }) {
  const p = usePalette();
  const { units, shelf } = useShop();
  const name = entryTitleOf(entry);
  const bad = entry.outcome === 'plain' || entry.outcome === 'spoilt';
  const fabric =
    [...FABRICS, ...shelf.fabrics].find((f) => f.id === entry.fabricId)?.name ?? 'a cloth no longer kept';
  const off = entry.misplacementMm === null ? '' : ` · off by ${formatLength(entry.misplacementMm, units)}`;
  return (
    <Link href={`/logbook/${entry.id}` as Href} asChild>
      <Pressable
        aria-label={`${name}, ${entry.outcome}; ${[entry.customer, format(parseISO(entry.loggedAt), 'd MMM yyyy')].filter(Boolean).join(', ')}`}
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
            {format(parseISO(entry.loggedAt), 'd MMM')}
          </Txt>
        </Stack>
        <Stack grow>
          <Txt as="strong">{entry.pieces > 1 ? `${name}, ${entry.pieces} pieces` : name}</Txt>
          <Txt
            as="small"
            tone="graphite"
          >{`${PIECE_KINDS[entry.kind].name} · ${fabric} · ${entry.method}${off}`}</Txt>
          {entry.note ? <Txt as="small">{entry.note}</Txt> : null}
        </Stack>
        <Txt as="label" tone={bad ? 'madder' : 'moss'}>
          {OUTCOME_SIGNS[entry.outcome]}
        </Txt>
      </Pressable>
    </Link>
  );
}

/** What was done, how, and how it came out. */
export function LogbookScreen() {
  const [filter, setFilter] = useState<LogFilter>({});
  const [sought, setSought] = useState('');
  const asked = sought.trim() === '' ? filter : { ...filter, q: sought.trim() };
  const logbook = useLogbookInfiniteQuery(asked, { refetchOnMountOrArgChange: true });
  const { data, hasNextPage, isFetching, fetchNextPage } = logbook;
  const entries = useMemo(() => data?.pages.flatMap((page) => page.entries) ?? [], [data]);
  const more = () => {
    if (hasNextPage && !isFetching) void fetchNextPage();
  };
  const set = (id: keyof LogFilter, value: string) =>
    setFilter(({ [id]: _, ...others }) => (value === 'all' ? others : { ...others, [id]: value }));
  const chosen = FILTERS.flatMap(({ id, options }) => options.find((o) => o.id === filter[id])?.name ?? []);
  return (
    <AmongPlaces>
      <ListScreen
        title="Logbook"
        subtitle={countsInWords(data?.pages[0]?.counts)}
        items={entries}
        keyOf={({ id }) => id}
        row={(entry) => <EntryRow entry={entry} />}
        onEnd={more}
      >
        <SetAsideRows place="logbook" />
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
        {logbook.isSuccess && entries.length === 0 ? (
          <Stack gap={10}>
            <Txt>
              {chosen.length > 0 || sought !== ''
                ? 'No piece in the logbook agrees with these.'
                : 'Nothing is logged yet. A ticket ends here, in its Log stage.'}
            </Txt>
            {chosen.length > 0 ? <Press title="Show all" onPress={() => setFilter({})} /> : null}
          </Stack>
        ) : null}
      </ListScreen>
    </AmongPlaces>
  );
}
