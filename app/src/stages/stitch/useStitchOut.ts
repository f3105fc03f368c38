import type { StitchAnswer } from '@zt/core/stages/design/stitches/answer';
import { type BobbinEndsIn, bobbinEndOf, firstsOf } from '@zt/core/stages/stitch/bobbinEnd';
import { perStitchOf, type StitchPlan } from '@zt/core/stages/stitch/planStitch';
import { useEffect, useMemo } from 'react';
import { usePlan, useRules } from '../../hooks/useTicket';
import { showAll } from '../../stitches/playhead';
import { useStitches } from '../../stitches/useStitchesMade';

/** A stitch-out as it is shown: the stitches, where each stop begins, and where the bobbin ends. */
export interface StitchOut {
  key: string;
  answer: StitchAnswer;
  plan: StitchPlan;
  firsts: number[];
  bobbin: BobbinEndsIn | null;
}

/** The stitch-out of the open ticket; null while its stitches are not made, or where it has none of its own. */
export function useStitchOut(): StitchOut | null {
  const { stitch: plan } = usePlan('stitch');
  const { key, answer } = useStitches();
  const rules = useRules();
  const out = useMemo(() => {
    if (!plan || !answer || key === null) return null;
    return {
      key,
      answer,
      plan,
      firsts: firstsOf(answer.stitches, plan.stops.length),
      bobbin: bobbinEndOf(plan, answer.stitches, perStitchOf(rules)),
    };
  }, [key, answer, plan, rules]);
  useEffect(() => {
    if (out) showAll(out.key, out.answer.stitches.x.length);
  }, [out]);
  return out;
}

/** The stop that a penetration belongs to. */
export const stopAt = ({ answer }: StitchOut, at: number): number =>
  answer.stitches.stop[Math.max(0, Math.min(answer.stitches.stop.length, Math.ceil(at)) - 1)] ?? 0;
