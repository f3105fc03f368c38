import type { DesignFacts, LaidHoop } from '@zt/core';

/** The largest that the design can be in the hoop where it lies, by its box; null where it fills it, or none is laid. */
export function largestIn(
  laid: LaidHoop | null,
  facts: DesignFacts,
): { widthMm: number; heightMm: number } | null {
  const by = laid && !laid.split ? laid.verdict.largestScale : 0;
  return by > 1.01 ? { widthMm: facts.widthMm * by, heightMm: facts.heightMm * by } : null;
}
