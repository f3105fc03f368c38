import type { DesignFacts } from '../design/designFacts';
import type { LaidHoop } from './layHoop';

/** A design so little smaller than it could be fills its field. */
const FILLS = 1.01;

/**
 * The largest that a design can be in the hoop where it lies, by its box, mm; null where it fills the field or misses it,
 * is split, or no hoop is laid.
 */
export function largestIn(
  laid: Pick<LaidHoop, 'split' | 'verdict'> | null,
  { widthMm, heightMm }: Pick<DesignFacts, 'widthMm' | 'heightMm'>,
): { widthMm: number; heightMm: number } | null {
  const by = laid && !laid.split ? laid.verdict.largestScale : 0;
  return by > FILLS ? { widthMm: widthMm * by, heightMm: heightMm * by } : null;
}
