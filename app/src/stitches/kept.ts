import type { StitchAnswer } from '@zt/core/stages/design/stitches/answer';
import type { StitchProgress } from '@zt/core/stages/design/stitches/stitchDesign';

/** How the stitches of a design stand: being made, or why they are not. */
export type Making =
  | { state: 'making'; progress: StitchProgress | null }
  | { state: 'stopped' }
  | { state: 'failed'; message: string };

/** Stitches by the key of what they were made from. They are large, and follow from the ticket: no store holds them. */
interface Kept {
  answers: ReadonlyMap<string, StitchAnswer>;
  making: ReadonlyMap<string, Making>;
}

/** So many designs are remembered: undo and redo go between them. */
const MOST = 4;

let kept: Kept = { answers: new Map(), making: new Map() };
const listeners = new Set<() => void>();

function become(next: Partial<Kept>): void {
  kept = { ...kept, ...next };
  for (const listener of listeners) listener();
}

export const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

export const answerOf = (key: string): StitchAnswer | null => kept.answers.get(key) ?? null;
export const makingOf = (key: string): Making | null => kept.making.get(key) ?? null;

/** The latest answers stay; those before them go. */
export function answered(key: string, answer: StitchAnswer): void {
  const answers = new Map([...kept.answers].filter(([other]) => other !== key).slice(1 - MOST));
  const making = new Map(kept.making);
  making.delete(key);
  become({ answers: answers.set(key, answer), making });
}

export function standsAt(key: string, making: Making | null): void {
  const next = new Map(kept.making);
  if (making) next.set(key, making);
  else next.delete(key);
  become({ making: next });
}
