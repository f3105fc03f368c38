import { useEffect, useState } from 'react';

/** How fast a step is read; the shop's pace is kept on the device. */
export const PACES = [
  { id: 'calm', name: 'calm', rate: 0.8 },
  { id: 'even', name: 'even', rate: 1 },
  { id: 'brisk', name: 'brisk', rate: 1.25 },
] as const;
export type PaceId = (typeof PACES)[number]['id'];

const NAME = 'pace';
const keptPace = (): PaceId => PACES.find(({ id }) => id === localStorage.getItem(NAME))?.id ?? 'even';

const NO_VOICE = 'This device has no voice of its own for English: nothing is read aloud.';
/** Voices come some time after they are first asked for, ms. */
const VOICES_MS = 1500;

/** A voice that lies on the device itself; null where there is none. */
async function localVoice(): Promise<SpeechSynthesisVoice | null> {
  const find = () =>
    speechSynthesis.getVoices().find(({ localService, lang }) => localService && /^en\b/i.test(lang)) ?? null;
  if (find()) return find();
  await new Promise((done) => {
    speechSynthesis.addEventListener('voiceschanged', done, { once: true });
    setTimeout(done, VOICES_MS);
  });
  return find();
}

export interface Aloud {
  on: boolean;
  /** Why nothing is read, in words. */
  why: string | null;
  pace: PaceId;
  turn: (on: boolean) => void;
  setPace: (pace: PaceId) => void;
  again: () => void;
}

/** Reads each text once it is there, by a voice of the device's own, until it is turned off. */
export function useAloud(text: string): Aloud {
  const [on, setOn] = useState(false);
  const [why, setWhy] = useState<string | null>(null);
  const [pace, setPaceNow] = useState(keptPace);
  const [times, setTimes] = useState(0);
  useEffect(() => {
    if (!on) return;
    let over = false;
    const speak = async () => {
      const voice = 'speechSynthesis' in window ? await localVoice() : null;
      if (over) return;
      if (!voice) {
        setWhy(NO_VOICE);
        setOn(false);
        return;
      }
      const words = new SpeechSynthesisUtterance(times > 0 ? `${text} ` : text);
      words.voice = voice;
      words.lang = voice.lang;
      words.rate = PACES.find(({ id }) => id === pace)?.rate ?? 1;
      speechSynthesis.cancel();
      speechSynthesis.speak(words);
    };
    void speak();
    return () => {
      over = true;
      if ('speechSynthesis' in window) speechSynthesis.cancel();
    };
  }, [on, text, pace, times]);
  return {
    on,
    why,
    pace,
    turn: (next) => {
      setWhy(null);
      setOn(next);
    },
    setPace: (next) => {
      localStorage.setItem(NAME, next);
      setPaceNow(next);
    },
    again: () => setTimes((n) => n + 1),
  };
}
