import { ORIGIN, type Point } from '@zt/core/base/geometry/point';
import { type RefObject, useEffect, useRef } from 'react';
import type { View as NativeView } from 'react-native';
import { AT_REST, type Hand } from './view';

interface GestureHandlers {
  /** Whether a press here takes hold of the design. Px within the sheet. */
  holds: (at: Point) => boolean;
  /** The design was moved by so many px since it was taken hold of. */
  onDrag: (by: Point) => void;
  onDragEnd: () => void;
  /** A press that went nowhere. Px within the sheet. */
  onTap: (at: Point) => void;
  onHand: (change: (hand: Hand) => Hand) => void;
}

const LEAST_ZOOM = 0.5;
const MOST_ZOOM = 8;
/** Keys that zoom by so much; 0 shows all of it. */
const ZOOM_KEYS: Record<string, number> = { '+': 1.25, '=': 1.25, '-': 0.8, '0': 0 };
/** A press that moved less is a tap. */
const TAP_PX = 5;
const clampZoom = (zoom: number) => Math.min(MOST_ZOOM, Math.max(LEAST_ZOOM, zoom));

/** A hand zoomed by a factor about a point given from the middle of the sheet, px. */
export function zoomedAbout(hand: Hand, factor: number, from: Point): Hand {
  const zoom = clampZoom(hand.zoom * factor);
  const real = zoom / hand.zoom;
  return { zoom, dx: from.x - (from.x - hand.dx) * real, dy: from.y - (from.y - hand.dy) * real };
}

interface Held {
  kind: 'drag' | 'pan';
  start: Point;
  last: Point;
  moved: boolean;
}

/** Whether a press has become more than a tap by the time it is at a place. */
const hasMoved = ({ moved, start }: Held, to: Point): boolean =>
  moved || Math.hypot(to.x - start.x, to.y - start.y) >= TAP_PX;

/**
 * Drag the design, pan, pinch and scroll to zoom: plain pointer events on the drawing's element.
 * Moves are handed on once a frame, so that a fast pointer never piles up work.
 */
export function useSheetGestures(ref: RefObject<NativeView | null>, handlers: GestureHandlers): void {
  const latest = useRef(handlers);
  latest.current = handlers;
  useEffect(() => {
    const element = ref.current as unknown as HTMLElement | null;
    if (!element) return;
    const pointers = new Map<number, Point>();
    let held: Held | null = null;
    let frame = 0;
    const at = (event: { clientX: number; clientY: number }): Point => {
      const box = element.getBoundingClientRect();
      return { x: event.clientX - box.left, y: event.clientY - box.top };
    };
    const fromMiddle = (p: Point): Point => ({
      x: p.x - element.clientWidth / 2,
      y: p.y - element.clientHeight / 2,
    });
    const each = (work: () => void) => {
      if (frame) return;
      frame = requestAnimationFrame(() => {
        frame = 0;
        work();
      });
    };
    const down = (event: PointerEvent) => {
      const p = at(event);
      pointers.set(event.pointerId, p);
      element.setPointerCapture(event.pointerId);
      held = {
        kind: pointers.size === 1 && latest.current.holds(p) ? 'drag' : 'pan',
        start: p,
        last: p,
        moved: false,
      };
    };
    const pinch = (id: number, p: Point) => {
      const [other] = [...pointers].filter(([key]) => key !== id).map(([, point]) => point);
      const before = pointers.get(id);
      pointers.set(id, p);
      if (!other || !before) return;
      const factor =
        Math.hypot(p.x - other.x, p.y - other.y) /
        Math.max(1, Math.hypot(before.x - other.x, before.y - other.y));
      const middle = fromMiddle({ x: (p.x + other.x) / 2, y: (p.y + other.y) / 2 });
      latest.current.onHand((hand) => zoomedAbout(hand, factor, middle));
    };
    const move = (event: PointerEvent) => {
      if (!held || !pointers.has(event.pointerId)) return;
      const p = at(event);
      if (pointers.size > 1) return pinch(event.pointerId, p);
      pointers.set(event.pointerId, p);
      each(() => {
        if (!held) return;
        const now = pointers.get(event.pointerId) ?? p;
        const moved = hasMoved(held, now);
        if (held.kind === 'drag') {
          if (moved) latest.current.onDrag({ x: now.x - held.start.x, y: now.y - held.start.y });
        } else {
          const by = { x: now.x - held.last.x, y: now.y - held.last.y };
          latest.current.onHand((hand) => ({ ...hand, dx: hand.dx + by.x, dy: hand.dy + by.y }));
        }
        held = { ...held, last: now, moved };
      });
    };
    const up = (event: PointerEvent) => {
      const p = pointers.get(event.pointerId);
      pointers.delete(event.pointerId);
      if (p && held && !hasMoved(held, p)) latest.current.onTap(p);
      else if (held?.kind === 'drag' && p) {
        if (frame) cancelAnimationFrame(frame);
        frame = 0;
        latest.current.onDrag({ x: p.x - held.start.x, y: p.y - held.start.y });
        latest.current.onDragEnd();
      }
      held = null;
    };
    const wheel = (event: WheelEvent) => {
      event.preventDefault();
      latest.current.onHand((hand) =>
        zoomedAbout(hand, Math.exp(-event.deltaY / 500), fromMiddle(at(event))),
      );
    };
    const keys = (event: KeyboardEvent) => {
      const factor = ZOOM_KEYS[event.key];
      if (factor === undefined || event.ctrlKey || event.metaKey) return;
      event.preventDefault();
      latest.current.onHand((hand) => (factor === 0 ? AT_REST : zoomedAbout(hand, factor, ORIGIN)));
    };
    const noNativeDrag = (event: Event) => event.preventDefault();
    element.style.touchAction = 'none';
    element.style.userSelect = 'none';
    element.addEventListener('dragstart', noNativeDrag);
    element.addEventListener('pointerdown', down);
    element.addEventListener('pointermove', move);
    element.addEventListener('pointerup', up);
    element.addEventListener('pointercancel', up);
    element.addEventListener('wheel', wheel, { passive: false });
    element.addEventListener('keydown', keys);
    return () => {
      cancelAnimationFrame(frame);
      element.removeEventListener('dragstart', noNativeDrag);
      element.removeEventListener('pointerdown', down);
      element.removeEventListener('pointermove', move);
      element.removeEventListener('pointerup', up);
      element.removeEventListener('pointercancel', up);
      element.removeEventListener('wheel', wheel);
      element.removeEventListener('keydown', keys);
    };
  }, [ref]);
}
