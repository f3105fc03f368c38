import { boxOf, inflate } from '@zt/core/base/geometry/box';
import type { Point } from '@zt/core/base/geometry/point';
import type { DisplayUnits } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import type { Plan } from '@zt/core/planner/planned';
import { laidElsewhere } from '@zt/core/stages/hoop/layHoop';
import { faceOf } from '@zt/core/stages/piece/planPiece';
import type { Step } from '@zt/core/table/deck/step';
import { HoopLayer } from '../../sheet/layers/HoopLayer';
import { ChalkCross, Dimension } from '../../sheet/layers/marks';
import { TicketSheet } from '../../sheet/TicketSheet';
import { placeFocus } from '../../stages/place/placeFocus';
import { RingDrawing } from './RingDrawing';

/** What a step is drawn as: a picture of the ring, or the piece. */
export function CardDrawing({ card, plan, units }: { card: Step; plan: Plan; units: DisplayUnits }) {
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
  const planned = card.ring === 'notches' ? (plan.hoop?.laid ?? null) : null;
  const laid = planned && card.hoop ? laidElsewhere(planned, card.hoop) : planned;
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
          {laid ? <Marks at={card.marks.length > 0 ? card.marks : (plan.place?.axisEnds ?? [])} /> : null}
          {tape ? (
            <Dimension from={tape.from} to={tape.to} text={card.figure ? say([card.figure], units) : ''} />
          ) : null}
          {cross ? <ChalkCross at={cross} size={14} /> : null}
        </>
      }
    />
  );
}

/** The chalked marks that the hoop is laid on. */
function Marks({ at }: { at: readonly Point[] }) {
  return at.map((mark, i) => <ChalkCross key={i} at={mark} size={10} />);
}
