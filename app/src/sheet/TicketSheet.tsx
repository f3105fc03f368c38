import {
  type Box,
  boxContainsPoint,
  boxOf,
  type DisplayUnits,
  type Face,
  type Finding,
  movedCopy,
  numberFor,
  PLACE_NUMBERS,
  type PlaceInput,
  type Point,
  posesOf,
  say,
} from '@zt/core';
import { type ReactNode, useCallback, useRef, useState } from 'react';
import { useOpenTicket } from '../hooks/useTicket';
import { gestureEnded } from '../store/editor';
import { useAppDispatch } from '../store/store';
import type { Palette } from '../theme/palette';
import { Copies } from './Copies';
import { FaceName, GrainArrow, Zigzag } from './marks';
import { PieceLayer, paletteOnCloth } from './PieceLayer';
import { Sheet } from './Sheet';
import type { View } from './view';

/** Something on the sheet that a hand can move. Points in the piece frame, mm. */
export interface Grip {
  holds: (at: Point, tolerance: number) => boolean;
  /** It was moved by so much since it was taken hold of. */
  onDrag: (by: Point) => void;
  onDragEnd: () => void;
  dragging: boolean;
}

interface TicketSheetProps {
  focus: Box;
  description: string;
  /** Drawn over piece and design. */
  over?: (view: View, palette: Palette) => ReactNode;
  /** Drawn between piece and design. */
  under?: (view: View, palette: Palette) => ReactNode;
  draggable?: boolean;
  /** Something else on the sheet that can be taken hold of, before the design. */
  grip?: Grip;
  withDesign?: boolean;
  /** Another face of the piece than the one the design goes on. */
  face?: Face;
}

/** Moves the design on the piece while it is dragged, snapping to the rule and to the grid. */
function useDesignDrag(draggable: boolean) {
  const { ticket, plan, rules, change } = useOpenTicket();
  const dispatch = useAppDispatch();
  const start = useRef<PlaceInput | null>(null);
  const held = useRef(0);
  const [dragging, setDragging] = useState(false);
  const { place } = plan;
  const holds = useCallback(
    (at: Point, tolerance: number) => {
      if (!draggable || !place) return false;
      held.current = posesOf(place).findIndex(({ footprint }) =>
        boxContainsPoint(boxOf(footprint), at, tolerance),
      );
      return held.current >= 0;
    },
    [draggable, place],
  );
  const onDrag = (by: Point) => {
    start.current ??= ticket.place;
    setDragging(true);
    const moved = place
      ? movedCopy(start.current, place, held.current, by, {
          units: rules.units,
          withinMm: numberFor(rules, PLACE_NUMBERS.snapMm),
        })
      : {};
    const keys = Object.keys(moved) as (keyof PlaceInput)[];
    if (keys.some((key) => JSON.stringify(moved[key]) !== JSON.stringify(ticket.place[key])))
      change({ stage: 'place', set: moved }, 'design dragged');
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
  grip,
  withDesign = true,
  face,
}: TicketSheetProps) {
  const { plan, units } = useOpenTicket();
  const design = useDesignDrag(draggable);
  const { dragging } = design;
  const byGrip = useRef(false);
  const holds = (at: Point, tolerance: number) => {
    byGrip.current = grip?.holds(at, tolerance) ?? false;
    return byGrip.current || design.holds(at, tolerance);
  };
  const inHand = () => (byGrip.current && grip ? grip : design);
  const { piece } = plan;
  const own = face === undefined || face.view.id === piece.view.id;
  const outline = own ? (piece.geometry ?? piece.sketch) : face.sketch;
  const troubles = plan.findings.filter(
    (f) => f.at && (f.severity === 'stop' || f.severity === 'warn') && f.stage !== 'piece',
  );
  return (
    <Sheet
      focus={focus}
      description={description}
      holds={holds}
      onDrag={(by) => inHand().onDrag(by)}
      onDragEnd={() => inHand().onDragEnd()}
      still={dragging || (grip?.dragging ?? false)}
      draw={(view, palette) => (
        <>
          <PieceLayer piece={piece} outline={outline} view={view} palette={palette} bare={!own} />
          {under?.(view, paletteOnCloth(palette, piece.colour))}
          {withDesign ? <Copies plan={plan} view={view} boxed={dragging} /> : null}
          <GrainArrow view={view} palette={palette} />
          {piece.kind.views.length > 1 ? (
            <FaceName palette={palette} name={(face?.view ?? piece.view).name} />
          ) : null}
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
