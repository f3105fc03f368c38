import type { DisplayUnits } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import { type Finding, isInTheWay } from '@zt/core/model/finding';
import { STAGE_QUESTIONS, STAGES, type Stage } from '@zt/core/model/stages';
import { hasActs } from '@zt/core/planner/hands/ofStage';
import { nameInHand } from '@zt/core/planner/onTable';
import { answerOf } from '@zt/core/planner/settle';
import { titleOf } from '@zt/core/planner/titleOf';
import { calledName } from '@zt/core/stages/design/names/onTable';
import { useRouter } from 'expo-router';
import { type ReactNode, useEffect, useLayoutEffect, useRef, useState } from 'react';
import {
  type NativeScrollEvent,
  type NativeSyntheticEvent,
  ScrollView,
  useWindowDimensions,
  View,
} from 'react-native';
import { FindingNote } from '../components/FindingNote';
import { Bar } from '../components/ui/Bar';
import { IconPress } from '../components/ui/IconPress';
import { Press } from '../components/ui/Press';
import { Split } from '../components/ui/Split';
import { Stack } from '../components/ui/Stack';
import { Txt } from '../components/ui/Txt';
import { UnitsToggle } from '../components/ui/UnitsToggle';
import { announce } from '../everyone/announce';
import { focusOn, hasBeenActedOn } from '../everyone/focus';
import { usePageTitle } from '../everyone/usePageTitle';
import { Guide } from '../example/Guide';
import { useIsExample } from '../example/useExample';
import { useKeys } from '../hooks/useKeys';
import {
  TriedOut,
  useFindings,
  usePlan,
  useReading,
  useRules,
  useStageStates,
  useTicket,
  useTicketActs,
  useTrial,
  useUnits,
} from '../hooks/useTicket';
import type { Shop } from '../shop/useShop';
import { StitchesAtWork } from '../stitches/StitchesAtWork';
import { redone, stageSettled, undone } from '../store/editor';
import { useAppDispatch, useAppSelector } from '../store/store';
import { STAGE_NAMES, Tape } from '../tape/Tape';
import { useLow, useWide } from '../theme/layout';
import { usePalette } from '../theme/palette';
import { NotTaken, OffBench } from './NotTaken';
import { OffersOf } from './Offers';
import { STAGE_VIEWS, useDrawing } from './registry';
import { WithTicket } from './WithTicket';

const SAVE_WORDS = {
  saved: 'saved',
  unsaved: 'saving',
  saving: 'saving',
  failed: 'not saved, trying again',
  refused: 'not saved',
} as const;

function Header({ shop, onBack }: { shop: Shop; onBack: () => void }) {
  const ticket = useTicket('name', 'customer', 'design', 'piece');
  const plan = usePlan('piece');
  const { save, news } = useAppSelector(({ editor }) => editor);
  const isExample = useIsExample();
  const fabric = plan.piece.fabric.name;
  const inHand = nameInHand(ticket);
  return (
    <Bar at="top">
      <IconPress icon="back" label="Back to the bench" onPress={onBack} />
      <Stack grow>
        <Txt as="heading" level={1} lines={1}>
          {titleOf(ticket)}
        </Txt>
        <Txt
          as="small"
          tone={['failed', 'refused'].includes(save) ? 'madder' : 'graphite'}
          live
          lines={1}
          testID="save-state"
        >
          {[
            isExample ? 'kept nowhere' : SAVE_WORDS[save],
            news ? 'with changes from another device' : '',
            inHand ? `${calledName(inHand.row)}, ${inHand.number} of ${inHand.of}` : '',
            ticket.customer || fabric.toLowerCase(),
          ]
            .filter(Boolean)
            .join(' · ')}
        </Txt>
      </Stack>
      <UnitsToggle units={shop.units} onUnits={shop.setUnits} />
    </Bar>
  );
}

/** On a page as narrow as this the foot's words are short. */
const NARROW_BELOW = 380;
/** And where the panel stands beside the sheet on a page as narrow as this. */
const NARROW_SIDE_BELOW = 1000;

function Foot({ stage, onStage }: { stage: Stage; onStage: (stage: Stage) => void }) {
  const ticket = useTicket('id');
  const plan = usePlan();
  const rules = useRules();
  const router = useRouter();
  const dispatch = useAppDispatch();
  const { past, future } = useAppSelector((state) => state.editor);
  const wide = useWide();
  const { width } = useWindowDimensions();
  const narrow = width < (wide ? NARROW_SIDE_BELOW : NARROW_BELOW);
  const { Action } = STAGE_VIEWS[stage];
  const next = STAGES[STAGES.indexOf(stage) + 1];
  const stopped = plan.findings.some((f) => f.stage === stage && isInTheWay(f));
  const goOn = () => {
    if (!next) return;
    if (!stopped) dispatch(stageSettled({ stage, as: answerOf(stage, plan) }));
    onStage(next);
  };
  return (
    <Bar at="foot">
      <IconPress icon="undo" label="Undo" disabled={past.length === 0} onPress={() => dispatch(undone())} />
      <IconPress icon="redo" label="Redo" disabled={future.length === 0} onPress={() => dispatch(redone())} />
      <Stack grow />
      {hasActs(stage, plan, rules) ? (
        <Press
          title={narrow ? 'Table' : 'At the table'}
          label="At the table"
          onPress={() => router.push(`/ticket/${ticket.id}/card/${stage}`)}
        />
      ) : null}
      {Action ? <Action /> : null}
      {next ? (
        <Press
          kind="main"
          title={narrow ? STAGE_NAMES[next] : `On to ${STAGE_NAMES[next]}`}
          label={`On to ${STAGE_NAMES[next]}`}
          onPress={goOn}
        />
      ) : null}
    </Bar>
  );
}

