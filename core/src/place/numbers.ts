import type { GradedRow } from '../piece/usualPlacement';
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
  aboveBandFingertipMm: {
    name: 'Fingertip towel: above the band',
    value: 30,
    unit: 'mm',
    reason: 'The smallest towel takes the smallest gap.',
  },
  aboveHemFingertipMm: {
    name: 'Fingertip towel without a band: above the hem',
    value: 60,
    unit: 'mm',
    reason: 'Where the band would have ended.',
  },
  aboveHemTeaTowelMm: {
    name: 'Tea towel: above the hem',
    value: 80,
    unit: 'mm',
    reason: 'Seen when it hangs folded in three over a rail.',
  },
  aboveSkirtHemMm: {
    name: 'Skirt border: above the hem stitching',
    value: 25,
    unit: 'mm',
    reason: 'Clear of the turned hem, still read as its border.',
  },
  cornerFromHemsMm: {
    name: 'Corner: from both hems',
    value: 30,
    unit: 'mm',
    reason: 'Nearest stitched edge to the hem stitching, the same both ways.',
  },
  bibWidestPercent: {
    name: 'Bib: widest design, of its width',
    value: 60,
    unit: 'percent',
    reason: 'Wider, it disappears round the chin and the sides.',
  },
  toteRaisePercent: {
    name: 'Bag: raised above the middle, of the clear face',
    value: 5,
    unit: 'percent',
    reason: 'A full bag bulges low; the eye puts the middle higher.',
  },
  opticalRaisePercent: {
    name: 'Above a pocket: raised, of the clear space',
    value: 10,
    unit: 'percent',
    reason: 'The optical middle lies above the measured one.',
  },
  jacketBackTopMm: {
    name: 'Jacket back: top below the collar seam',
    value: 115,
    unit: 'mm',
    reason: 'Clear of a turned-down collar.',
  },
  yokeClearanceMm: {
    name: 'Jacket back: clear of a yoke seam',
    value: 15,
    unit: 'mm',
    reason: 'The yoke is three layers thick; the foot catches on its edge.',
  },
  edgeGapMm: {
    name: 'Gap from an edge',
    value: 40,
    unit: 'mm',
    reason: 'Room for a strip or a piping between design and edge.',
  },
  patchAllowanceMm: {
    name: 'Stabilizer patch: beyond the design',
    value: 25,
    unit: 'mm',
    reason: 'So much on every side keeps the patch under the whole design, however it shifts.',
  },
  repeatGapMm: {
    name: 'Repeats: wished gap',
    value: 30,
    unit: 'mm',
    reason: 'Far enough to read each one, close enough to read a border.',
  },
  leastRepeatGapMm: {
    name: 'Repeats: least gap',
    value: 5,
    unit: 'mm',
    reason: 'Closer, neighbours grow into each other as the cloth draws in.',
  },
  repeatMarginMm: {
    name: 'Repeats: margin at either end of an open hem',
    value: 20,
    unit: 'mm',
    reason: 'Clear of the seam that will close it.',
  },
  scatterInsetMm: {
    name: 'Scatter: inside the seam line',
    value: 15,
    unit: 'mm',
    reason: 'Nothing is caught in the seam when the cut is a little off.',
  },
  scatterGapMm: {
    name: 'Scatter: least gap',
    value: 10,
    unit: 'mm',
    reason: 'Motifs stay apart when the cloth draws in.',
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
  sizeReadingOutPercent: {
    name: 'A size is out of line from',
    value: 12,
    unit: 'percent',
    reason: 'A reading so far off the run’s proportion was mostly misread.',
  },
  sizeCoverOutPercent: {
    name: 'A design looks large on a size from',
    value: 140,
    unit: 'percent',
    reason: 'Of the share it usually takes of the width; by the inverse it looks small.',
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
