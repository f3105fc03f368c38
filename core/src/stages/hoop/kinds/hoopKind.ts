import type { Phrase } from '../../../base/units/phrase';
import type { HouseNumber } from '../../../catalogue/houseNumber';
import type { Fabric } from '../../../model/ticket/piece';

/** One kind of hoop: what it closes on, what it does to cloth, and how it is handled. */
export interface HoopKind {
  /** As the shelf keeps it and as it is shown. */
  id: string;
  /** The thickest stack it closes on; null where nothing is clamped, and any thickness goes. */
  closes: HouseNumber | null;
  /** Why nothing is hooped in it and a piece is floated on it; null where it clamps the cloth itself. */
  floatedOnly: Phrase | null;
  /** Its ring lies flat on the cloth and does not press it into a groove. */
  flat: boolean;
  /** Cloth that it does not mark, though others do. */
  spares: readonly Fabric['structure'][];
  /** How the arrows of its two parts must lie to each other. */
  arrows: string;
  orientation: Phrase;
  orientationHint: Phrase;
  loosen: Phrase;
  loosenHint: Phrase | null;
  /** Which side is closed first, and which last. */
  close: Phrase;
  closeCaution: Phrase | null;
  /** What is done once it is closed on the cloth. */
  closed: { text: Phrase; hint: Phrase } | null;
}
