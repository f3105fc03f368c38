import type { CutAsked, CutProgress, CutSheet } from '@zt/core/uses/cutFile/cutSheet';
import { useEffect, useMemo, useState } from 'react';
import { usePlan, useRules } from '../../hooks/useTicket';
import { cuttingCloth } from '../../workers/cuttingCloth';

/** How the pieces of the open ticket lie on their cloth, or how far that has come. */
export type Cutting =
  | { state: 'laying'; progress: CutProgress | null; stop: () => void }
  | { state: 'laid'; sheets: CutSheet[] }
  | { state: 'failed'; message: string; again: () => void }
  | { state: 'nothing' };

const NOTHING: Cutting = { state: 'nothing' };

/** What is to be cut of the open ticket; null where it is all thread. */
function useAsked(): CutAsked | null {
  const { design, stitch } = usePlan('design', 'stitch');
  const rules = useRules();
  const { facts } = design;
  const times = Math.max(1, Math.ceil(stitch?.stitchings ?? 1));
  return useMemo(
    () =>
      facts && facts.cloths.length > 0
        ? { facts: { cloths: facts.cloths, scale: facts.scale }, times, rules }
        : null,
    [facts, times, rules],
  );
}

/** Lays the pieces of every cloth of the open ticket in a worker. */
export function useCutSheets(): Cutting {
  const asked = useAsked();
  const [cutting, setCutting] = useState<Cutting>(NOTHING);
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
