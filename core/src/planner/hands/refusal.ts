import { type Phrase, phrase } from '../../base/units/phrase';
import type { Stage } from '../../model/stages';

/** Why hands cannot, or must not, do what an act says: each with the stage that can mend it, and what it is called. */
export const REFUSALS = {
  'hot-cloth': ['layers', phrase`An iron touches cloth that takes none.`],
  'hot-film': ['layers', phrase`An iron touches the film.`],
  'hot-marks': ['place', phrase`An iron touches marks that heat sets.`],
  'hot-machine': ['layers', phrase`An iron is used while the hoop is on the machine.`],
  'wet-fused': ['finish', phrase`Something is fused while it is wet.`],
  'paper-on': ['layers', phrase`The paper is still on what is to stick or fuse.`],
  'not-cut': ['layers', phrase`Something is used that was not cut.`],
  'too-small': ['layers', phrase`A sheet or film is smaller than what holds it asks.`],
  'left-over': ['layers', phrase`Something is cut and never used.`],
  'pinned-down': ['layers', phrase`Cloth is laid on what is pinned down.`],
  'pins-in-field': ['mount', phrase`A pin is in the field when the needle comes down.`],
  'basting-outside': ['hoop', phrase`The basting box leaves the stitch field.`],
  'holes-stay': ['layers', phrase`Pins or basting leave holes that stay in this cloth.`],
  'does-not-go-in': ['hoop', phrase`The hoop does not go into the piece.`],
  'not-loaded': ['hoop', phrase`The piece is not round the hoop when it is laid on its marks.`],
  'no-centre': ['hoop', phrase`The hoop centre is not marked.`],
  'hoop-open': ['hoop', phrase`The hoop is not closed.`],
  'nothing-holds': ['layers', phrase`Nothing holds the piece while it is stitched.`],
  'nothing-beneath': ['layers', phrase`No sheet lies beneath what is stitched.`],
  'not-mounted': ['mount', phrase`The hoop is not on the machine.`],
  'no-keys': ['mount', phrase`The machine settings are not entered.`],
  'keys-lost': ['mount', phrase`Power goes off after the machine settings are entered.`],
  'no-needle': ['mount', phrase`The needle is not fitted.`],
  'not-traced': ['mount', phrase`It is stitched without a trace.`],
  'outside-field': ['mount', phrase`The design leaves the stitch field.`],
  'off-marks': ['mount', phrase`The design does not land on its marks.`],
  'no-cloth': ['stitch', phrase`The cloth of an appliqué is not in its place.`],
  'no-topper': ['layers', phrase`The film that was cut is not on top.`],
  'not-stitched': ['stitch', phrase`A copy, a part or a colour is not stitched.`],
  'twice-stitched': ['stitch', phrase`Something is stitched twice.`],
  'in-the-hoop': ['finish', phrase`The piece is still in the hoop.`],
  'left-on': ['finish', phrase`Something that comes off is still on the piece.`],
  'marks-left': ['finish', phrase`The marks are still on the cloth.`],
  'seam-open': ['finish', phrase`A seam is still open.`],
  'bare-back': ['layers', phrase`The back is bare where it lies on the skin.`],
} as const satisfies Record<string, readonly [Stage, Phrase]>;

export type RefusalCode = keyof typeof REFUSALS;
