import type { Point } from '@zt/core/base/geometry/point';
import type { Evenness } from '@zt/core/model/ticket/piece';
import { useRef, useState } from 'react';
import { useFollowing } from '../../hooks/useFollowing';
import { usePlan, useTicket, useTicketActs } from '../../hooks/useTicket';
import type { Grip } from '../../sheet/TicketSheet';
import { gestureEnded } from '../../store/editor';
import { useAppDispatch } from '../../store/store';

/** One edge at one height, where it was read: its row, its side, and where it lies on the face, mm. */
export interface SeamMark {
  row: number;
  side: 'leftMm' | 'rightMm';
  at: Point;
}

const LEAST_MM = 1;
const halfMm = (mm: number): number => Math.max(LEAST_MM, Math.round(mm * 2) / 2);

/** The edges that were read, on the face: heights run from its landmark, widths from the middle line. */
export function seamMarks(evenness: readonly Evenness[], { datumSign }: { datumSign: 1 | -1 }): SeamMark[] {
  return evenness.flatMap(({ atMm, leftMm, rightMm }, row) => {
    const y = datumSign * atMm;
    return [
      { row, side: 'leftMm' as const, at: { x: -leftMm, y } },
      { row, side: 'rightMm' as const, at: { x: rightMm, y } },
    ];
  });
}

/** The edges that were read are taken hold of on the sheet and laid where the tape finds them, by half millimetres. */
export function useSeamDrag(): Grip & { evenness: readonly Evenness[]; held: SeamMark | null } {
  const ticket = useTicket('piece');
  const { view } = usePlan('piece').piece;
  const { change } = useTicketActs();
  const dispatch = useAppDispatch();
  const { evenness } = ticket.piece;
  const start = useRef<readonly Evenness[] | null>(null);
  const mark = useRef<SeamMark | null>(null);
  /** Where the hand has them, whether or not the plan has followed. */
  const [inHand, setInHand] = useState<Evenness[] | null>(null);
  const following = useFollowing((set: { evenness: Evenness[] }) =>
    change({ stage: 'piece', set }, 'seam dragged'),
  );
  const shown = inHand ?? evenness;
  return {
    evenness: shown,
    held: inHand
      ? (seamMarks(inHand, view).find((m) => m.row === mark.current?.row && m.side === mark.current.side) ??
        null)
      : null,
    dragging: inHand !== null,
    holds: (at, tolerance) => {
      const marks = seamMarks(evenness, view);
      const near = (m: SeamMark) => Math.hypot(m.at.x - at.x, m.at.y - at.y);
      const [nearest] = [...marks].sort((a, b) => near(a) - near(b));
      mark.current = nearest && near(nearest) <= tolerance * 2 ? nearest : null;
      return mark.current !== null;
    },
    onDrag: ({ x }) => {
      const taken = mark.current;
      if (!taken) return;
      start.current ??= evenness;
      const by = taken.side === 'leftMm' ? -x : x;
      const next = start.current.map((row, i) =>
        i === taken.row ? { ...row, [taken.side]: halfMm(row[taken.side] + by) } : row,
      );
      setInHand(next);
      following.soon({ evenness: next });
    },
    onDragEnd: () => {
      following.end();
      start.current = null;
      setInHand(null);
      dispatch(gestureEnded());
    },
  };
}
