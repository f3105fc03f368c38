import type { DensityClass } from '../../model/ticket/part';
import { houseNumbers } from '../houseNumber';

export const DESIGN_NUMBERS = houseNumbers({
  fillRowMm: {
    name: 'Fill: row spacing',
    value: 0.4,
    unit: 'mm',
    reason: 'The usual spacing that covers without making a board.',
  },
  fillStitchMm: { name: 'Fill: stitch length', value: 4, unit: 'mm', reason: 'The usual fill stitch.' },
  underlayPercent: {
    name: 'Underlay',
    value: 20,
    unit: 'percent',
    reason: 'A fill carries about a fifth more stitches underneath.',
  },
  satinPitchMm: {
    name: 'Satin: two penetrations every',
    value: 0.4,
    unit: 'mm',
    reason: 'The usual satin spacing.',
  },
  satinMostMm: {
    name: 'Widest satin',
    value: 8,
    unit: 'mm',
    reason: 'Wider satin snags: it is split or filled.',
  },
  satinLeastMm: { name: 'Narrowest satin', value: 1, unit: 'mm', reason: 'Below this a column closes up.' },
  runStitchMm: { name: 'Run: stitch length', value: 2.5, unit: 'mm', reason: 'The usual running stitch.' },
  pullMm: {
    name: 'Pull: stable cloth',
    value: 0.1,
    unit: 'mm',
    reason: 'The thread draws the cloth in: rows and columns reach so much farther out on either side.',
  },
  pullKnitMm: { name: 'Pull: knits', value: 0.2, unit: 'mm', reason: 'A knit gives more.' },
  pullPileMm: {
    name: 'Pull: pile and loops',
    value: 0.25,
    unit: 'mm',
    reason: 'The pile swallows the edge.',
  },
  countFillPercent: {
    name: 'Machine’s count: fills',
    value: 100,
    unit: 'percent',
    reason: 'How many stitches a machine shows for a fill of ours; taken over from a count that was typed.',
  },
  countSatinPercent: {
    name: 'Machine’s count: satin',
    value: 100,
    unit: 'percent',
    reason: 'How many stitches a machine shows for a satin of ours; taken over from a count that was typed.',
  },
  hotSpotFirmCover: {
    name: 'Hot spot above, firm cloth on two sheets',
    value: 8,
    unit: 'count',
    reason: 'A cloth that does not give, on two sheets, carries a little more.',
  },
  hotSpotCover: {
    name: 'Hot spot above',
    value: 7,
    unit: 'count',
    reason: 'Millimetres of thread per mm²: one fill lays about 2.5 to 3, satin about 5.',
  },
  boardCover: {
    name: 'Board above',
    value: 10,
    unit: 'count',
    reason: 'Thread this thick is a board and breaks needles.',
  },
  cutShortMm: {
    name: 'Appliqué cut short of its edge',
    value: 0.5,
    unit: 'mm',
    reason: 'Cut before it is laid, the cloth ends so far inside the outer side of the satin that covers it.',
  },
  cutInHoopMm: {
    name: 'Appliqué cut in the hoop, beyond',
    value: 10,
    unit: 'mm',
    reason: 'Enough to hold flat while it is tacked down and to cut away after.',
  },
  turnedMm: {
    name: 'Appliqué turned under by',
    value: 6,
    unit: 'mm',
    reason: 'What a finger folds and an iron holds.',
  },
  rawInMm: {
    name: 'Raw edge held inside by',
    value: 3,
    unit: 'mm',
    reason: 'The edge frays up to the line that holds it, and no farther.',
  },
  tackInMm: {
    name: 'Tack-down inside the edge by',
    value: 0.5,
    unit: 'mm',
    reason: 'The line catches the cloth and is covered by the edge.',
  },
  blanketPitchMm: {
    name: 'Blanket stitch, one every',
    value: 3,
    unit: 'mm',
    reason: 'Close enough to hold, open enough to be seen.',
  },
  nestGapMm: {
    name: 'Between pieces on the cloth',
    value: 5,
    unit: 'mm',
    reason: 'Room for scissors, and for a blade that swings.',
  },
  leastLetterMm: {
    name: 'Least lettering, 40 wt',
    value: 6,
    unit: 'mm',
    reason: 'Smaller letters close up in 40 wt thread.',
  },
  leastLetterFineMm: {
    name: 'Least lettering, 60 wt',
    value: 4,
    unit: 'mm',
    reason: 'Fine thread and a fine needle hold 4 mm.',
  },
  leastCounterMm: {
    name: 'Least eye of a letter',
    value: 0.8,
    unit: 'mm',
    reason: 'The columns on either side spread by some tenths and meet in what is narrower.',
  },
  leastLetterGapMm: {
    name: 'Least gap between letters',
    value: 0.4,
    unit: 'mm',
    reason: 'Two columns of satin that lie closer meet once the thread has spread.',
  },
  resizeFreelyPercent: {
    name: 'Shrink freely down to',
    value: 90,
    unit: 'percent',
    reason: 'The machine keeps the stitches: to 90 % the cloth does not notice.',
  },
  resizeLeastPercent: {
    name: 'Shrink at most to',
    value: 80,
    unit: 'percent',
    reason: 'Below this get the design in that size.',
  },
});

/** Stitches per cm² of the design's box: each class ends below `below`; `typical` stands in when only the class is known. */
export const DENSITY_TABLE: readonly { name: DensityClass; below: number; typical: number }[] = [
  { name: 'open', below: 40, typical: 30 },
  { name: 'light', below: 80, typical: 60 },
  { name: 'medium', below: 150, typical: 110 },
  { name: 'heavy', below: 240, typical: 190 },
  { name: 'very heavy', below: Infinity, typical: 260 },
];
