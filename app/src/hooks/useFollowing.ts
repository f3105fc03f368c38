import { useEffect, useRef, useState } from 'react';

/** How often what follows a hand is worked out anew, ms. The thing in the hand itself follows every move. */
const EVERY_MS = 160;

interface Following<T> {
  /** Sends this, or what came after it, before long. */
  soon: (value: T) => void;
  /** Sends what has not been sent. */
  end: () => void;
}

/** Sends the latest of many values: now and then while they come, and the last one always. */
export function useFollowing<T>(send: (value: T) => void): Following<T> {
  const latest = useRef(send);
  useEffect(() => {
    latest.current = send;
  }, [send]);
  const [following] = useState((): Following<T> => {
    let waiting: { value: T; timer: ReturnType<typeof setTimeout> } | null = null;
    const end = () => {
      if (!waiting) return;
      const { value, timer } = waiting;
      clearTimeout(timer);
      waiting = null;
      latest.current(value);
    };
    const soon = (value: T) => {
      if (waiting) waiting.value = value;
      else waiting = { value, timer: setTimeout(end, EVERY_MS) };
    };
    return { soon, end };
  });
  useEffect(() => following.end, [following]);
  return following;
}
