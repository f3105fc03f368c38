import { PIECE_KIND_IDS, type PieceKindId } from '@zt/core/model/pieceKindIds';
import type { Stage } from '@zt/core/model/stages';
import type { Ticket } from '@zt/core/model/ticket';
import { newTicket } from '@zt/core/planner/newTicket';
import type { Plan } from '@zt/core/planner/planned';
import { entryTitleOf } from '@zt/core/planner/titleOf';
import { PIECE_FAMILIES } from '@zt/core/stages/piece/geometry';
import { PIECE_KINDS } from '@zt/core/stages/piece/kinds/index';
import { rollup } from 'd3-array';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { type Href, useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { Pressable, View } from 'react-native';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Screen } from '../../components/ui/Screen';
import { Stack } from '../../components/ui/Stack';
import { TextField } from '../../components/ui/TextField';
import { Txt } from '../../components/ui/Txt';
import { useExample } from '../../example/useExample';
import { newId } from '../../hooks/newId';
import { useBench } from '../../hooks/useBenchTickets';
import { useKindPlans } from '../../hooks/useKindPlans';
import { logbookApi, useLogbookInfiniteQuery } from '../../services/logbookApi';
import { Thumbnail } from '../../sheet/Thumbnail';
import { againParts } from '../../shop/again';
import { useOrder } from '../../shop/useOrders';
import { useShop } from '../../shop/useShop';
import { ticketStarted } from '../../store/editor';
import { useAppDispatch } from '../../store/store';
import { usePalette } from '../../theme/palette';

function KindCard({ name, plan, onStart }: { name: string; plan: Plan; onStart: () => void }) {
  const p = usePalette();
  return (
    <Pressable
      role="button"
      aria-label={name}
      onPress={onStart}
      style={{
        width: 108,
        gap: 4,
        padding: 6,
        alignItems: 'center',
        borderWidth: 1.5,
        borderColor: p.ink,
        borderRadius: 6,
        backgroundColor: p.paper,
      }}
    >
      <Thumbnail plan={plan} size={92} />
      <View style={{ minHeight: 38, justifyContent: 'center' }}>
        <Txt as="label" style={{ textAlign: 'center' }}>
          {name}
        </Txt>
      </View>
    </Pressable>
  );
}

/** So many pieces of the logbook are offered again. */
const MOST_AGAIN = 4;

/** Pieces of the logbook, each name once, the latest first: to be made once more. */
function Again({ onAgain }: { onAgain: (entryId: string) => void }) {
  const p = usePalette();
  const { data } = useLogbookInfiniteQuery({}, { refetchOnMountOrArgChange: true });
  const made = data?.pages[0]?.entries ?? [];
  const latest = made.filter(
    (entry, i) => made.findIndex((e) => entryTitleOf(e) === entryTitleOf(entry)) === i,
  );
  const offered = latest.filter(({ outcome }) => outcome !== 'spoilt').slice(0, MOST_AGAIN);
  if (offered.length === 0) return null;
  return (
    <Stack gap={8}>
      <Txt as="heading" level={2}>
        Again, like last time
      </Txt>
      <Row wrap>
        {offered.map(({ id, kind, loggedAt, ...entry }) => (
          <Pressable
            key={id}
            role="button"
            aria-label={`Again: ${entryTitleOf({ ...entry, kind })}`}
            onPress={() => onAgain(id)}
            style={{
              minHeight: 56,
              maxWidth: 320,
              paddingHorizontal: 12,
              paddingVertical: 6,
              justifyContent: 'center',
              borderWidth: 1.5,
              borderColor: p.ink,
              borderRadius: 6,
              backgroundColor: p.paper,
            }}
          >
            <Txt as="strong">{entryTitleOf({ ...entry, kind })}</Txt>
            <Txt
              as="small"
              tone="graphite"
            >{`${PIECE_KINDS[kind].name}, ${format(parseISO(loggedAt), 'd MMM')}`}</Txt>
          </Pressable>
        ))}
      </Row>
    </Stack>
  );
}

/** So many kinds stand first. */
const MOST_MADE = 3;

/** So long it is waited for what the shop made, ms: a list must not be put in another order under the finger. */
const WAIT_MS = 800;

/**
 * The kinds that this shop makes most, on its bench and in its logbook, as they are known once; none where nothing was
 * made, or nobody answers. Null while it is asked.
 */
