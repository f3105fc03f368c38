import { areaOf, type Clipper, type Region } from '../../../base/geometry/clip';
import { toEnd } from '../../../base/inSteps';
import { MOST_STITCHES } from '../../../model/ticket/designBounds';
import type { StitchFigures } from '../stitchFigures';
import type { HowToStitch } from './howToStitch';
import { stitchDesign } from './stitchDesign';
import type { Stitches } from './stitches';
import { countStops } from './summary';

/** Shapes with the stop that each is stitched in, what is hidden of them taken away. mm. */
export type Stopped = readonly { region: Region; stop: number }[];

/** As the shop stitches, on a cloth that does not give. */
export const plainly = (figures: StitchFigures): HowToStitch => ({
  ...figures,
  pullMm: 0,
  edgeRuns: true,
  angleDeg: null,
  way: null,
});

/** Whether shapes take more stitches than a design may have, by their area alone: rows are never fewer. */
export const tooManyStitches = (shapes: Stopped, { fillRowMm, fillStitchMm }: StitchFigures): boolean =>
  shapes.reduce((sum, { region }) => sum + areaOf(region), 0) / (fillRowMm * fillStitchMm) > MOST_STITCHES;

/** All stitches of shapes, at once. */
export function stitchedAtOnce(shapes: Stopped, how: HowToStitch, clip: Clipper): Stitches {
  return toEnd(
    stitchDesign(
      shapes.map((shape) => ({ ...shape, how })),
      clip,
    ),
  );
}

/** How many stitches shapes take in each of their stops. */
export function countStitches(shapes: Stopped, figures: StitchFigures, clip: Clipper): number[] {
  const stops = shapes.reduce((most, { stop }) => Math.max(most, stop + 1), 0);
  return countStops(stitchedAtOnce(shapes, plainly(figures), clip), stops).map(({ stitches }) => stitches);
}
