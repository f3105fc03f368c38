import { distanceToSegment, negate, type Point, rotate } from '@zt/core';
import { useRef, useState } from 'react';
import { useOpenTicket } from '../../hooks/useTicket';
import type { Grip } from '../../sheet/TicketSheet';
import { gestureEnded } from '../../store/editor';
import { useAppDispatch } from '../../store/store';

/** The hoop is taken by its ring and laid elsewhere on the piece, by whole millimetres; the design stays on its mark. */
export function useRingDrag(): Grip {
  const { plan, change } = useOpenTicket();
  const dispatch = useAppDispatch();
  const [dragging, setDragging] = useState(false);
  const start = useRef<Point | null>(null);
  const laid = plan.hoop?.laid;
  const holds = (at: Point, tolerance: number) => {
    if (!laid || laid.split) return false;
    return laid.ring.some(
      (a, i) => distanceToSegment(at, a, laid.ring[(i + 1) % laid.ring.length] ?? a) <= tolerance,
    );
  };
  const onDrag = (by: Point) => {
    if (!laid) return;
    start.current ??= negate(laid.designAt);
    setDragging(true);
    const inHoop = rotate(by, -laid.onPieceDeg);
    const whole = (mm: number) => Math.round(mm) + 0;
    const shift = { x: whole(start.current.x + inHoop.x), y: whole(start.current.y + inHoop.y) };
    change(
      {
        stage: 'hoop',
        set: { hoopId: laid.verdict.hoop.id, turnDeg: laid.turnDeg, shift },
      },
      'hoop dragged',
    );
  };
  const onDragEnd = () => {
    start.current = null;
    setDragging(false);
    dispatch(gestureEnded());
  };
  return { holds, onDrag, onDragEnd, dragging };
}
