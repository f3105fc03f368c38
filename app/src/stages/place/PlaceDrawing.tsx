import { type Box, boxOf, formatFigure, formatLength, type PlacePlan, type Plan, say } from '@zt/core';
import type { ReactNode } from 'react';
import { G } from 'react-native-svg';
import { useOpenTicket } from '../../hooks/useTicket';
import { ChalkCross, Dimension } from '../../sheet/marks';
import { TicketSheet } from '../../sheet/TicketSheet';
import { toMm, type View } from '../../sheet/view';
import type { Palette } from '../../theme/palette';
import { PieceDrawing } from '../piece/PieceDrawing';

/** The part of the piece that the marks speak of. It stays where it is when the design is moved off its rule. */
export function placeFocus(plan: Plan, place: PlacePlan): Box {
  const body = boxOf(plan.piece.sketch.hoopable);
  const box = boxOf(place.footprint);
  const moved = place.centre.y - place.ruled.y;
  const [top, foot] = [box.top - moved, box.bottom - moved];
  const span = (body.right - body.left) * 0.16;
  return plan.piece.kind.worn
    ? {
        left: body.left,
        right: body.right,
        top: body.top - 8,
        bottom: Math.max(foot + span, (plan.piece.sketch.landmarks.underarmRight?.y ?? 0) + span * 0.5),
      }
    : { left: body.left - 10, right: body.right + 10, top: top - span, bottom: 6 };
}

function PlaceMarks({
  plan,
  place,
  view,
  palette,
}: {
  plan: Plan;
  place: PlacePlan;
  view: View;
  palette: Palette;
}): ReactNode {
  const { units } = useOpenTicket();
  const px = (n: number) => n / view.scale;
  const box = boxOf(place.footprint);
  const across = place.acrossMm;
  const lineX = place.centre.x - across;
  const depthX = box.right + px(34);
  const levelY = box.top - px(16);
  const worn = plan.piece.kind.worn;
  const { underarmLeft, underarmRight, sideLeft, sideRight } = plan.piece.sketch.landmarks;
  const [left, right] = [underarmLeft ?? sideLeft, underarmRight ?? sideRight];
  const low = toMm(view, { x: 0, y: view.height - 22 }).y;
  const halfY = Math.min(low, worn ? Math.max(left?.y ?? 0, box.bottom + px(26)) : box.top - px(26));
  const middleX = plan.piece.centreLine.used.offset + plan.piece.centreLine.used.slope * halfY;
  return (
    <G>
      {left && right ? (
        <G>
          <Dimension
            view={view}
            palette={palette}
            from={{ x: left.x, y: halfY }}
            to={{ x: middleX, y: halfY }}
            text={formatFigure(middleX - left.x, units)}
            at={0.4}
          />
          <Dimension
            view={view}
            palette={palette}
            from={{ x: middleX, y: halfY }}
            to={{ x: right.x, y: halfY }}
            text={formatFigure(right.x - middleX, units)}
            at={0.6}
          />
        </G>
      ) : null}
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
          from={{ x: lineX, y: levelY }}
          to={{ x: place.centre.x, y: levelY }}
          text={formatFigure(Math.abs(across), units)}
          leaders={[[{ x: place.centre.x, y: levelY }, place.centre]]}
        />
      ) : null}
      <ChalkCross view={view} palette={palette} at={place.centre} />
      {place.axisEnds.map((end) => (
        <ChalkCross key={end.x} view={view} palette={palette} at={end} size={7} />
      ))}
    </G>
  );
}

/** Where it goes, with the tape readings that find it. The design can be dragged. */
export function PlaceDrawing() {
  const { plan, units } = useOpenTicket();
  const { place } = plan;
  if (!place) return <PieceDrawing />;
  const description = `${place.placement.faces}. ${place.marks.map((step, i) => `${i + 1}: ${say(step.text, units)}`).join(' ')} Centre ${formatLength(Math.abs(place.acrossMm), units)} from the centre line.`;
  return (
    <TicketSheet
      focus={placeFocus(plan, place)}
      description={description}
      draggable
      over={(view, palette) => <PlaceMarks plan={plan} place={place} view={view} palette={palette} />}
    />
  );
}
