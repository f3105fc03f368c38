import { boxOf, centreOf } from '@zt/core/base/geometry/box';
import { type Point, subtract } from '@zt/core/base/geometry/point';
import type { Part } from '@zt/core/model/ticket/part';
import { boxOfAll, moveParts, partAt, scaled, turned } from '@zt/core/stages/design/parts/acts';
import { useRef, useState } from 'react';
import { useFollowing } from '../../hooks/useFollowing';
import { gestureEnded } from '../../store/editor';
import { useAppDispatch } from '../../store/store';
import { inDesignFrame, type OnTable, onSheet, wayInDesignFrame } from './onTable';
import { useParts } from './useParts';

/** What the hand has taken: the parts themselves, or a handle that turns or scales them. */
type Taken = 'move' | 'turn' | 'scale';

interface Held {
  how: Taken;
  ids: readonly string[];
  parts: readonly Part[];
  /** Where it was taken, on the sheet. */
  from: Point;
  table: OnTable;
}

/** A handle is so large, and stands so far to the right of what is chosen, px. */
export const HANDLE_PX = 44;
const HANDLE_OUT_PX = 30;
/** The tolerance that a sheet gives is so many px. */
const TOLERANCE_PX = 12;
const SNAP_DEG = 15;
const SNAP_WITHIN_DEG = 3;

const whole = (mm: number): number => Math.round(mm) + 0;
const angleOf = ({ x, y }: Point): number => (Math.atan2(y, x) * 180) / Math.PI;
const snapped = (degrees: number): number => {
  const near = Math.round(degrees / SNAP_DEG) * SNAP_DEG;
  return Math.abs(degrees - near) <= SNAP_WITHIN_DEG ? near : Math.round(degrees);
};

/** Where the handles of what is chosen stand, on the sheet: to its right, where a thumb is. */
export function handlesOf(
  parts: readonly Part[],
  table: OnTable,
  mmPerPx: number,
): Record<'turn' | 'scale', Point> {
  const box = boxOf(boxCorners(parts).map((p) => onSheet(table, p)));
  const x = box.right + HANDLE_OUT_PX * mmPerPx;
  const { y } = centreOf(box);
  const apart = (HANDLE_PX / 2 + 4) * mmPerPx;
  return { turn: { x, y: y - apart }, scale: { x, y: y + apart } };
}

function boxCorners(parts: readonly Part[]): Point[] {
  const { left, top, right, bottom } = boxOfAll(parts);
  return [
    { x: left, y: top },
    { x: right, y: top },
    { x: right, y: bottom },
    { x: left, y: bottom },
  ];
}

/** The parts as the hand has them, moved by so much on the sheet since they were taken. */
function partsBy({ how, ids, parts, from, table }: Held, by: Point): Part[] {
  const chosen = { ids, parts };
  const way = wayInDesignFrame(table, by);
  if (how === 'move') return moveParts(chosen, { x: whole(way.x), y: whole(way.y) });
  const middle = centreOf(boxOfAll(parts.filter(({ id }) => ids.includes(id))));
  const start = subtract(inDesignFrame(table, from), middle);
  const now = { x: start.x + way.x, y: start.y + way.y };
  if (how === 'turn') return turned(chosen, snapped(angleOf(now) - angleOf(start)));
  return scaled(chosen, Math.hypot(now.x, now.y) / Math.max(1, Math.hypot(start.x, start.y)));
}

/** Parts are taken by themselves and moved by whole millimetres; by their handles they are turned and scaled. */
export function usePartDrag(table: OnTable) {
  const { parts, ids, put, choose } = useParts();
  const dispatch = useAppDispatch();
  const held = useRef<Held | null>(null);
  /** Where the hand has them, whether or not the plan has followed. */
  const [inHand, setInHand] = useState<{ parts: Part[]; table: OnTable } | null>(null);
  const following = useFollowing((next: Part[]) => put(next, 'parts dragged'));
  const among = parts.filter(({ id }) => ids.includes(id));
  const holds = (at: Point, tolerance: number): boolean => {
    const mmPerPx = tolerance / TOLERANCE_PX;
    const { turn, scale } = handlesOf(among, table, mmPerPx);
    const isOn = (handle: Point) =>
      among.length > 0 && Math.hypot(at.x - handle.x, at.y - handle.y) <= (HANDLE_PX / 2) * mmPerPx;
    const take = (how: Taken, taken: readonly string[]) => {
      held.current = { how, ids: taken, parts, from: at, table };
      return true;
    };
    if (isOn(turn)) return take('turn', ids);
    if (isOn(scale)) return take('scale', ids);
    const inFrame = inDesignFrame(table, at);
    const mine = partAt(among, inFrame, tolerance / table.scale);
    const any = mine ?? partAt(parts, inFrame, tolerance / table.scale);
    if (!any) return false;
    return take('move', mine ? ids : [any.id]);
  };
  const onDrag = (by: Point) => {
    if (!held.current) return;
    const next = partsBy(held.current, by);
    if (!inHand) choose(held.current.ids);
    setInHand({ parts: next, table: held.current.table });
    following.soon(next);
  };
  const onDragEnd = () => {
    following.end();
    held.current = null;
    setInHand(null);
    dispatch(gestureEnded());
  };
  const onTap = (at: Point) => {
    held.current = null;
    const tapped = partAt(parts, inDesignFrame(table, at), 0);
    choose(tapped ? [tapped.id] : []);
  };
  return { holds, onDrag, onDragEnd, onTap, inHand };
}
