import { boxOf } from '@zt/core/base/geometry/box';
import { formatFigure, formatLength } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import type { Plan } from '@zt/core/planner/planned';
import { isA } from '@zt/core/stages/piece/geometry';
import type { PlacePlan } from '@zt/core/stages/place/planPlace';
import type { ReactNode } from 'react';
import { G } from 'react-native-svg';
import { usePlan, useUnits } from '../../hooks/useTicket';
import { ChalkCross, Dimension } from '../../sheet/layers/marks';
import { useOnSheet } from '../../sheet/onSheet';
import { placesForFigures } from '../../sheet/placesForFigures';
import { TicketSheet } from '../../sheet/TicketSheet';
import { toMm, toPx } from '../../sheet/view';
import { useWide } from '../../theme/layout';
import { placeFocus } from './placeFocus';

interface OnPlace {
  plan: Pick<Plan, 'piece' | 'place'>;
  place: PlacePlan;
}

/** The width that is halved, with half of it on either side; not where the tape starts at an edge. */
function HalvingMarks({ plan, place }: OnPlace): ReactNode {
  const { view } = useOnSheet();
  const units = useUnits();
  const { sketch, view: face, centreLine } = plan.piece;
  const { [face.halving.left]: left, [face.halving.right]: right } = sketch.landmarks;
  const lineX = place.centre.x - place.acrossMm;
  if (!left || !right || Math.abs(place.acrossFrom.x - lineX) > 0.01) return null;
  const px = (n: number) => n / view.scale;
  const box = boxOf(place.footprint);
  const straight = Math.abs(boxOf(sketch.outline).left - left.x) < 0.01;
  const low = toMm(view, { x: 0, y: view.height - 22 }).y;
  const beside =
    face.datumSign < 0 || !isA(plan.piece.kind, 'worn')
      ? box.top - px(26)
      : Math.max(left.y, box.bottom + px(26));
  const y = Math.min(low, straight || isA(plan.piece.kind, 'worn') ? beside : left.y);
  const middleX = centreLine.used.offset + centreLine.used.slope * y;
  return (
    <G>
      <Dimension
        from={{ x: left.x, y }}
        to={{ x: middleX, y }}
        text={formatFigure(middleX - left.x, units)}
        at={0.4}
      />
      <Dimension
        from={{ x: middleX, y }}
        to={{ x: right.x, y }}
        text={formatFigure(right.x - middleX, units)}
        at={0.6}
      />
    </G>
  );
}

/** So much stands to the right of a design beside its depth: the line, half its figure, and the sheet's buttons. */
const ROOM_FOR_FIGURE_PX = 110;

/** Depth and distance across, as the tape reads them. */
function TapeMarks({ place }: OnPlace): ReactNode {
  const { view } = useOnSheet();
  const units = useUnits();
  const px = (n: number) => n / view.scale;
  const box = boxOf(place.footprint);
  const across = place.centre.x - place.acrossFrom.x;
  const isBeside = across < 0 && Math.abs(across) < box.right - box.left;
  // At the right edge of the sheet it would lie under the buttons.
  const isAtEdge = toPx(view, { x: box.right, y: box.top }).x + ROOM_FOR_FIGURE_PX > view.width;
  const [depthX, levelY] = [isBeside || isAtEdge ? box.left - px(34) : box.right + px(34), box.top - px(16)];
  const depth = {
    from: { x: depthX, y: place.depthFrom.y },
    to: { x: depthX, y: place.centre.y },
    text: formatFigure(place.depthMm, units),
  };
  const level = {
    from: { x: place.acrossFrom.x, y: levelY },
    to: { x: place.centre.x, y: levelY },
    text: formatFigure(Math.abs(across), units),
  };
  const [depthAt = 0.5, levelAt = 0.5] = placesForFigures(view, [depth, level]);
  return (
    <G>
      <Dimension
        {...depth}
        at={depthAt}
        leaders={[
          [place.depthFrom, { x: depthX, y: place.depthFrom.y }],
          [place.centre, { x: depthX, y: place.centre.y }],
        ]}
      />
      {Math.abs(across) > 1 ? (
        <Dimension {...level} at={levelAt} leaders={[[{ x: place.centre.x, y: levelY }, place.centre]]} />
      ) : null}
    </G>
  );
}

/** One gap between neighbours along a hem. */
function PitchMark({ place }: OnPlace): ReactNode {
  const { view } = useOnSheet();
  const units = useUnits();
  const [first, second] = place.copies;
  if (!place.run || !first || !second) return null;
  const y = boxOf(first.footprint).top - 30 / view.scale;
  return (
    <Dimension
      from={{ x: first.centre.x, y }}
      to={{ x: second.centre.x, y }}
      text={formatFigure(place.run.pitchMm, units)}
      leaders={[
        [{ x: first.centre.x, y }, first.centre],
        [{ x: second.centre.x, y }, second.centre],
      ]}
    />
  );
}

function PlaceMarks(on: OnPlace): ReactNode {
  const { place } = on;
  const many = place.copies.length > 1;
  return (
    <G>
      {many ? <PitchMark {...on} /> : <HalvingMarks {...on} />}
      {place.placement.copies === 'scatter' && many ? null : <TapeMarks {...on} />}
      {many ? (
        place.copies.map(({ centre }, i) => <ChalkCross key={i} at={centre} number={i + 1} size={7} />)
      ) : (
        <ChalkCross at={place.centre} />
      )}
      {many ? null : place.axisEnds.map((end) => <ChalkCross key={`${end.x} ${end.y}`} at={end} size={7} />)}
    </G>
  );
}

/** Where it goes, with the tape readings that find it. The design can be dragged, and so can each of its copies. */
export function PlaceDrawing() {
  const plan = usePlan('piece', 'place');
  const units = useUnits();
  const wide = useWide();
  const { place } = plan;
  if (!place) return null;
  const description = `${place.placement.faces}. ${place.marks.map((step, i) => `${i + 1}: ${say(step.text, units)}`).join(' ')} Centre ${formatLength(Math.abs(place.acrossMm), units)} from the centre line.`;
  return (
    <TicketSheet
      focus={placeFocus(plan, place, wide)}
      description={description}
      draggable
      over={<PlaceMarks plan={plan} place={place} />}
    />
  );
}