/** What was found wrong since, said to those who listen. */
function useFindingsSaid(findings: readonly Finding[], units: DisplayUnits) {
  const said = useRef<string | null>(null);
  useEffect(() => {
    const grave = findings.filter(({ severity }) => severity === 'stop' || severity === 'warn');
    const now = grave.map(({ text }) => say(text, units)).join(' ');
    // What stands there as the stage is opened is read with it.
    if (said.current !== null && said.current !== now)
      announce(now === '' ? 'Nothing is wrong here now.' : now);
    said.current = now;
  }, [findings, units]);
}

/** Those who listen, or work by keys, are led to the panel of the stage that was gone to. */
function useLedToPanel(stage: Stage) {
  const panel = useRef<View>(null);
  useEffect(() => {
    const place = panel.current as unknown as HTMLElement | null;
    // Each stage is a page of its own; a field in it that takes the keys keeps them.
    if (stage && hasBeenActedOn() && !place?.contains(document.activeElement)) focusOn(place);
  }, [stage]);
  return panel;
}

interface PanelProps {
  stage: Stage;
  onStage: (stage: Stage) => void;
  /** How the sheet above gives way; null where it does not. */
  way: Pick<ReturnType<typeof useGivingWay>, 'panel' | 'onScroll' | 'onHand'> | null;
  /** What is scrolled with it, above it. */
  children: ReactNode;
}

function Panel({ stage, onStage, way, children }: PanelProps) {
  const findings = useFindings(stage);
  const states = useStageStates();
  const units = useUnits();
  const trial = useTrial();
  const { take, tryOut } = useTicketActs();
  const p = usePalette();
  const { Panel: Body } = STAGE_VIEWS[stage];
  const blocked = states.find((s) => s.stage === stage)?.blocked ?? false;
  const waitsFor = states.find((s) => s.trouble === 'stop' || s.trouble === 'next')?.stage ?? 'piece';
  const wide = useWide();
  const panel = useLedToPanel(stage);
  const isLow = useLow();
  const guide = <Guide stage={stage} onStage={onStage} />;
  useFindingsSaid(findings, units);
  return (
    <View
      ref={panel}
      role="region"
      aria-label={`${STAGE_NAMES[stage]}: ${STAGE_QUESTIONS[stage]}`}
      {...(way?.onHand ?? {})}
      style={{ flex: 1, minHeight: 0 }}
    >
      {isLow ? null : guide}
      <ScrollView
        key={stage}
        {...(way ? { ref: way.panel, onScroll: way.onScroll, scrollEventThrottle: 16 } : {})}
        style={{ flex: 1, backgroundColor: p.panel }}
        contentContainerStyle={{ paddingHorizontal: 16, paddingVertical: 12, gap: 12 }}
      >
        {children}
        {isLow ? guide : null}
        {wide ? (
          <Txt as="small" tone="graphite">
            {STAGE_QUESTIONS[stage]}
          </Txt>
        ) : null}
        <OffBench />
        <NotTaken stage={stage} onStage={onStage} />
        <OffersOf stage={stage} />
        {findings
          .filter((f) => f.field === undefined)
          .map((finding) => (
            <FindingNote
              key={`${finding.code} ${JSON.stringify(finding.text)}`}
              finding={finding}
              units={units}
              onMend={take}
              trial={{ mend: trial, onTry: tryOut }}
            />
          ))}
        {blocked && stage !== 'log' ? (
          <Stack gap={10}>
            <Txt as="heading" level={2}>{`${STAGE_NAMES[stage]} waits for ${STAGE_NAMES[waitsFor]}`}</Txt>
            <Txt>Nothing is worked out from numbers that are missing or cannot be right.</Txt>
            <Press kind="main" title={`Go to ${STAGE_NAMES[waitsFor]}`} onPress={() => onStage(waitsFor)} />
          </Stack>
        ) : (
          <Body />
        )}
      </ScrollView>
    </View>
  );
}

/** Says on the sheet that it shows a trial. */
function TrialRibbon() {
  const trial = useTrial();
  const units = useUnits();
  const p = usePalette();
  return (
    <View
      role="status"
      style={{
        position: 'absolute',
        left: 0,
        right: 0,
        bottom: 0,
        padding: 6,
        backgroundColor: p.tape,
        borderTopWidth: 1.5,
        borderColor: p.ink,
      }}
    >
      <Txt as="label" tone="onTape">{`Trial, nothing changed yet: ${say(trial?.label ?? [], units)}`}</Txt>
    </View>
  );
}

