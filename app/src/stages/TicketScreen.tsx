import { answerOf, deckOf, isInTheWay, STAGE_QUESTIONS, STAGES, type Stage, say } from '@zt/core';
import { useRouter } from 'expo-router';
import { ScrollView, View } from 'react-native';
import { FindingNote } from '../components/FindingNote';
import { Bar } from '../components/ui/Bar';
import { IconPress } from '../components/ui/IconPress';
import { Press } from '../components/ui/Press';
import { Stack } from '../components/ui/Stack';
import { Txt } from '../components/ui/Txt';
import { UnitsToggle } from '../components/ui/UnitsToggle';
import { useKeys } from '../hooks/useKeys';
import {
  TriedOut,
  useFindings,
  usePlan,
  useRules,
  useStageStates,
  useTicket,
  useTicketActs,
  useTrial,
  useUnits,
} from '../hooks/useTicket';
import type { Shop } from '../shop/useShop';
import { redone, stageSettled, undone } from '../store/editor';
import { useAppDispatch, useAppSelector } from '../store/store';
import { STAGE_NAMES, Tape } from '../tape/Tape';
import { useWide } from '../theme/layout';
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
  const ticket = useTicket('name', 'customer');
  const plan = usePlan('piece');
  const { save, news } = useAppSelector(({ editor }) => editor);
  const fabric = plan.piece.fabric.name;
  return (
    <Bar at="top">
      <IconPress icon="back" label="Back to the bench" onPress={onBack} />
      <Stack grow>
        <Txt as="heading" level={1} lines={1}>
          {ticket.name || 'New ticket'}
        </Txt>
        <Txt
          as="small"
          tone={['failed', 'refused'].includes(save) ? 'madder' : 'graphite'}
          live
          lines={1}
          testID="save-state"
        >
          {[
            SAVE_WORDS[save],
            news ? 'with changes from another device' : '',
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

function Foot({ stage, onStage }: { stage: Stage; onStage: (stage: Stage) => void }) {
  const ticket = useTicket('id');
  const plan = usePlan();
  const rules = useRules();
  const router = useRouter();
  const dispatch = useAppDispatch();
  const { past, future } = useAppSelector((state) => state.editor);
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
      {deckOf(stage, plan, rules).length > 0 ? (
        <Press title="At the table" onPress={() => router.push(`/ticket/${ticket.id}/card/${stage}`)} />
      ) : null}
      {Action ? <Action /> : null}
      {next ? <Press kind="main" title={`On to ${STAGE_NAMES[next]}`} onPress={goOn} /> : null}
    </Bar>
  );
}

function Panel({ stage, onStage }: { stage: Stage; onStage: (stage: Stage) => void }) {
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
  return (
    <ScrollView
      key={stage}
      style={{ flex: 1, backgroundColor: p.panel }}
      contentContainerStyle={{ paddingHorizontal: 16, paddingVertical: 12, gap: 12 }}
    >
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

function Body({ stage, shop }: { stage: Stage; shop: Shop }) {
  const ticket = useTicket('id');
  const states = useStageStates();
  const trial = useTrial();
  const router = useRouter();
  const wide = useWide();
  const p = usePalette();
  const onStage = (next: Stage) => router.replace(`/ticket/${ticket.id}/${next}`);
  useKeys({ stage, onStage, shop });
  const tape = <Tape stage={stage} states={states} onStage={onStage} />;
  return (
    <View role="main" style={{ flex: 1, backgroundColor: p.paper }}>
      <Header shop={shop} onBack={() => router.replace('/')} />
      {wide ? tape : null}
      <View style={{ flex: 1, flexDirection: wide ? 'row' : 'column' }}>
        <View style={wide ? { flex: 2 } : { height: '42%' }}>
          <View style={{ flex: 1, pointerEvents: trial ? 'none' : 'auto' }}>
            <TriedOut>
              <Drawing stage={stage} />
            </TriedOut>
          </View>
          {trial ? <TrialRibbon /> : null}
        </View>
        <View
          style={{
            flex: 1,
            minHeight: 0,
            borderTopWidth: wide ? 0 : 1.5,
            borderLeftWidth: wide ? 1.5 : 0,
            borderColor: p.ink,
          }}
        >
          <Panel stage={stage} onStage={onStage} />
          <Foot stage={stage} onStage={onStage} />
        </View>
      </View>
      {wide ? null : tape}
    </View>
  );
}

/** One ticket at one stage: the sheet, the panel beside or below it, the tape. */
export function TicketScreen({ id, stage }: { id: string; stage: Stage }) {
  return <WithTicket id={id}>{(shop) => <Body stage={stage} shop={shop} />}</WithTicket>;
}
