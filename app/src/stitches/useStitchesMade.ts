import { stitchesAsked } from '@zt/core/stages/design/stitches/asked';
import type { StitchQuestion } from '@zt/core/stages/design/stitches/question';
import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { usePlan, useRules, useTicket } from '../hooks/useTicket';
import { stitchesMade } from '../store/editor';
import { useAppDispatch } from '../store/store';
import { makingStitches } from '../workers/makingStitches';
import { answered, answerOf, type Making, makingOf, standsAt, subscribe } from './kept';

/** So long nothing is stitched while somebody types or drags, ms. */
const AT_REST_MS = 400;

/** Begins to make stitches; the way to end it. */
function make(question: StitchQuestion): () => void {
  const { key } = question;
  standsAt(key, { state: 'making', progress: null });
  const job = makingStitches(question, (progress) => {
    if (makingOf(key)?.state === 'making') standsAt(key, { state: 'making', progress });
  });
  running.set(key, job.stop);
  void job.done.then((worked) => {
    running.delete(key);
    if (worked.state === 'done') answered(key, worked.value);
    else if (worked.state === 'failed') standsAt(key, worked);
  });
  return () => {
    job.stop();
    if (makingOf(key)?.state === 'making') standsAt(key, null);
  };
}

const running = new Map<string, () => void>();

/** Ends the making of stitches, until it is asked for again. */
export function stopMaking(key: string): void {
  running.get(key)?.();
  standsAt(key, { state: 'stopped' });
}

export const makeAgain = (key: string): void => standsAt(key, null);

/** What is asked of the open design, kept while it asks the same. */
export function useStitchQuestion(): StitchQuestion | null {
  const { design } = useTicket('design');
  const { piece } = usePlan('piece');
  const rules = useRules();
  const { fabric } = piece;
  return useMemo(() => stitchesAsked(design, { fabric, rules }), [design, fabric, rules]);
}

/**
 * Makes the stitches of the open ticket's design in a worker once nobody is at it any more, and puts what they come to on
 * the ticket. Stitches that were made of the same before are taken as they are.
 */
export function useStitchesMade(): void {
  const { id, design } = useTicket('id', 'design');
  const question = useStitchQuestion();
  const dispatch = useAppDispatch();
  const key = question?.key ?? null;
  const answer = useSyncExternalStore(subscribe, () => (key === null ? null : answerOf(key)));
  const making = useSyncExternalStore(subscribe, () => (key === null ? null : makingOf(key)));
  const isGivenUp = making?.state === 'failed' || making?.state === 'stopped';
  const isKnown = answer !== null;
  // biome-ignore lint/correctness/useExhaustiveDependencies: the same key asks for the same
  useEffect(() => {
    if (!question || isKnown || isGivenUp) return;
    let stop: (() => void) | null = null;
    const timer = setTimeout(() => {
      stop = make(question);
    }, AT_REST_MS);
    return () => {
      clearTimeout(timer);
      stop?.();
    };
  }, [key, isKnown, isGivenUp]);
  const isOnTicket = answer !== null && design.made?.madeFrom === answer.made.madeFrom;
  useEffect(() => {
    if (answer && !isOnTicket) dispatch(stitchesMade({ ticketId: id, made: answer.made }));
  }, [answer, isOnTicket, id, dispatch]);
}

/** The stitches of the open design, or how they stand; both null for what has none. */
export function useStitches(): {
  key: string | null;
  answer: ReturnType<typeof answerOf>;
  making: Making | null;
} {
  const key = useStitchQuestion()?.key ?? null;
  const answer = useSyncExternalStore(subscribe, () => (key === null ? null : answerOf(key)));
  const making = useSyncExternalStore(subscribe, () => (key === null ? null : makingOf(key)));
  return { key, answer, making };
}
