import {
  boxOf,
  type Card,
  type DisplayUnits,
  deckOf,
  faceOf,
  grown,
  type Plan,
  type Stage,
  say,
} from '@zt/core';
import { useKeepAwake } from 'expo-keep-awake';
import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { Pressable, View } from 'react-native';
import { IconPress } from '../../components/ui/IconPress';
import { Txt } from '../../components/ui/Txt';
import { useOpenTicket } from '../../hooks/useTicket';
import { ChalkCross, Dimension } from '../../sheet/marks';
import { TicketSheet } from '../../sheet/TicketSheet';
import { placeFocus } from '../../stages/place/placeFocus';
import { WithTicket } from '../../stages/WithTicket';
import { useWide } from '../../theme/layout';
import { usePalette } from '../../theme/palette';

function CardDrawing({ card, plan, units }: { card: Card; plan: Plan; units: DisplayUnits }) {
  const face = card.face === null ? null : faceOf(plan.piece, card.face);
  const onPlace = face === null && plan.place !== null;
  const focus =
    onPlace && plan.place ? placeFocus(plan, plan.place) : boxOf((face ?? plan.piece).sketch.outline);
  const { tape, cross } = card;
  const points = [...(tape ? [tape.from, tape.to] : []), ...(cross ? [cross] : [])];
  const box =
    points.length > 0
      ? boxOf([...points, { x: focus.left, y: focus.top }, { x: focus.right, y: focus.bottom }])
      : focus;
  return (
    <TicketSheet
      focus={grown(box, 6)}
      description={say(card.text, units)}
      withDesign={onPlace}
      {...(face ? { face } : {})}
      over={(view, palette) => (
        <>
          {tape ? (
            <Dimension
              view={view}
              palette={palette}
              from={tape.from}
              to={tape.to}
              text={card.figure ? say([card.figure], units) : ''}
            />
          ) : null}
          {cross ? <ChalkCross view={view} palette={palette} at={cross} size={14} /> : null}
        </>
      )}
    />
  );
}

function Deck({ stage }: { stage: Stage }) {
  const { ticket, plan, units } = useOpenTicket();
  const p = usePalette();
  const router = useRouter();
  const wide = useWide();
  const [at, setAt] = useState(0);
  useKeepAwake();
  const deck = deckOf(stage, plan);
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
    <View role="main" style={{ flex: 1, backgroundColor: NIGHT }}>
      <View style={{ height: 8, backgroundColor: '#3A4656' }}>
        <View style={{ height: 8, width: `${((at + 1) / deck.length) * 100}%`, backgroundColor: p.tape }} />
      </View>
      <View style={{ flexDirection: 'row', alignItems: 'center', backgroundColor: p.paper }}>
        <IconPress icon="chevron-left" label="Step back" disabled={at === 0} onPress={() => setAt(at - 1)} />
        <View style={{ flex: 1, alignItems: 'center' }}>
          <Txt as="label" level={1}>{`${ticket.name}: ${at + 1} of ${deck.length}`}</Txt>
        </View>
        <IconPress icon="close" label="Close the cards" onPress={close} />
      </View>
      <View style={{ flex: 1, flexDirection: wide ? 'row' : 'column' }}>
        <View style={{ flex: 1 }}>
          <CardDrawing card={card} plan={plan} units={units} />
        </View>
        <Pressable
          role="button"
          aria-label="Next step"
          onPress={next}
          style={{ flex: 1, padding: 20, gap: 10, justifyContent: 'center' }}
        >
          <Txt as="title" style={{ color: LAMP, fontSize: 26, lineHeight: 33 }} live testID="card-text">
            {say(card.text, units)}
          </Txt>
          {card.figure ? (
            <Txt as="huge" style={{ color: YELLOW }} testID="card-figure">
              {say([card.figure], units)}
            </Txt>
          ) : null}
          {card.hint ? (
            <Txt style={{ color: LAMP, fontSize: 18, lineHeight: 24 }}>{say(card.hint, units)}</Txt>
          ) : null}
          {card.caution ? (
            <Txt as="strong" style={{ color: YELLOW, fontSize: 18, lineHeight: 24 }}>
              {say(card.caution, units)}
            </Txt>
          ) : null}
          <Txt style={{ color: '#B4BCC6' }}>
            {at + 1 < deck.length ? 'Tap anywhere here, or press space, for the next step' : 'Tap to finish'}
          </Txt>
        </Pressable>
      </View>
    </View>
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
