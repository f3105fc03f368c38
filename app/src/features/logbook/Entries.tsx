import { formatLength } from '@zt/core/base/units/length';
import { LOG_ORDERS, type LogOrder } from '@zt/core/model/api';
import type { LogSummary } from '@zt/core/model/logEntry';
import { entryTitleOf } from '@zt/core/planner/titleOf';
import { PIECE_KINDS } from '@zt/core/stages/piece/kinds/index';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { type Href, Link } from 'expo-router';
import { Pressable } from 'react-native';
import { LateTable } from '../../components/ui/LateTable';
import { Stack } from '../../components/ui/Stack';
import { Tick } from '../../components/ui/Tick';
import { Txt } from '../../components/ui/Txt';
import { useKindPlans } from '../../hooks/useKindPlans';
import { Thumbnail } from '../../sheet/Thumbnail';
import { useClothName } from '../../shop/useClothName';
import { useShop } from '../../shop/useShop';
import { usePalette } from '../../theme/palette';

const OUTCOME_SIGNS: Record<LogSummary['outcome'], string> = {
  good: '✓ good',
  slight: '1 slight',
  plain: '2 plain',
  spoilt: '3 spoilt',
};

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
  const { units } = useShop();
  const clothName = useClothName();
  return (entry) => {
    const title = entryTitleOf(entry);
    const at = parseISO(entry.loggedAt);
    return {
      name: entry.pieces > 1 ? `${title}, ${entry.pieces} pieces` : title,
      label: `${title}, ${entry.outcome}; ${[entry.customer, format(at, 'd MMM yyyy')].filter(Boolean).join(', ')}`,
      day: format(at, 'd MMM'),
      fabric: clothName(entry.fabricId),
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

export function EntryRow({ entry, picked, onPick }: EntryRowProps) {
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
export function EntryTable({ entries, order, onOrder }: EntryTableProps) {
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
