import { type Box, boxContainsPoint, boxOf } from '@zt/core/base/geometry/box';
import type { Point } from '@zt/core/base/geometry/point';
import type { DisplayUnits } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import { numberFor } from '@zt/core/catalogue/houseNumber';
import { PLACE_NUMBERS } from '@zt/core/catalogue/numbers/place';
import type { Finding } from '@zt/core/model/finding';
import type { PlaceInput } from '@zt/core/model/ticket/place';
import { placeAhead } from '@zt/core/planner/placeAhead';
import type { Face } from '@zt/core/stages/piece/planPiece';
import { movedCopy, posesOf } from '@zt/core/stages/place/moveCopy';
import { type ReactNode, useRef, useState } from 'react';
import { useFollowing } from '../hooks/useFollowing';
import { usePlan, useRules, useTicket, useTicketActs, useUnits } from '../hooks/useTicket';
import { gestureEnded } from '../store/editor';
import { useAppDispatch } from '../store/store';
import { Copies } from './layers/Copies';
import { FaceName, GrainArrow, Zigzag } from './layers/marks';
import { PieceLayer } from './layers/PieceLayer';
import { OnCloth } from './onSheet';
import { Sheet } from './Sheet';

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
  over?: ReactNode;
  /** Drawn between piece and design. */
  under?: ReactNode;
  draggable?: boolean;
  /** Something else on the sheet that can be taken hold of, before the design. */
  grip?: Grip;
  withDesign?: boolean;
  /** A tap on the piece, piece frame, mm. */
  onTap?: (at: Point) => void;
  /** Another face of the piece than the one the design goes on. */
  face?: Face;
}

/** Moves the design on the piece while it is dragged, snapping to the rule and to the grid. The plan follows. */
function useDesignDrag(draggable: boolean) {
  const ticket = useTicket('place');
  const { place } = usePlan('place');
  const rules = useRules();
  const { change } = useTicketActs();
  const dispatch = useAppDispatch();
  const start = useRef<PlaceInput | null>(null);
  const held = useRef(0);
  /** Where the hand has it, whether or not the plan has followed. */
  const [inHand, setInHand] = useState<PlaceInput | null>(null);
  const following = useFollowing((set: Partial<PlaceInput>) =>
    change({ stage: 'place', set }, 'design dragged'),
  );
  const holds = (at: Point, tolerance: number) => {
    if (!draggable || !place) return false;
    held.current = posesOf(place).findIndex(({ footprint }) =>
      boxContainsPoint(boxOf(footprint), at, tolerance),
    );
    return held.current >= 0;
  };
  const onDrag = (by: Point) => {
    if (!place) return;
    start.current ??= ticket.place;
    const moved = movedCopy(start.current, place, held.current, by, {
      units: rules.units,
      withinMm: numberFor(rules, PLACE_NUMBERS.snapMm),
    });
    setInHand({ ...ticket.place, ...moved });
    following.soon(moved);
  };
  const onDragEnd = () => {
    following.end();
    start.current = null;
    setInHand(null);
    dispatch(gestureEnded());
  };
  return { holds, onDrag, onDragEnd, inHand };
}

/** The first length in a finding: by how much it fails. */
function firstLength(finding: Finding, units: DisplayUnits): string | null {
  const length = finding.text.find((part) => typeof part === 'object' && 'mm' in part);
  return length ? say([length], units) : null;
}

/** A zigzag on every edge that fails, with by how much. */
function Troubles() {
  const { findings } = usePlan('findings');
  const units = useUnits();
  const troubles = findings.filter(
    (f) => f.at && (f.severity === 'stop' || f.severity === 'warn') && f.stage !== 'piece',
  );
  return troubles.map((f) => (f.at ? <Zigzag key={f.code} at={f.at} text={firstLength(f, units)} /> : null));
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
  onTap,
  face,
}: TicketSheetProps) {
  const plan = usePlan('piece', 'design', 'place');
  const design = useDesignDrag(draggable);
  const rules = useRules();
  const { inHand } = design;
  const dragging = inHand !== null;
  const place = inHand ? placeAhead(plan, inHand, rules) : plan.place;
  const byGrip = useRef(false);
  const holds = (at: Point, tolerance: number) => {
    byGrip.current = grip?.holds(at, tolerance) ?? false;
    return byGrip.current || design.holds(at, tolerance);
  };
  const taken = () => (byGrip.current && grip ? grip : design);
  const { piece } = plan;
  const own = face === undefined || face.view.id === piece.view.id;
  const outline = own ? (piece.geometry ?? piece.sketch) : face.sketch;
  return (
    <Sheet
      focus={focus}
      description={description}
      holds={holds}
      onDrag={(by) => taken().onDrag(by)}
      onDragEnd={() => taken().onDragEnd()}
      {...(onTap ? { onTap } : {})}
      still={dragging || (grip?.dragging ?? false)}
    >
      <PieceLayer piece={piece} outline={outline} bare={!own} />
      {under ? <OnCloth colour={piece.colour}>{under}</OnCloth> : null}
      {withDesign ? <Copies plan={{ ...plan, place }} boxed={dragging} /> : null}
      <GrainArrow />
      {piece.kind.views.length > 1 ? <FaceName name={(face?.view ?? piece.view).name} /> : null}
      {over ? <OnCloth colour={piece.colour}>{over}</OnCloth> : null}
      <Troubles />
    </Sheet>
  );
}
