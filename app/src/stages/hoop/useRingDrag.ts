import {
  distanceToSegment,
  negate,
  ORIGIN,
  type Point,
  rotate,
  subtract,
} from '@zt/core/base/geometry/point';
import type { HoopInput } from '@zt/core/model/ticket/hoop';
import type { LaidHoop } from '@zt/core/stages/hoop/layHoop';
import { useRef, useState } from 'react';
import { useFollowing } from '../../hooks/useFollowing';
import { usePlan, useTicketActs } from '../../hooks/useTicket';
import type { Grip } from '../../sheet/TicketSheet';
import { gestureEnded } from '../../store/editor';
import { useAppDispatch } from '../../store/store';

const whole = (mm: number) => Math.round(mm) + 0;

/** The hoop laid by so much from where its centre was seen from the design's, mm; `by` in the piece frame. */
export function hoopLaidBy(laid: LaidHoop, from: Point, by: Point): Partial<HoopInput> & { shift: Point } {
  const inHoop = rotate(by, -laid.onPieceDeg);
  const shift = { x: whole(from.x + inHoop.x), y: whole(from.y + inHoop.y) };
  return { hoopId: laid.verdict.hoop.id, turnDeg: laid.turnDeg, shift };
}

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
    const set = hoopLaidBy(laid, start.current, by);
    setInHand(set.shift);
    following.soon(set);
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
