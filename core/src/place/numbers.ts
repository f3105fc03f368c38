import type { NumberRule } from '../rules/numberRule';

export const PLACE_NUMBERS = {
  leastClearanceMm: {
    name: 'Keep clear of seams and bands',
    value: 10,
    unit: 'mm',
    reason: 'The foot needs room, and a seam pulls the stitches.',
  },
  aboveBandBathMm: {
    name: 'Bath towel: above the band',
    value: 45,
    unit: 'mm',
    reason: 'Reads as sitting on the band once the towel is folded over the rail.',
  },
  aboveBandHandMm: {
    name: 'Hand towel: above the band',
    value: 40,
    unit: 'mm',
    reason: 'As on a bath towel, a little closer on the smaller piece.',
  },
  aboveHemBathMm: {
    name: 'Bath towel without a band: above the hem',
    value: 120,
    unit: 'mm',
    reason: 'Where the band would have ended.',
  },
  aboveHemHandMm: {
    name: 'Hand towel without a band: above the hem',
    value: 90,
    unit: 'mm',
    reason: 'Where the band would have ended.',
  },
  templateMarginMm: {
    name: 'Template paper beyond the design',
    value: 25,
    unit: 'mm',
    reason: 'By collar, the template touches the seam with its paper edge, an inch above the design.',
  },
  waistPercent: {
    name: 'Waist, of collar seam to hem',
    value: 66,
    unit: 'percent',
    reason: 'Below the waist a chest design disappears behind the belt.',
  },
  snapMm: {
    name: 'Snap to the rule within',
    value: 4,
    unit: 'mm',
    reason: 'Close enough to mean the rule itself.',
  },
} satisfies Record<string, NumberRule>;

/** Chest widths (underarm to underarm, mm) at which each column of the graded tables holds exactly. */
export const GRADE_ANCHORS = [300, 385, 505, 620] as const;

/** Graded placements in mm, by toddler, youth, adult and plus. */
export const GRADED = {
  chestFromCentreLine: [60, 75, 100, 115],
  chestBelowShoulderPoint: [110, 150, 190, 215],
  topBelowCollar: [25, 50, 75, 85],
} as const;
