import { useSyncExternalStore } from 'react';

/** How far the stitch-out is shown: of which stitches, so many penetrations, and whether it goes on by itself. */
interface Playhead {
  key: string;
  at: number;
  total: number;
  isPlaying: boolean;
  /** Penetrations a second. */
  pace: number;
  /** How thick the thread lies is shown in place of the thread. */
  isDensity: boolean;
}

const NONE: Playhead = { key: '', at: 0, total: 0, isPlaying: false, pace: 0, isDensity: false };
let head = NONE;
let frame = 0;
const listeners = new Set<() => void>();

function become(next: Partial<Playhead>): void {
  head = { ...head, ...next };
  for (const listener of listeners) listener();
}

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Goes on from frame to frame, by the time that has passed. */
function run(before: number): void {
  frame = requestAnimationFrame((now) => {
    if (!head.isPlaying) return;
    const at = Math.min(head.total, head.at + (head.pace * (now - before)) / 1000);
    become({ at, isPlaying: at < head.total });
    if (at < head.total) run(now);
  });
}

/** Of these stitches all are shown, unless somebody has looked elsewhere. */
export function showAll(key: string, total: number): void {
  if (head.key !== key || head.total !== total) become({ key, total, at: total, isPlaying: false });
}

export function goTo(at: number): void {
  cancelAnimationFrame(frame);
  become({ at: Math.min(head.total, Math.max(0, at)), isPlaying: false });
}

/** The thread, or how thick it lies. */
export const lookAt = (isDensity: boolean): void => become({ isDensity });

/** Plays on at a pace, from the beginning where it has ended; or stands still. */
export function play(pace: number | null): void {
  cancelAnimationFrame(frame);
  const isOn = pace !== null;
  become({ isPlaying: isOn, pace: pace ?? 0, at: isOn && head.at >= head.total ? 0 : head.at });
  if (isOn) run(performance.now());
}

export const usePlayhead = (): Playhead => useSyncExternalStore(subscribe, () => head);
