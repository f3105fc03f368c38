import type { NumberId } from '../rules/numbers';

/** Rows of the graded tables. */
export type GradedRow =
  | 'chestFromCentreLine'
  | 'chestBelowShoulderPoint'
  | 'topBelowCollar'
  | 'topBelowBackUpper'
  | 'topBelowBackFull'
  | 'aboveSleeveHem'
  | 'cornerAboveHem'
  | 'cornerFromSideSeam';

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
      raise?: NumberId;
      /** No wider than this share of the face. */
      widest?: { percent: NumberId; of: string };
    }
  | { by: 'top-below'; row: GradedRow }
  | { by: 'jacket-back' }
  | { by: 'sleeve' }
  | { by: 'hem-corner'; side: 1 | -1 }
  | { by: 'above-band'; banded: NumberId; plain: NumberId; piece: string }
  | { by: 'above-hem'; gap: NumberId; within?: 'middle third' }
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
