import { type Phrase, phrase } from '../../base/units/phrase';
import type { Stage } from '../../model/stages';

/** What an overruling of one's own can bring about: the stage that can mend it, and how it is said. */
const OWN = {
  'hot-cloth': ['layers', phrase`An iron touches cloth that takes none.`],
  'too-small': ['layers', phrase`A sheet or film is smaller than what holds it asks.`],
  'holes-stay': ['layers', phrase`Pins or basting leave holes that stay in this cloth.`],
  'basting-outside': ['hoop', phrase`The basting box leaves the stitch field.`],
  'does-not-go-in': ['hoop', phrase`The hoop does not go into the piece.`],
  'hoop-open': ['hoop', phrase`The hoop is not closed.`],
  'nothing-holds': ['layers', phrase`Nothing holds the piece while it is stitched.`],
  'nothing-beneath': ['layers', phrase`No sheet lies beneath what is stitched.`],
  'outside-field': ['mount', phrase`The design leaves the stitch field.`],
} as const satisfies Record<string, readonly [Stage, Phrase]>;

/** What only a fault of the list of acts itself brings about. */
type OfTheList =
  | 'off-marks'
  | 'wet-fused'
  | 'hot-marks'
  | 'hot-film'
  | 'hot-machine'
  | 'trimmed-on-machine'
  | 'paper-on'
  | 'not-cut'
  | 'left-over'
  | 'pinned-down'
  | 'pins-in-field'
  | 'not-loaded'
  | 'no-centre'
  | 'not-mounted'
  | 'no-keys'
  | 'keys-lost'
  | 'no-needle'
  | 'not-traced'
  | 'no-cloth'
  | 'no-topper'
  | 'not-stitched'
  | 'twice-stitched'
  | 'in-the-hoop'
  | 'left-on'
  | 'marks-left'
  | 'seam-open';

export type RefusalCode = keyof typeof OWN | OfTheList;

/** The stage that can mend what hands refuse, and how it is said. */
export const refusalOf = (code: RefusalCode): readonly [Stage, Phrase] =>
  code in OWN
    ? OWN[code as keyof typeof OWN]
    : ['mount', phrase`A step of this job cannot be done as it stands (${code}).`];
