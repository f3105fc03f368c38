import { boxOf, formatFigure, formatLength, isA, type PlacePlan, type Plan, say } from '@zt/core';
import type { ReactNode } from 'react';
import { G } from 'react-native-svg';
import { useOpenTicket } from '../../hooks/useTicket';
import { ChalkCross, Dimension } from '../../sheet/marks';
import { TicketSheet } from '../../sheet/TicketSheet';
import { toMm, type View } from '../../sheet/view';
import { useWide } from '../../theme/layout';
import type { Palette } from '../../theme/palette';
import { PieceDrawing } from '../piece/PieceDrawing';
import { placeFocus } from './placeFocus';

interface OnPlace {
  plan: Plan;
  place: PlacePlan;
  view: View;
  palette: Palette;
}

/** The width that is halved, with half of it on either side; not where the tape starts at an edge. */
function HalvingMarks({ plan, place, view, palette }: OnPlace): ReactNode {
  const { units } = useOpenTicket();
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
        view={view}
        palette={palette}
        from={{ x: left.x, y }}
        to={{ x: middleX, y }}
        text={formatFigure(middleX - left.x, units)}
        at={0.4}
      />
      <Dimension
        view={view}
        palette={palette}
        from={{ x: middleX, y }}
        to={{ x: right.x, y }}
        text={formatFigure(right.x - middleX, units)}
        at={0.6}
      />
    </G>
  );
}

/** Depth and distance across, as the tape reads them. */
function TapeMarks({ place, view, palette }: OnPlace): ReactNode {
  const { units } = useOpenTicket();
  const px = (n: number) => n / view.scale;
  const box = boxOf(place.footprint);
  const across = place.centre.x - place.acrossFrom.x;
  const [depthX, levelY] = [
    across < 0 && Math.abs(across) < box.right - box.left ? box.left - px(34) : box.right + px(34),
    box.top - px(16),
  ];
  return (
    <G>
      <Dimension
        view={view}
        palette={palette}
        from={{ x: depthX, y: place.depthFrom.y }}
        to={{ x: depthX, y: place.centre.y }}
        text={formatFigure(place.depthMm, units)}
        leaders={[
          [place.depthFrom, { x: depthX, y: place.depthFrom.y }],
          [place.centre, { x: depthX, y: place.centre.y }],
        ]}
      />
      {Math.abs(across) > 1 ? (
        <Dimension
          view={view}
          palette={palette}
          from={{ x: place.acrossFrom.x, y: levelY }}
          to={{ x: place.centre.x, y: levelY }}
          text={formatFigure(Math.abs(across), units)}
          leaders={[[{ x: place.centre.x, y: levelY }, place.centre]]}
        />
      ) : null}
    </G>
  );
}

/** One gap between neighbours along a hem. */
function PitchMark({ place, view, palette }: OnPlace): ReactNode {
  const { units } = useOpenTicket();
  const [first, second] = place.copies;
  if (!place.run || !first || !second) return null;
  const y = boxOf(first.footprint).top - 30 / view.scale;
  return (
    <Dimension
      view={view}
      palette={palette}
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
  const { place, view, palette } = on;
  const many = place.copies.length > 1;
  return (
    <G>
      {many ? <PitchMark {...on} /> : <HalvingMarks {...on} />}
      {place.placement.copies === 'scatter' && many ? null : <TapeMarks {...on} />}
      {many ? (
        place.copies.map(({ centre }, i) => (
          <ChalkCross key={i} view={view} palette={palette} at={centre} number={i + 1} size={7} />
        ))
      ) : (
        <ChalkCross view={view} palette={palette} at={place.centre} />
      )}
      {many
        ? null
        : place.axisEnds.map((end) => (
            <ChalkCross key={`${end.x} ${end.y}`} view={view} palette={palette} at={end} size={7} />
          ))}
    </G>
  );
}

/** Where it goes, with the tape readings that find it. The design can be dragged, and so can each of its copies. */
export function PlaceDrawing() {
  const { plan, units } = useOpenTicket();
  const wide = useWide();
  const { place } = plan;
  if (!place) return <PieceDrawing />;
  const description = `${place.placement.faces}. ${place.marks.map((step, i) => `${i + 1}: ${say(step.text, units)}`).join(' ')} Centre ${formatLength(Math.abs(place.acrossMm), units)} from the centre line.`;
  return (
    <TicketSheet
      focus={placeFocus(plan, place, wide)}
      description={description}
      draggable
      over={(view, palette) => <PlaceMarks plan={plan} place={place} view={view} palette={palette} />}
    />
  );
}
