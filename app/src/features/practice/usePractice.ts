import type { OnPractice } from '@zt/core/model/api';
import type { Ticket } from '@zt/core/model/ticket';
import { type PracticeCommand, type PracticePose, STRAIGHT } from '@zt/core/table/practice/index';
import { useCallback, useEffect, useRef, useState } from 'react';
import { messageOf } from '../../services/messageOf';
import { useLayPracticeMutation, usePressPracticeMutation } from '../../services/practiceApi';

/** Machine seconds that pass in one tick of the screen: a run is watched in seconds, not in minutes. */
const TICK_MS = 200;
const SECONDS_A_TICK = 10;

export interface Practice {
  on: OnPractice | null;
  /** What the machine said last, and whether it did what was pressed. */
  said: { ok: boolean; message: string };
  /** Why nothing was done, in words; null while all goes well. */
  failed: string | null;
  lie: PracticePose;
  press: (command: PracticeCommand) => void;
  /** Lays the ticket on anew, hooped so. */
  layAnew: (lie: PracticePose) => void;
}

const wordsOf = (error: unknown): string | null =>
  error ? messageOf(error, 'The shop’s computer does not answer. Nothing moved.') : null;

const WELCOME = { ok: true, message: 'A stand-in: nothing here can break but its own needle.' };

/** The practice machine with this ticket on it; while it runs, its time passes tick by tick. */
export function usePractice(ticket: Ticket): Practice {
  const [lay] = useLayPracticeMutation();
  const [send] = usePressPracticeMutation();
  const [on, setOn] = useState<OnPractice | null>(null);
  const [said, setSaid] = useState(WELCOME);
  const [failed, setFailed] = useState<string | null>(null);
  const [lie, setLie] = useState(STRAIGHT);
  const bed = useRef<string | null>(null);
  const laid = useRef(ticket);
  laid.current = ticket;
  const layAnew = useCallback(
    async (next: PracticePose) => {
      setLie(next);
      setSaid(WELCOME);
      const answer = await lay({ ticket: laid.current, lie: next });
      setFailed(wordsOf(answer.error));
      bed.current = answer.data?.run ?? null;
      setOn(answer.data ?? null);
    },
    [lay],
  );
  const pressNow = useCallback(
    async (command: PracticeCommand) => {
      const run = bed.current;
      if (run === null) return;
      const answer = await send({ run, ...command });
      setFailed(wordsOf(answer.error));
      if (!answer.data) return;
      const { state, ok, message } = answer.data;
      setOn((was) => was && { ...was, state });
      if (message !== '') setSaid({ ok, message });
    },
    [send],
  );
  /** One press after the other: of answers that overtook each other the older would be shown last. */
  const pressed = useRef(Promise.resolve());
  const press = useCallback(
    (command: PracticeCommand) => {
      pressed.current = pressed.current.then(() => pressNow(command));
      return pressed.current;
    },
    [pressNow],
  );
  useEffect(() => void layAnew(STRAIGHT), [layAnew]);
  const running = on?.state.running ?? false;
  useEffect(() => {
    if (!running) return;
    let over = false;
    const tick = async () => {
      while (!over) {
        await new Promise((next) => setTimeout(next, TICK_MS));
        if (!over) await press({ press: 'sew', seconds: SECONDS_A_TICK });
      }
    };
    void tick();
    return () => {
      over = true;
    };
  }, [running, press]);
  return {
    on,
    said,
    failed,
    lie,
    press: (command) => void press(command),
    layAnew: (next) => void layAnew(next),
  };
}
