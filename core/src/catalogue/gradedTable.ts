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

/** Chest widths (underarm to underarm, mm) at which each column of the graded tables holds exactly. */
export const GRADE_ANCHORS = [300, 385, 505, 620] as const;

export const GRADE_NAMES = ['toddler', 'youth', 'adult', 'plus'] as const;

/** Graded placements in mm, by toddler, youth, adult and plus. */
export const GRADED: Readonly<Record<GradedRow, readonly [number, number, number, number]>> = {
  chestFromCentreLine: [60, 75, 100, 115],
  chestBelowShoulderPoint: [110, 150, 190, 215],
  topBelowCollar: [25, 50, 75, 85],
  topBelowBackUpper: [30, 60, 100, 110],
  topBelowBackFull: [40, 70, 115, 125],
  aboveSleeveHem: [15, 20, 30, 35],
  cornerAboveHem: [20, 30, 40, 40],
  cornerFromSideSeam: [60, 75, 95, 105],
};
