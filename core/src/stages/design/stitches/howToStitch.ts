import type { StitchFigures } from '../stitchFigures';

/** How regions are stitched, mm. */
export interface HowToStitch extends StitchFigures {
  /** So much farther out every row and every rung reaches on either side: the thread pulls the cloth in. */
  pullMm: number;
  /** Rows of a fill run at this angle, clockwise from the x axis; null along the longest way of each. */
  angleDeg: number | null;
  /** Whether wide columns have runs along both edges beneath; the edge of a cloth lies on its tack-down instead. */
  edgeRuns: boolean;
  /** How everything is stitched, whatever its width; null as its width says. */
  way: 'run' | 'satin' | 'fill' | null;
}
