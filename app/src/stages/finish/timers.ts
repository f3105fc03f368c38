import { useSyncExternalStore } from 'react';

/** A clock that runs down: on which ticket, for which step, and when it rings, ms since 1970. */
export interface Timer {
  ticketId: string;
  stepId: string;
  says: string;
  ringsAt: number;
  hasRung: boolean;
}

/** Clocks outlive the page: they are kept in the browser, and run on by the time of day. */
const NAME = 'timers';
/** A clock that rang so long ago is forgotten, ms. */
const FORGOTTEN_MS = 12 * 60 * 60 * 1000;

const isTimer = (value: unknown): value is Timer =>
  typeof value === 'object' && value !== null && 'stepId' in value && 'ringsAt' in value;

function kept(): Timer[] {
  try {
    const found: unknown = JSON.parse(globalThis.localStorage.getItem(NAME) ?? '[]');
    const timers = Array.isArray(found) ? found.filter(isTimer) : [];
    return timers.filter(({ ringsAt }) => ringsAt > Date.now() - FORGOTTEN_MS);
  } catch {
    return [];
  }
}

let timers: readonly Timer[] = kept();
let now = Date.now();
let ticking: ReturnType<typeof setInterval> | null = null;
const listeners = new Set<() => void>();

function become(next: readonly Timer[]): void {
  timers = next;
  now = Date.now();
  try {
    globalThis.localStorage.setItem(NAME, JSON.stringify(next));
  } catch {
    // Where nothing may be kept they end with the page.
  }
  for (const listener of listeners) listener();
}

/** Three short tones. Where the browser lets no page sound there are none. */
function sound(): void {
  try {
    const audio = new AudioContext();
    for (const i of [0, 1, 2]) {
      const tone = audio.createOscillator();
      tone.frequency.value = 880;
      tone.connect(audio.destination);
      tone.start(audio.currentTime + i * 0.5);
      tone.stop(audio.currentTime + i * 0.5 + 0.3);
    }
  } catch {
    // It is said on the page all the same.
  }
}

/** Rings: a sound, a buzz, and a notice over a locked screen where the browser allows it. */
function ring({ says }: Timer): void {
  sound();
  globalThis.navigator.vibrate?.([300, 200, 300]);
  if (typeof Notification !== 'undefined' && Notification.permission === 'granted')
    void navigator.serviceWorker?.ready
      .then((worker) => worker.showNotification('Time is up', { body: says, tag: says }))
      .catch(() => undefined);
}

function tick(): void {
  now = Date.now();
  const due = timers.filter(({ ringsAt, hasRung }) => !hasRung && ringsAt <= now);
  for (const timer of due) ring(timer);
  if (due.length > 0)
    become(timers.map((timer) => (due.includes(timer) ? { ...timer, hasRung: true } : timer)));
  else for (const listener of listeners) listener();
  if (timers.every(({ hasRung }) => hasRung) && ticking !== null) {
    clearInterval(ticking);
    ticking = null;
  }
}

function run(): void {
  ticking ??= setInterval(tick, 250);
}

const isOf =
  (ticketId: string, stepId: string) =>
  (timer: Timer): boolean =>
    timer.ticketId === ticketId && timer.stepId === stepId;

/** Starts a clock, in the place of one that runs for the same step. Over a locked screen it rings where that was allowed. */
export function startTimer(timer: Omit<Timer, 'ringsAt' | 'hasRung'>, seconds: number): void {
  if (typeof Notification !== 'undefined' && Notification.permission === 'default')
    void Notification.requestPermission().catch(() => undefined);
  const others = timers.filter((other) => !isOf(timer.ticketId, timer.stepId)(other));
  become([...others, { ...timer, ringsAt: Date.now() + seconds * 1000, hasRung: false }]);
  run();
}

export const endTimer = (ticketId: string, stepId: string): void =>
  become(timers.filter((timer) => !isOf(ticketId, stepId)(timer)));

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  if (timers.some(({ hasRung }) => !hasRung)) run();
  return () => listeners.delete(listener);
}

/** The seconds that are left of a step's clock, 0 once it has rung; null where none runs. */
export function useTimer(ticketId: string, stepId: string): number | null {
  return useSyncExternalStore(subscribe, () => {
    const timer = timers.find(isOf(ticketId, stepId));
    return timer ? Math.max(0, Math.ceil((timer.ringsAt - now) / 1000)) : null;
  });
}