function Drawing({ stage }: { stage: Stage }) {
  const StageDrawing = useDrawing(stage);
  return <StageDrawing />;
}

/** The share of a phone's height that the sheet has, and its strip while the panel is read, px. */
const SHEET_SHARE = 0.38;
const STRIP_PX = 104;
const READ_PX = 24;

/**
 * The sheet gives way once so much of the panel was scrolled as it gives: what is read stays where it is on the screen.
 * It comes back when it is touched, or when a figure on it is meant.
 */
function useGivingWay(stage: Stage) {
  const reading = useReading();
  const trial = useTrial();
  const full = Math.round(useWindowDimensions().height * SHEET_SHARE);
  const gives = Math.max(0, full - STRIP_PX);
  const panel = useRef<ScrollView>(null);
  const scrolled = useRef(0);
  /** Where the panel was put as the sheet changed: from there on it is the hand that scrolls. */
  const leftAt = useRef(0);
  /** What was touched last: a panel that only grew is scrolled by nobody. */
  const isByHand = useRef(false);
  const meant = `${stage} ${reading} ${trial === null}`;
  const [isStrip, setIsStrip] = useState(false);
  const [before, setBefore] = useState(meant);
  if (before !== meant) {
    setBefore(meant);
    setIsStrip(false);
  }
  const wasStrip = useRef(false);
  useLayoutEffect(() => {
    if (wasStrip.current === isStrip) return;
    wasStrip.current = isStrip;
    leftAt.current = Math.max(0, scrolled.current + (isStrip ? -gives : gives));
    panel.current?.scrollTo({ y: leftAt.current, animated: false });
  }, [isStrip, gives]);
  const onScroll = ({ nativeEvent }: NativeSyntheticEvent<NativeScrollEvent>) => {
    scrolled.current = nativeEvent.contentOffset.y;
    const isFar = Math.abs(scrolled.current - leftAt.current) > READ_PX;
    if (isByHand.current && isFar && scrolled.current > gives) setIsStrip(true);
  };
  const hand = () => {
    isByHand.current = true;
  };
  const onTouch = () => {
    isByHand.current = false;
    setIsStrip(false);
  };
  const onHand = { onPointerDown: hand, onWheel: hand, onKeyDown: hand };
  return { height: isStrip ? STRIP_PX : full, panel, onScroll, onHand, onTouch };
}

function StageSheet({ stage }: { stage: Stage }) {
  const trial = useTrial();
  return (
    <>
      <View style={{ flex: 1, pointerEvents: trial ? 'none' : 'auto' }}>
        <TriedOut>
          <Drawing stage={stage} />
        </TriedOut>
      </View>
      {trial ? <TrialRibbon /> : null}
    </>
  );
}

function Body({ stage, shop }: { stage: Stage; shop: Shop }) {
  const ticket = useTicket('id', 'name', 'design', 'piece');
  const { id } = ticket;
  const states = useStageStates();
  const router = useRouter();
  const wide = useWide();
  const low = useLow();
  const p = usePalette();
  const way = useGivingWay(stage);
  const onStage = (next: Stage) => router.replace(`/ticket/${id}/${next}`);
  usePageTitle(`${STAGE_NAMES[stage]}, ${titleOf(ticket)}`);
  useKeys({ stage, onStage, shop });
  const tape = <Tape stage={stage} states={states} onStage={onStage} />;
  const header = <Header shop={shop} onBack={() => router.replace('/')} />;
  // Where there is little height the header and the sheet are scrolled with the panel.
  const scrolled = low && !wide;
  const sheet = (
    <View
      // Not while something on it is in the hand: it would be drawn larger under the finger.
      onPointerUp={way.onTouch}
      style={wide ? { flex: 1 } : { height: scrolled ? STRIP_PX : way.height }}
    >
      <StageSheet stage={stage} />
    </View>
  );
  const panel = (
    <>
      <Panel stage={stage} onStage={onStage} way={wide || scrolled ? null : way}>
        {scrolled ? (
          <View style={{ marginHorizontal: -16, marginTop: -12 }}>
            {header}
            {sheet}
          </View>
        ) : null}
      </Panel>
      <Foot stage={stage} onStage={onStage} />
    </>
  );
  return (
    <View role="main" style={{ flex: 1, backgroundColor: p.paper }}>
      {scrolled ? null : header}
      {wide ? tape : null}
      {wide ? (
        <Split first={sheet} second={panel} />
      ) : (
        <>
          {scrolled ? null : sheet}
          <View style={{ flex: 1, minHeight: 0, borderTopWidth: scrolled ? 0 : 1.5, borderColor: p.ink }}>
            {panel}
          </View>
        </>
      )}
      {wide ? null : tape}
    </View>
  );
}

/** One ticket at one stage: the sheet, the panel beside or below it, the tape. */
export function TicketScreen({ id, stage }: { id: string; stage: Stage }) {
  return (
    <WithTicket id={id}>
      {(shop) => (
        <>
          <StitchesAtWork stage={stage} />
          <Body stage={stage} shop={shop} />
        </>
      )}
    </WithTicket>
  );
}
