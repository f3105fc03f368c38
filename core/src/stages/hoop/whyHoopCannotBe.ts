import { type Hoop, hasUnreadFigure } from '../../model/shelf';
import { isKindKnown } from './kinds';

/** Why a hoop cannot be right as it is kept, in a sentence; null when it can. It is kept as typed, and never fits. */
export function whyHoopCannotBe(hoop: Hoop): string | null {
  if (hasUnreadFigure(hoop))
    return 'One of its figures was typed and could not be taken: open it on the shelf and type it again.';
  if (!isKindKnown(hoop)) return `Its kind, “${hoop.kind}”, is not known here: choose another on the shelf.`;
  if (hoop.fieldWidthMm > hoop.ringWidthMm)
    return 'Its ring is narrower than its stitch field: measure the ring outside, from edge to edge.';
  if (hoop.fieldHeightMm > hoop.ringHeightMm)
    return 'Its ring is shorter than its stitch field: measure the ring outside, from edge to edge.';
  return null;
}
