import {
  boxOf,
  type DisplayUnits,
  deckOf,
  faceOf,
  inflate,
  type Plan,
  type Stage,
  type Step,
  say,
} from '@zt/core';
import { useKeepAwake } from 'expo-keep-awake';
import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { View as NativeView, Pressable } from 'react-native';
import { IconPress } from '../../components/ui/IconPress';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useRules, useTicket, useUnits } from '../../hooks/useTicket';
import { HoopLayer } from '../../sheet/layers/HoopLayer';
import { ChalkCross, Dimension } from '../../sheet/layers/marks';
import { TicketSheet } from '../../sheet/TicketSheet';
import { placeFocus } from '../../stages/place/placeFocus';
import { WithTicket } from '../../stages/WithTicket';
import { useWide } from '../../theme/layout';
import { usePalette } from '../../theme/palette';
import { RingDrawing } from './RingDrawing';

function CardDrawing({ card, plan, units }: { card: Step; plan: Plan; units: DisplayUnits }) {
  const laid = plan.hoop?.laid;
  if (laid && plan.hoop && card.ring && card.ring !== 'notches')
    return (
      <RingDrawing
        picture={card.ring}
        laid={laid}
        cut={card.cut ?? plan.hoop.cut}
        units={units}
        description={say(card.text, units)}
      />
    );
  return <PieceCard card={card} plan={plan} units={units} />;
}

/** A card that is drawn on the piece: its tape, its cross, or the hoop where it lies. */
function PieceCard({ card, plan, units }: { card: Step; plan: Plan; units: DisplayUnits }) {
  const laid = card.ring === 'notches' ? (plan.hoop?.laid ?? null) : null;
  const face = card.face === null ? null : faceOf(plan.piece, card.face);
  const onPlace = face === null && plan.place !== null;
  const focus =
    onPlace && plan.place ? placeFocus(plan, plan.place) : boxOf((face ?? plan.piece).sketch.outline);
  const { tape, cross } = card;
  const points = [...(tape ? [tape.from, tape.to] : []), ...(cross ? [cross] : [])];
  const box = laid
    ? inflate(boxOf(laid.ring), 20)
    : points.length > 0
      ? boxOf([...points, { x: focus.left, y: focus.top }, { x: focus.right, y: focus.bottom }])
      : focus;
  return (
    <TicketSheet
      focus={inflate(box, 6)}
      description={say(card.text, units)}
      withDesign={onPlace}
      {...(face ? { face } : {})}
      over={
        <>
          {laid ? <HoopLayer laid={laid} /> : null}
          {laid ? <AxisEnds plan={plan} /> : null}
          {tape ? (
            <Dimension from={tape.from} to={tape.to} text={card.figure ? say([card.figure], units) : ''} />
          ) : null}
          {cross ? <ChalkCross at={cross} size={14} /> : null}
        </>
      }
    />
  );
}

/** The chalked axis through the hoop's notches. */
function AxisEnds({ plan }: { plan: Plan }) {
  return (plan.place?.axisEnds ?? []).map((end, i) => (
    <ChalkCross key={i === 0 ? 'left' : 'right'} at={end} size={10} />
  ));
}

function Deck({ stage }: { stage: Stage }) {
  const ticket = useTicket('id', 'name');
  const plan = usePlan();
  const units = useUnits();
  const rules = useRules();
  const p = usePalette();
  const router = useRouter();
  const wide = useWide();
  const [at, setAt] = useState(0);
  useKeepAwake();
  const deck = deckOf(stage, plan, rules);
  const card = deck[Math.min(at, deck.length - 1)];
  const close = () => router.replace(`/ticket/${ticket.id}/${stage}`);
  const next = () => (at + 1 < deck.length ? setAt(at + 1) : close());
  useEffect(() => {
    const down = (event: KeyboardEvent) => {
      if (event.key === ' ' || event.key === 'ArrowRight' || event.key === 'Enter') next();
      else if (event.key === 'ArrowLeft') setAt(Math.max(0, at - 1));
      else if (event.key === 'Escape') close();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', down);
    return () => window.removeEventListener('keydown', down);
  });
  if (!card) return <Txt>There are no steps here yet.</Txt>;
  return (
    <NativeView role="main" style={{ flex: 1, backgroundColor: NIGHT }}>
      <NativeView style={{ height: 8, backgroundColor: '#3A4656' }}>
        <NativeView
          style={{ height: 8, width: `${((at + 1) / deck.length) * 100}%`, backgroundColor: p.tape }}
        />
      </NativeView>
      <NativeView style={{ flexDirection: 'row', alignItems: 'center', backgroundColor: p.paper }}>
        <IconPress icon="back" label="Step back" disabled={at === 0} onPress={() => setAt(at - 1)} />
        <NativeView style={{ flex: 1, alignItems: 'center' }}>
          <Txt as="label" level={1}>{`${ticket.name}: ${at + 1} of ${deck.length}`}</Txt>
        </NativeView>
        <IconPress icon="close" label="Close the cards" onPress={close} />
      </NativeView>
      <NativeView style={{ flex: 1, flexDirection: wide ? 'row' : 'column' }}>
        <Stack grow>
          <CardDrawing card={card} plan={plan} units={units} />
        </Stack>
        <Pressable
          role="button"
          aria-label="Next step"
          onPress={next}
          style={{ flex: 1, padding: 20, gap: 10, justifyContent: 'center' }}
        >
          <Txt as="step" style={{ color: LAMP }} live testID="card-text">
            {say(card.text, units)}
          </Txt>
          {card.figure ? (
            <Txt as="huge" style={{ color: YELLOW }} testID="card-figure">
              {say([card.figure], units)}
            </Txt>
          ) : null}
          {card.hint ? (
            <Txt as="aside" style={{ color: LAMP }}>
              {say(card.hint, units)}
            </Txt>
          ) : null}
          {card.caution ? (
            <Txt as="aside" style={{ color: YELLOW }}>
              {say(card.caution, units)}
            </Txt>
          ) : null}
          <Txt style={{ color: '#B4BCC6' }}>
            {at + 1 < deck.length ? 'Tap anywhere here, or press space, for the next step' : 'Tap to finish'}
          </Txt>
        </Pressable>
      </NativeView>
    </NativeView>
  );
}

/** The cards are dark by day and by night, so that the figures stand out from across the table. */
const NIGHT = '#1F2B3A';
const LAMP = '#F7F2E8';
const YELLOW = '#EFBF45';

/** A stage as hands-busy cards: one step, one drawing, figures readable at arm's length. */
export function CardScreen({ id, stage }: { id: string; stage: Stage }) {
  return <WithTicket id={id}>{() => <Deck stage={stage} />}</WithTicket>;
}
