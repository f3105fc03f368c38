import type { HowFar } from '@zt/core/base/inSteps';
import { useLayoutEffect, useRef, useState } from 'react';

/** So long is worked before the page is drawn, ms: what is known by then moves nothing under the finger. */
const FIRST_MS = 300;
/** So long, where what was found before stands on the page meanwhile, ms: a key is answered first. */
const AGAIN_MS = 16;
/** So long at a time is worked between two frames then, ms: a finger goes on meanwhile. */
const SLICE_MS = 8;
/** So often is told how far it is, ms. */
const TELL_MS = 250;

/** What long work came to, of what it was asked last that is done; and how far the next is, null where nothing is under way. */
interface InSlices<T> {
  result: T | null;
  howFar: HowFar | null;
}

/**
 * Long work gone through in slices between frames, from its beginning whenever `begin` is another; it ends when the page is
 * left. What is soon done is done before the page is drawn. Nothing is done where `begin` is null.
 */
export function useInSlices<T>(begin: (() => Generator<HowFar, T>) | null): InSlices<T> {
  const [state, setState] = useState<InSlices<T>>({ result: null, howFar: null });
  const wasFound = useRef(false);
  useLayoutEffect(() => {
    if (!begin) return;
    const work = begin();
    let timer: ReturnType<typeof setTimeout> | undefined;
    let told = performance.now();
    const goOn = (forMs: number) => {
      const until = performance.now() + forMs;
      let step = work.next();
      while (!step.done && performance.now() < until) step = work.next();
      if (step.done) {
        wasFound.current = true;
        setState({ result: step.value, howFar: null });
        return;
      }
      if (performance.now() - told > TELL_MS) {
        told = performance.now();
        const howFar = step.value;
        setState(({ result }) => ({ result, howFar }));
      }
      timer = setTimeout(goOn, 0, SLICE_MS);
    };
    goOn(wasFound.current ? AGAIN_MS : FIRST_MS);
    return () => clearTimeout(timer);
  }, [begin]);
  return state;
}
