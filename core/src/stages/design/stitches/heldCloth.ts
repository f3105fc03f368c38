import type { Clipper, Region } from '../../../base/geometry/clip';
import type { LineOfStitches } from './element';
import type { StitchShape } from './question';

/** What is stitched of a shape: an area, or lines along it and the band that they take. */
export interface HeldShape {
  region: Region;
  line?: LineOfStitches;
}

/** A line of stitches takes so much room, mm. */
const LINE_MM = 0.4;
/** What is left of a shape that is narrower than twice the tack-down's place: it is tacked along its middle, mm. */
const LEAST_IN_MM = 0.1;

const bandAbout = (rings: Region, clip: Clipper): Region =>
  clip.subtract(clip.offset(rings, LINE_MM / 2), clip.offset(rings, -LINE_MM / 2));

/** The lines inside a region at a distance; nearer to its rim where it is too narrow for that. */
function linesIn(region: Region, inMm: number, clip: Clipper): Region {
  for (let at = inMm; at > LEAST_IN_MM; at /= 2) {
    const inside = clip.offset(region, -at);
    if (inside.length > 0) return inside;
  }
  return region;
}

/**
 * What of a shape is stitched in its stop, mm. Thread alone: the shape. Of cloth: its outline, the tack-down inside it, or
 * the edge: satin half in and half out, or a blanket stitch along it with prongs inwards. A shape without area has none.
 */
export function heldCloth(region: Region, { step, applique }: StitchShape, clip: Clipper): HeldShape {
  if (!step || !applique) return { region };
  const { edge, edgeMm, tackInMm, blanketPitchMm } = applique;
  if (step === 'edge' && edge === 'satin')
    return { region: clip.subtract(clip.offset(region, edgeMm / 2), clip.offset(region, -edgeMm / 2)) };
  const rings = step === 'tackDown' ? linesIn(region, tackInMm, clip) : region;
  const prong = step === 'edge' ? { longMm: edgeMm, pitchMm: blanketPitchMm } : null;
  return { region: bandAbout(rings, clip), line: { rings, prong } };
}
