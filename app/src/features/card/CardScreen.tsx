import type { Stage } from '@zt/core/model/stages';
import { nameInHand } from '@zt/core/planner/onTable';
import { titleOf } from '@zt/core/planner/titleOf';
import { calledName } from '@zt/core/stages/design/names/onTable';
import { spoken } from '@zt/core/table/deck/spoken';
import { useKeepAwake } from 'expo-keep-awake';
import { useRouter } from 'expo-router';
import { lazy, Suspense, useEffect } from 'react';
import { View as NativeView, ScrollView } from 'react-native';
import { IconPress } from '../../components/ui/IconPress';
import { Press } from '../../components/ui/Press';
import { Txt } from '../../components/ui/Txt';
import { isOnControl } from '../../everyone/keys';
import { usePageTitle } from '../../everyone/usePageTitle';
import { usePlan, useTicket, useUnits } from '../../hooks/useTicket';
import { WithTicket } from '../../stages/WithTicket';
import { STAGE_NAMES } from '../../tape/Tape';
import { useLow, useWide } from '../../theme/layout';
import { usePalette } from '../../theme/palette';
import { CardDrawing } from './CardDrawing';
import { CardPress } from './CardPress';
import { DeckEnd } from './DeckEnd';
import { NIGHT } from './dark';
import { StepWords } from './StepWords';
import { useAloud } from './useAloud';
import { type DeckInHand, useDeck, useStageInHand } from './useDeck';
import { Voice } from './Voice';

/** The day that is planned is fetched behind the deck. */
const DayAtTable = lazy(() => import('../../day/index').then((own) => ({ default: own.DayAtTable })));

const PAGE_ON = ['PageDown', 'ArrowRight', 'ArrowDown'];
const PAGE_BACK = ['PageUp', 'ArrowLeft', 'ArrowUp'];

/** Space, enter and a page-turner's keys go through the deck; what has keys of its own keeps them. */
function useDeckKeys({ next, back }: Pick<DeckInHand, 'next' | 'back'>, close: () => void) {
  useEffect(() => {
    const down = (event: KeyboardEvent) => {
      const { key, target } = event;
      const inField = target instanceof HTMLElement && target.matches('input, textarea');
      if (inField && !key.startsWith('Page') && key !== 'Escape') return;
      if (PAGE_ON.includes(key)) next();
      else if (PAGE_BACK.includes(key)) back();
      else if (key === 'Escape') close();
      else if ((key === ' ' || key === 'Enter') && !isOnControl(target)) next();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', down);
    return () => window.removeEventListener('keydown', down);
  });
}

function Deck({ stage: from }: { stage: Stage }) {
  const ticket = useTicket('id', 'name', 'design', 'piece');
  const plan = usePlan();
  const units = useUnits();
  const p = usePalette();
  const router = useRouter();
  const wide = useWide();
  const low = useLow();
  const deck = useDeck(from);
  const inHand = nameInHand(ticket);
  const { steps, index, step, next, back } = deck;
  const stage = useStageInHand(deck, from);
  const aloud = useAloud(step ? spoken(step, units) : '');
  useKeepAwake();
  usePageTitle(`At the table, ${titleOf(ticket)}`);
  const close = () => router.replace(`/ticket/${ticket.id}/${stage}`);
  useDeckKeys(deck, close);
  const drawing = step ? (
    <NativeView style={wide ? { flex: 1 } : { height: low ? 120 : '38%' }}>
      <CardDrawing card={step} plan={plan} units={units} />
    </NativeView>
  ) : null;
  return (
    <NativeView role="main" style={{ flex: 1, backgroundColor: NIGHT }}>
      <NativeView style={{ height: 8, backgroundColor: '#3A4656' }}>
        <NativeView
          style={{
            height: 8,
            width: `${(Math.min(index + 1, steps.length) / Math.max(1, steps.length)) * 100}%`,
            backgroundColor: p.tape,
          }}
        />
      </NativeView>
      <NativeView style={{ flexDirection: 'row', alignItems: 'center', backgroundColor: p.paper }}>
        <IconPress icon="back" label="Step back" disabled={index === 0} onPress={back} />
        <NativeView style={{ flex: 1, alignItems: 'center' }}>
          <Txt as="label" level={1} lines={1}>
            {[
              step ? `${STAGE_NAMES[stage]}: ${index + 1} of ${steps.length}` : 'All steps',
              inHand ? calledName(inHand.row) : '',
            ]
              .filter(Boolean)
              .join(' · ')}
          </Txt>
        </NativeView>
        <Press
          title={aloud.on ? 'Silent' : 'Aloud'}
          label={aloud.on ? 'Stop reading aloud' : 'Read the steps aloud'}
          onPress={() => aloud.turn(!aloud.on)}
        />
        <IconPress icon="close" label="Stop here" onPress={close} />
      </NativeView>
      <NativeView style={{ flex: 1, minHeight: 0, flexDirection: wide ? 'row' : 'column' }}>
        {low && !wide ? null : drawing}
        <NativeView style={{ flex: 1, minHeight: 0 }}>
          <ScrollView
            key={step?.id ?? 'end'}
            tabIndex={0}
            style={{ flex: 1 }}
            contentContainerStyle={{ flexGrow: 1, justifyContent: 'center' }}
          >
            {/* A tap anywhere goes on; those who work by keys, or listen, have the button. */}
            <NativeView
              style={{ flexGrow: 1, padding: 20, justifyContent: 'center' }}
              {...(step && step.reading === null && step.keys === null ? { onClick: next } : {})}
            >
              {step ? <StepWords step={step} done={deck.isDone} onNext={next} /> : <DeckEnd stage={stage} />}
            </NativeView>
            {low && !wide ? drawing : null}
          </ScrollView>
          <Suspense>
            <DayAtTable ticketId={ticket.id} />
          </Suspense>
          <Voice aloud={aloud} />
          {step ? (
            <NativeView style={{ padding: 16, paddingTop: 8, flexDirection: 'row' }}>
              <CardPress
                main
                title={index + 1 < steps.length ? 'Next' : 'Done'}
                label="Next step"
                onPress={next}
              />
            </NativeView>
          ) : null}
        </NativeView>
      </NativeView>
    </NativeView>
  );
}

/** The whole job as hands-busy cards from a stage on: one step, one drawing, figures readable at arm's length. */
export function CardScreen({ id, stage }: { id: string; stage: Stage }) {
  return <WithTicket id={id}>{() => <Deck stage={stage} />}</WithTicket>;
}
