import type { GradedRow } from '../../catalogue/gradedTable';
import type { HouseNumber } from '../../catalogue/houseNumber';

/**
 * The rule that finds a spot, as data. Distances are numbers the shop can change, named by id.
 * A rule speaks of landmarks of the view it stands on.
 */
export type SpotRule =
  | { by: 'side-chest'; side: 1 | -1 }
  | { by: 'centre-chest' }
  /** Between two landmarks, raised by a share of the space between them. */
  | {
      by: 'middle';
      top: { landmark: string; name: string };
      foot: { landmark: string; name: string };
      raise?: HouseNumber;
      /** No wider than this share of the face. */
      widest?: { percent: HouseNumber; of: string };
    }
  | { by: 'top-below'; row: GradedRow }
  | { by: 'jacket-back' }
  | { by: 'sleeve' }
  | { by: 'hem-corner'; side: 1 | -1 }
  | { by: 'above-band'; banded: HouseNumber; plain: HouseNumber; piece: string }
  | { by: 'above-hem'; gap: HouseNumber; within?: 'middle third' }
  | { by: 'corner'; diagonal: boolean }
  | { by: 'gap-from-edge'; edge: 'bottom' | 'top' | 'left' | 'right' };

/** Further copies of the design that a placement makes. */
export type CopyRule = 'four corners' | 'closed hem' | 'open hem' | 'scatter';

/** One usual place on a kind of piece. */
export interface UsualPlacement {
  id: string;
  name: string;
  /** The name with both sides named, so that they cannot be mixed up. */
  faces: string;
  view: string;
  rule: SpotRule;
  copies?: CopyRule;
  /** A move off the rule that belongs to a place of the shop's own, mm, made on a face so wide. */
  moved?: {
    x: number;
    y: number;
    turnDeg: number;
    atWidthMm: number;
    school: 'table' | 'armhole' | 'collar' | null;
  };
}
