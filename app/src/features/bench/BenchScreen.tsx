import type { KeptTicket } from '@zt/core/model/api';
import { titleOf } from '@zt/core/planner/titleOf';
import { format } from 'date-fns/format';
import { useRouter } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { AmongPlaces } from '../../components/AmongPlaces';
import { UndoBar } from '../../components/UndoBar';
import { Callout } from '../../components/ui/Callout';
import { ListScreen } from '../../components/ui/ListScreen';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { TextField } from '../../components/ui/TextField';
import { Txt } from '../../components/ui/Txt';
import { UnitsToggle } from '../../components/ui/UnitsToggle';
import { useExample } from '../../example/useExample';
import { useBenchKeys } from '../../hooks/useBenchKeys';
import { useBench, useSought } from '../../hooks/useBenchTickets';
import { SetAsideRows } from '../../shop/SetAsideRows';
import { useShop } from '../../shop/useShop';
import { exampleEnded } from '../../store/editor';
import { putTicketBack } from '../../store/shopActs';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { useBoard, useWide } from '../../theme/layout';
import { usePalette } from '../../theme/palette';
import { byDue, GROUPS, groupOf, useBenchRows } from './benchRows';
import { TicketRow } from './TicketRow';

/** Before the first piece: what will be here, and the two ways to begin. */
function EmptyBench() {
  const router = useRouter();
  const { shelf } = useShop();
  const isBare = shelf.hoops.length === 0;
  const { begin } = useExample();
  return (
    <Callout tone="tape" gap={10}>
      <Txt as="strong">Nothing on the bench.</Txt>
      <Txt>
        Pieces that you work on stand here, each drawn to scale, with what to do next and what is wrong.
      </Txt>
      <Row wrap>
        <Press title="Show me with an example" onPress={begin} />
        <Txt as="small">A tee from tape to hoop on the real screens; nothing of it is kept.</Txt>
      </Row>
      {isBare ? (
        <Row wrap>
          <Press title="Say what you work with" onPress={() => router.push('/first')} />
          <Txt as="small">Two minutes of tapping pictures; it can wait until a piece asks for it.</Txt>
        </Row>
      ) : null}
    </Callout>
  );
}

function RemovedBar({ id }: { id: string }) {
  const router = useRouter();
  const dispatch = useAppDispatch();
  const undo = () => {
    dispatch(putTicketBack(id));
    router.replace('/');
  };
  return <UndoBar text="The ticket is off the bench." onPutBack={undo} />;
}

/** Tickets left with something that the server does not take: they wait here, and hold up no other. */
function NotSaved() {
  const router = useRouter();
  const waiting = useAppSelector((state) => state.editor.waiting);
  return waiting
    .filter(({ refused }) => refused.length > 0)
    .map(({ value: ticket }) => (
      <Row gap={12} align="middle" key={ticket.id} role="alert">
        <Stack grow>
          <Txt tone="madder">{`“${titleOf(ticket)}” is not saved: something on it is not taken.`}</Txt>
        </Stack>
        <Press title="Open it" onPress={() => router.push(`/ticket/${ticket.id}/piece`)} />
      </Row>
    ));
}

/** No button is wider, px. */
const WIDEST_BUTTON = 320;

/** Today's tickets: what each looks like, what to do next, and what is wrong. */
export function BenchScreen({ removed }: { removed: string | null }) {
  const shop = useShop();
  const p = usePalette();
  const router = useRouter();
  const { kept, total, more, isHere, failed } = useBench();
  const wide = useWide();
  const board = useBoard();
  const [sought, setSought] = useState('');
  const dispatch = useAppDispatch();
  useBenchKeys();
  // Whoever comes back from the example leaves it.
  useEffect(() => {
    dispatch(exampleEnded());
  }, [dispatch]);
  const { rowOf, stitching } = useBenchRows(kept);
  const soughtKept = useSought(sought, kept);
  const found = useMemo(() => byDue(soughtKept ?? kept), [soughtKept, kept]);
  const subtitle = [
    format(new Date(), 'EEEE'),
    `${total} ${total === 1 ? 'piece' : 'pieces'}`,
    ...(stitching
      ? [
          `${Math.round(stitching.minutes)} min of stitching${total > stitching.tickets ? ` in the first ${stitching.tickets}` : ''}`,
        ]
      : []),
  ].join(', ');
  const start = <Press kind="main" title="Start a piece" onPress={() => router.push('/new')} />;
  return (
    <AmongPlaces>
      <ListScreen<KeptTicket>
        title="Bench"
        items={found}
        keyOf={({ ticket }) => ticket.id}
        row={(one) => <TicketRow row={rowOf(one)} units={shop.units} />}
        rowWidth={336}
        {...(board && soughtKept === null ? { groups: GROUPS, groupOf: (one) => groupOf(rowOf(one)) } : {})}
        onEnd={more}
        subtitle={subtitle}
        isHere={isHere || failed || shop.failed}
        aside={<UnitsToggle units={shop.units} onUnits={shop.setUnits} />}
        foot={
          <View
            style={{
              paddingHorizontal: 16,
              paddingVertical: 10,
              backgroundColor: p.panel,
              ...(wide ? { width: WIDEST_BUTTON, alignSelf: 'flex-end' } : {}),
            }}
          >
            {start}
          </View>
        }
      >
        {removed ? <RemovedBar id={removed} /> : null}
        <SetAsideRows place="tickets" />
        <NotSaved />
        {failed || shop.failed ? (
          <Txt tone="madder" live>
            The shop’s computer does not answer. Nothing is lost; this page tries again when you come back to
            it.
          </Txt>
        ) : null}
        {kept.length > 5 ? (
          <TextField label="Find a ticket" value={sought} onText={setSought} placeholder="name or customer" />
        ) : null}
        {isHere && kept.length === 0 ? <EmptyBench /> : null}
      </ListScreen>
    </AmongPlaces>
  );
}
