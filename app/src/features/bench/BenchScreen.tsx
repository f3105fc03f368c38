import {
  formatLength,
  type HouseRules,
  isInTheWay,
  type KeptTicket,
  nextStage,
  type Plan,
  planTicket,
  type Shelf,
  type Stage,
  type StageState,
  say,
  stageStates,
  titleOf,
} from '@zt/core';
import { format } from 'date-fns/format';
import { type Href, Link, useRouter } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { AmongPlaces } from '../../components/AmongPlaces';
import { dueInWords } from '../../components/dueInWords';
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
import { Thumbnail } from '../../sheet/Thumbnail';
import { SetAsideRows } from '../../shop/SetAsideRows';
import { useShop } from '../../shop/useShop';
import { exampleEnded } from '../../store/editor';
import { putTicketBack } from '../../store/shopActs';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { STAGE_NAMES } from '../../tape/Tape';
import { useBoard, useWide } from '../../theme/layout';
import { usePalette } from '../../theme/palette';

interface BenchRow {
  kept: KeptTicket;
  plan: Plan;
  states: StageState[];
}

function rowsOf(tickets: readonly KeptTicket[], shelf: Shelf, rules: HouseRules): BenchRow[] {
  return tickets
    .map((kept) => {
      const plan = planTicket(kept.ticket, shelf, rules);
      return { kept, plan, states: stageStates(kept.ticket, plan) };
    })
    .sort((a, b) => (a.kept.ticket.due ?? '9999').localeCompare(b.kept.ticket.due ?? '9999'));
}

/** What to do next on this ticket, in a line: the worst finding, or the stage's own answer. */
function nextLine(
  { plan, states }: BenchRow,
  units: HouseRules['units'],
): { text: string; trouble: boolean } {
  const worst = plan.findings.find((f) => f.severity !== 'note');
  if (worst) return { text: say(worst.text, units), trouble: worst.severity !== 'next' };
  const stage = nextStage(states);
  const { place, hoop, layers, stitch, mount } = plan;
  const lines: Partial<Record<string, string>> = {
    place: place ? `Mark it ${formatLength(place.depthMm, units)} from ${place.depthName}` : undefined,
    hoop: hoop?.laid ? `${hoop.laid.verdict.hoop.name}, ${hoop.method}` : undefined,
    layers: layers
      ? `${
          layers.stack
            .filter((l) => l.role !== 'cloth')
            .map((l) => l.name)
            .join(' + ') || 'Nothing underneath'
        }`
      : undefined,
    mount: mount ? `Top of the piece ${mount.chosen.topPoints}` : undefined,
    stitch: stitch ? `Stitch it, ${Math.round(stitch.totalMinutes)} min` : undefined,
  };
  return { text: lines[stage] ?? `Next: ${STAGE_NAMES[stage]}`, trouble: false };
}

/** Where the ticket is opened: at what is in the way, else at what is next. */
const stageInHand = ({ plan, states }: BenchRow): Stage =>
  plan.findings.find(isInTheWay)?.stage ?? nextStage(states);

function TicketRow({ row, units }: { row: BenchRow; units: HouseRules['units'] }) {
  const p = usePalette();
  const { ticket } = row.kept;
  const stage = stageInHand(row);
  const { text, trouble } = nextLine(row, units);
  const href = `/ticket/${ticket.id}/${stage}` as Href;
  return (
    <Link href={href} asChild>
      <Pressable
        aria-label={[
          `${titleOf(ticket)}, ${STAGE_NAMES[stage]}: ${text}`,
          ticket.customer ? `for ${ticket.customer}` : '',
          ticket.due ? `due ${dueInWords(ticket.due)}` : '',
        ]
          .filter(Boolean)
          .join('; ')}
        style={{
          flexDirection: 'row',
          gap: 14,
          paddingVertical: 12,
          borderBottomWidth: 1,
          borderColor: p.hairline,
          borderStyle: 'dashed',
          flex: 1,
        }}
      >
        <Thumbnail plan={row.plan} />
        <Stack gap={2} grow>
          <Txt as="heading" level={2}>
            {titleOf(ticket)}
          </Txt>
          <Txt
            as="small"
            tone="graphite"
          >{`${ticket.customer || 'for the shelf'} · ${row.plan.piece.fabric.name.toLowerCase()}`}</Txt>
          <Txt as="strong" tone={trouble ? 'madder' : 'ink'}>
            {text}
          </Txt>
          <Row align="middle" spread>
            <View
              style={{
                backgroundColor: p.tape,
                borderWidth: 1.5,
                borderColor: p.onTape,
                borderRadius: 3,
                paddingHorizontal: 8,
                paddingVertical: 2,
              }}
            >
              <Txt
                as="label"
                tone="onTape"
              >{`${row.states.findIndex((s) => s.stage === stage) + 1} ${STAGE_NAMES[stage]}`}</Txt>
            </View>
            <Txt as="small" tone="graphite">
              {dueInWords(ticket.due)}
            </Txt>
          </Row>
        </Stack>
      </Pressable>
    </Link>
  );
}

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

/** The columns of the board, by what is next on a ticket. */
const GROUPS = ['Measure and place', 'Hoop and mount', 'Stitch', 'Finish and log'] as const;
const GROUP_OF: Record<Stage, number> = {
  piece: 0,
  design: 0,
  place: 0,
  hoop: 1,
  layers: 1,
  mount: 1,
  stitch: 2,
  finish: 3,
  log: 3,
};
const groupOf = (row: BenchRow): number => GROUP_OF[stageInHand(row)];

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
  const rows = useMemo(() => rowsOf(kept, shop.shelf, shop.rules), [kept, shop.shelf, shop.rules]);
  const soughtKept = useSought(sought, kept);
  const found = useMemo(
    () => (soughtKept ? rowsOf(soughtKept, shop.shelf, shop.rules) : rows),
    [soughtKept, rows, shop.shelf, shop.rules],
  );
  const minutes = rows.reduce((sum, row) => sum + (row.plan.stitch?.totalMinutes ?? 0), 0);
  const subtitle = [
    format(new Date(), 'EEEE'),
    `${total} ${total === 1 ? 'piece' : 'pieces'}`,
    `${Math.round(minutes)} min of stitching${total > rows.length ? ` in the first ${rows.length}` : ''}`,
  ].join(', ');
  const start = <Press kind="main" title="Start a piece" onPress={() => router.push('/new')} />;
  return (
    <AmongPlaces>
      <ListScreen
        title="Bench"
        items={found}
        keyOf={({ kept: { ticket } }) => ticket.id}
        row={(row) => <TicketRow row={row} units={shop.units} />}
        rowWidth={336}
        {...(board && soughtKept === null ? { groups: GROUPS, groupOf } : {})}
        onEnd={more}
        subtitle={subtitle}
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
        {rows.length > 5 ? (
          <TextField label="Find a ticket" value={sought} onText={setSought} placeholder="name or customer" />
        ) : null}
        {isHere && rows.length === 0 ? <EmptyBench /> : null}
      </ListScreen>
    </AmongPlaces>
  );
}
