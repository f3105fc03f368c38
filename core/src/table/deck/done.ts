import type { Phrase, Quantity } from '../../base/units/phrase';
import type { Phase } from '../../model/deed';
import type { Stage } from '../../model/stages';
import type { Change, Ticket } from '../../model/ticket';
import { MOST_DONE } from '../../model/ticket/done';
import { isRead } from '../../stages/piece/usual';
import type { Step } from './step';

/** The stage at which each phase is decided. */
export const STAGE_OF: Record<Phase, Stage> = {
  measure: 'piece',
  prepare: 'place',
  mark: 'place',
  transfer: 'place',
  'measure the rest': 'piece',
  cut: 'layers',
  bond: 'layers',
  hoop: 'hoop',
  check: 'mount',
  stitch: 'stitch',
  'further copies': 'stitch',
  finish: 'finish',
};

const LONGEST = 80;

const numberIn = (part: Quantity): number =>
  Object.values(part).find((value) => typeof value === 'number') ?? 0;
const numbersOf = (phrase: Phrase): number[] =>
  phrase.flatMap((part) => (typeof part === 'string' ? [] : [numberIn(part)]));

/**
 * By what a step is ticked: its id with its figures. What was marked or cut at another figure is not done any more.
 */
function tickOf({ id, text, figure }: Step): string {
  const figures = [...numbersOf(text), ...(figure ? [numberIn(figure)] : [])];
  return [id, ...figures.map((n) => String(Math.round(n * 10) / 10))].join(' ').slice(0, LONGEST);
}

/** A check or a finishing step is kept by the name it has in its own stage. */
const ownName = ({ id }: Step): string => id.replace(/^(check|finish) /, '');
const stopOf = ({ id }: Step): number => Number(id.split(' ')[1]);
/** What hands do with cloth between two stops is a step of its own. */
const isOfCloth = ({ id }: Step): boolean => id.startsWith('cloth ');

/** Where the ticks of a phase are kept that has none of its own in its stage. */
const KEPT_AT: Partial<Record<Phase, 'place' | 'hoop'>> = {
  measure: 'place',
  prepare: 'place',
  mark: 'place',
  transfer: 'place',
  'measure the rest': 'place',
  cut: 'hoop',
  bond: 'hoop',
  hoop: 'hoop',
  stitch: 'hoop',
  'further copies': 'hoop',
};

/** Whether a step of the job is done: ticked in the deck or in its stage, its reading taken, its colour stitched. */
export function isDone(step: Step, ticket: Ticket): boolean {
  const { phase, reading } = step;
  if (phase === 'check') return ticket.mount.checked.includes(ownName(step));
  if (phase === 'finish') return ticket.finish.done.includes(ownName(step));
  if (phase === 'stitch' && ticket.stitch.stopsDone > stopOf(step) + (isOfCloth(step) ? 1 : 0)) return true;
  if (phase === 'stitch' && !isOfCloth(step)) return false;
  if (reading !== null && isRead(ticket.piece, reading)) return true;
  const at = KEPT_AT[phase];
  return at !== undefined && ticket[at].done.includes(tickOf(step));
}

const withWord = (words: readonly string[], word: string): string[] => [
  ...words.filter((other) => other !== word),
  word,
];

/** What ticks a step, also a reading that was passed over; null where it is done already. */
export function tickOff(step: Step, ticket: Ticket): Change | null {
  if (isDone(step, ticket)) return null;
  if (step.phase === 'check')
    return { stage: 'mount', set: { checked: withWord(ticket.mount.checked, ownName(step)) } };
  if (step.phase === 'finish')
    return { stage: 'finish', set: { done: withWord(ticket.finish.done, ownName(step)) } };
  if (step.phase === 'stitch' && !isOfCloth(step))
    return { stage: 'stitch', set: { stopsDone: stopOf(step) + 1 } };
  const at = KEPT_AT[step.phase];
  if (!at) return null;
  // Of the same step at an earlier figure nothing is kept.
  const others = ticket[at].done.filter((word) => word !== step.id && !word.startsWith(`${step.id} `));
  return { stage: at, set: { done: withWord(others, tickOf(step)).slice(-MOST_DONE) } };
}

/** Where the hands go on: the first step from a place in the job that is not done; the job's length when all are. */
export function nextToDo(steps: readonly Step[], ticket: Ticket, from = 0): number {
  const index = steps.findIndex((step, i) => i >= from && !isDone(step, ticket));
  return index < 0 ? steps.length : index;
}
