import { type RefObject, useEffect, useRef } from 'react';
import type { View } from 'react-native';

interface PieceDrag {
  /** Moved along the tape by so many px since it was taken hold of. */
  onDrag: (byPx: number) => void;
  onDrop: (byPx: number) => void;
  onTap: () => void;
}

/** A press that moved less is a tap. */
const TAP_PX = 6;

/** A piece dragged along its tape: plain pointer events, handed on once a frame. */
export function usePieceDrag(ref: RefObject<View | null>, handlers: PieceDrag): void {
  const latest = useRef(handlers);
  latest.current = handlers;
  useEffect(() => {
    const element = ref.current as unknown as HTMLElement | null;
    if (!element) return;
    let fromX: number | null = null;
    let frame = 0;
    let lastX = 0;
    const down = (event: PointerEvent) => {
      fromX = event.clientX;
      lastX = fromX;
      element.setPointerCapture(event.pointerId);
    };
    const move = (event: PointerEvent) => {
      if (fromX === null) return;
      lastX = event.clientX;
      if (frame) return;
      frame = requestAnimationFrame(() => {
        frame = 0;
        if (fromX !== null && Math.abs(lastX - fromX) >= TAP_PX) latest.current.onDrag(lastX - fromX);
      });
    };
    const end = (by: number | null) => {
      if (frame) cancelAnimationFrame(frame);
      frame = 0;
      fromX = null;
      if (by === null) latest.current.onDrag(0);
      else if (Math.abs(by) < TAP_PX) latest.current.onTap();
      else latest.current.onDrop(by);
    };
    const up = (event: PointerEvent) => {
      if (fromX !== null) end(event.clientX - fromX);
    };
    const cancel = () => end(null);
    element.style.touchAction = 'none';
    element.style.userSelect = 'none';
    element.addEventListener('pointerdown', down);
    element.addEventListener('pointermove', move);
    element.addEventListener('pointerup', up);
    element.addEventListener('pointercancel', cancel);
    return () => {
      if (frame) cancelAnimationFrame(frame);
      element.removeEventListener('pointerdown', down);
      element.removeEventListener('pointermove', move);
      element.removeEventListener('pointerup', up);
      element.removeEventListener('pointercancel', cancel);
    };
  }, [ref]);
}