function useMade(): PieceKindId[] | null {
  const { kept, isHere, failed } = useBench();
  const { data, isError } = useLogbookInfiniteQuery({});
  const [made, setMade] = useState<PieceKindId[] | null>(null);
  const [isLate, setLate] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setLate(true), WAIT_MS);
    return () => clearTimeout(timer);
  }, []);
  const isKnown = (isHere || failed) && (data !== undefined || isError);
  if (made === null && (isKnown || isLate)) {
    const kinds = [
      ...kept.map(({ ticket }) => ticket.piece.kind),
      ...(data?.pages.flatMap(({ entries }) => entries.map(({ kind }) => kind)) ?? []),
    ];
    const counted = rollup(
      kinds,
      (all) => all.length,
      (kind) => kind,
    );
    const most = [...counted].sort(([, a], [, b]) => b - a).slice(0, MOST_MADE);
    setMade(most.map(([kind]) => kind));
  }
  return made;
}

/** What is it? The first question of a ticket: every kind, drawn, by family. */
export function NewTicketScreen() {
  const router = useRouter();
  const dispatch = useAppDispatch();
  const [sought, setSought] = useState('');
  const made = useMade();
  const { shelf, rules } = useShop();
  const example = useExample();
  const [unreached, setUnreached] = useState(false);
  const kindPlans = useKindPlans();
  const plans = PIECE_KIND_IDS.map((id) => ({ id, kind: PIECE_KINDS[id], plan: kindPlans[id] }));
  const { order: orderId = null } = useLocalSearchParams<{ order?: string }>();
  const { order, customer } = useOrder(orderId);
  const begin = (begun: Ticket, stage: Stage) => {
    const ticket = order
      ? { ...begun, orderId: order.id, due: order.due, customer: customer?.name ?? begun.customer }
      : begun;
    dispatch(ticketStarted(ticket));
    router.replace(`/ticket/${ticket.id}/${stage}`);
  };
  const start = (kind: PieceKindId) => begin(newTicket(newId(), kind), 'piece');
  const startAgain = async (entryId: string) => {
    const { data } = await dispatch(logbookApi.endpoints.entry.initiate(entryId));
    // Measured, placed and hooped as then: the first thing to do is to mark it.
    if (!data) return setUnreached(true);
    const { doAgain } = await againParts();
    begin(doAgain(data, { id: newId(), wanted: { as: 'same' } }, { shelf, rules }).ticket, 'place');
  };
  const found = plans.filter(({ kind }) => kind.name.toLowerCase().includes(sought.trim().toLowerCase()));
  // What is made most stands first, and once.
  const first =
    sought === '' ? (made ?? []).flatMap((id) => found.find((known) => known.id === id) ?? []) : [];
  const groups = [
    { title: 'What you make most', kinds: first },
    ...PIECE_FAMILIES.map((family) => ({
      title: family,
      kinds: found.filter((known) => known.kind.family === family && !first.includes(known)),
    })),
  ];
  return (
    <Screen
      title="Start a piece"
      subtitle={order ? `For the order “${order.name}”: what is it?` : 'What is it?'}
      aside={
        <Press title="Back" onPress={() => router.replace(orderId ? (`/orders/${orderId}` as Href) : '/')} />
      }
    >
      <TextField
        label="Find a kind"
        value={sought}
        onText={setSought}
        placeholder="e.g. hoodie, towel, bib"
      />
      {made?.length === 0 ? (
        <Press kind="link" title="Show me with an example" onPress={example.begin} />
      ) : null}
      {found.length === 0 ? (
        <Txt>{`Nothing here is called “${sought}”. A flat panel takes any cloth that is cut afterwards.`}</Txt>
      ) : null}
      {unreached ? (
        <Txt tone="madder" live>
          The shop’s computer does not answer, and this entry is not kept here. Choose what it is below.
        </Txt>
      ) : null}
      {sought === '' && made ? <Again onAgain={(id) => void startAgain(id)} /> : null}
      {groups.map(({ title, kinds }) =>
        kinds.length === 0 || made === null ? null : (
          <Stack key={title} gap={8}>
            <Txt as="heading" level={2}>
              {title}
            </Txt>
            <Row wrap>
              {kinds.map(({ id, kind, plan }) => (
                <KindCard key={id} name={kind.name} plan={plan} onStart={() => start(id)} />
              ))}
            </Row>
          </Stack>
        ),
      )}
    </Screen>
  );
}
