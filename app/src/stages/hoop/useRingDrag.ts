import { distanceToSegment, type HoopInput, negate, ORIGIN, type Point, rotate, subtract } from '@zt/core';
import { useRef, useState } from 'react';
import { useFollowing } from '../../hooks/useFollowing';
import { usePlan, useTicketActs } from '../../hooks/useTicket';
import type { Grip } from '../../sheet/TicketSheet';
import { gestureEnded } from '../../store/editor';
import { useAppDispatch } from '../../store/store';

/** The hoop is taken by its ring and laid elsewhere on the piece, by whole millimetres; the design stays on its mark. */
export function useRingDrag(): Grip & { ahead: Point } {
  const { hoop } = usePlan('hoop');
  const { change } = useTicketActs();
  const dispatch = useAppDispatch();
  const start = useRef<Point | null>(null);
  /** Where the hand has it, in the hoop's frame, whether or not the plan has followed. */
  const [inHand, setInHand] = useState<Point | null>(null);
  const following = useFollowing((set: Partial<HoopInput>) => change({ stage: 'hoop', set }, 'hoop dragged'));
  const laid = hoop?.laid;
  const holds = (at: Point, tolerance: number) => {
    if (!laid || laid.split) return false;
    return laid.ring.some(
      (a, i) => distanceToSegment(at, a, laid.ring[(i + 1) % laid.ring.length] ?? a) <= tolerance,
    );
  };
  const onDrag = (by: Point) => {
    if (!laid) return;
    start.current ??= negate(laid.designAt);
    const inHoop = rotate(by, -laid.onPieceDeg);
    const whole = (mm: number) => Math.round(mm) + 0;
    const shift = { x: whole(start.current.x + inHoop.x), y: whole(start.current.y + inHoop.y) };
    setInHand(shift);
    following.soon({ hoopId: laid.verdict.hoop.id, turnDeg: laid.turnDeg, shift });
  };
  const onDragEnd = () => {
    following.end();
    start.current = null;
    setInHand(null);
    dispatch(gestureEnded());
  };
  const ahead = inHand && laid ? rotate(subtract(inHand, negate(laid.designAt)), laid.onPieceDeg) : ORIGIN;
  return { holds, onDrag, onDragEnd, dragging: inHand !== null, ahead };
}
