import { cutAskedOf } from '@zt/core/files/cutFile/cutAsked';
import type { CutAsked, CutProgress, CutSheet } from '@zt/core/files/cutFile/cutSheet';
import isEqual from 'fast-deep-equal';
import { useEffect, useState } from 'react';
import { usePlan, useRules, useTicket } from '../../hooks/useTicket';
import { cuttingCloth } from '../../workers/cuttingCloth';

/** How the pieces of the open ticket lie on their cloth, or how far that has come. */
export type ClothCut =
  | { state: 'laying'; progress: CutProgress | null; stop: () => void }
  | { state: 'laid'; sheets: CutSheet[] }
  | { state: 'failed'; message: string; again: () => void }
  | { state: 'nothing' };

const NOTHING: ClothCut = { state: 'nothing' };

/** What is to be cut of the open ticket, kept while it asks the same. */
function useAsked(): CutAsked | null {
  const ticket = useTicket();
  const plan = usePlan('piece', 'design', 'place', 'stitch');
  const rules = useRules();
  return useSame(cutAskedOf(ticket, plan, rules));
}

/** The very object that was before, while what is in it is the same. */
function useSame<T>(value: T): T {
  const [kept, setKept] = useState(value);
  if (kept !== value && !isEqual(kept, value)) setKept(value);
  return isEqual(kept, value) ? kept : value;
}

/** Lays the pieces of every cloth of the open ticket in a worker. */
export function useCutSheets(): ClothCut {
  const asked = useAsked();
  const [cutting, setCutting] = useState<ClothCut>(NOTHING);
  const [round, setRound] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: each round lays them anew
  useEffect(() => {
    if (!asked) return setCutting(NOTHING);
    const again = () => setRound((before) => before + 1);
    const job = cuttingCloth(asked, (progress) =>
      setCutting((now) => (now.state === 'laying' ? { ...now, progress } : now)),
    );
    setCutting({ state: 'laying', progress: null, stop: job.stop });
    let over = false;
    void job.done.then((worked) => {
      if (over) return;
      if (worked.state === 'done') setCutting({ state: 'laid', sheets: worked.value });
      else if (worked.state === 'failed') setCutting({ state: 'failed', message: worked.message, again });
      else setCutting({ state: 'failed', message: 'Stopped. Your ticket is as it was.', again });
    });
    return () => {
      over = true;
      job.stop();
    };
  }, [asked, round]);
  return cutting;
}
