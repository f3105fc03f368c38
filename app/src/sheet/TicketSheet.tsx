import {
  type Box,
  boxOf,
  type DisplayUnits,
  type Finding,
  numberFor,
  type Point,
  plus,
  say,
  snapOffset,
} from '@zt/core';
import { type ReactNode, useCallback, useRef, useState } from 'react';
import { useOpenTicket } from '../hooks/useTicket';
import { gestureEnded } from '../store/editor';
import { useAppDispatch } from '../store/store';
import type { Palette } from '../theme/palette';
import { DesignLayer } from './DesignLayer';
import { GrainArrow, Zigzag } from './marks';
import { clothInk, PieceLayer, paletteOnCloth } from './PieceLayer';
import { Sheet } from './Sheet';
import type { View } from './view';

interface TicketSheetProps {
  focus: Box;
  description: string;
  /** Drawn over piece and design. */
  over?: (view: View, palette: Palette) => ReactNode;
  /** Drawn between piece and design. */
  under?: (view: View, palette: Palette) => ReactNode;
  draggable?: boolean;
  withDesign?: boolean;
}

/** Moves the design on the piece while it is dragged, snapping to the rule and to the grid. */
function useDesignDrag(draggable: boolean) {
  const { ticket, plan, rules, change } = useOpenTicket();
  const dispatch = useAppDispatch();
  const start = useRef<Point | null>(null);
  const [dragging, setDragging] = useState(false);
  const footprint = plan.place?.footprint;
  const holds = useCallback(
    (at: Point, tolerance: number) => {
      if (!draggable || !footprint) return false;
      const box = boxOf(footprint);
      return (
        at.x >= box.left - tolerance &&
        at.x <= box.right + tolerance &&
        at.y >= box.top - tolerance &&
        at.y <= box.bottom + tolerance
      );
    },
    [draggable, footprint],
  );
  const onDrag = (by: Point) => {
    start.current ??= ticket.place.offset;
    setDragging(true);
    const offset = snapOffset(plus(start.current, by), rules.units, numberFor(rules, 'snapMm'));
    if (offset.x !== ticket.place.offset.x || offset.y !== ticket.place.offset.y)
      change({ stage: 'place', set: { offset } }, 'design dragged');
  };
  const onDragEnd = () => {
    start.current = null;
    setDragging(false);
    dispatch(gestureEnded());
  };
  return { holds, onDrag, onDragEnd, dragging };
}

/** The first length in a finding: by how much it fails. */
function firstLength(finding: Finding, units: DisplayUnits): string | null {
  const length = finding.text.find((part) => typeof part === 'object' && 'mm' in part);
  return length ? say([length], units) : null;
}

/** The ticket's pattern sheet: the piece, the design where it lies, and what the stage adds. */
export function TicketSheet({
  focus,
  description,
  over,
  under,
  draggable = false,
  withDesign = true,
}: TicketSheetProps) {
  const { plan, units } = useOpenTicket();
  const { holds, onDrag, onDragEnd, dragging } = useDesignDrag(draggable);
  const { piece, design, place } = plan;
  const outline = piece.geometry ?? piece.sketch;
  const ink = clothInk(piece.colour);
  const troubles = plan.findings.filter((f) => f.at && f.severity !== 'note' && f.stage !== 'piece');
  return (
    <Sheet
      focus={focus}
      description={description}
      holds={holds}
      onDrag={onDrag}
      onDragEnd={onDragEnd}
      still={dragging}
      draw={(view, palette) => (
        <>
          <PieceLayer piece={piece} outline={outline} view={view} palette={palette} />
          {under?.(view, paletteOnCloth(palette, piece.colour))}
          {withDesign && place && design.facts ? (
            <DesignLayer
              facts={design.facts}
              view={view}
              at={place.centre}
              turnDeg={place.turnDeg}
              box={dragging ? place.footprint : null}
              ink={ink}
            />
          ) : null}
          <GrainArrow view={view} palette={palette} />
          {over?.(view, paletteOnCloth(palette, piece.colour))}
          {troubles.map((f) =>
            f.at ? (
              <Zigzag key={f.code} view={view} palette={palette} at={f.at} text={firstLength(f, units)} />
            ) : null,
          )}
        </>
      )}
    />
  );
}
