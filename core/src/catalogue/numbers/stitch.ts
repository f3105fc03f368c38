import { houseNumbers } from '../houseNumber';

export const STITCH_NUMBERS = houseNumbers({
  meanStitchMm: {
    name: 'Mean stitch',
    value: 3,
    unit: 'mm',
    reason: 'Between a run of 2.5 mm and a fill of 4 mm; calibrate it from the log.',
  },
  topThreadFactor: {
    name: 'Top thread per stitch length',
    value: 115,
    unit: 'percent',
    reason: 'The thread bends round the bobbin.',
  },
  topThreadPerStitchMm: {
    name: 'Top thread for each stitch',
    value: 0.6,
    unit: 'mm',
    reason: 'Down through the cloth and back.',
  },
  bobbinShare: {
    name: 'Bobbin of top thread',
    value: 40,
    unit: 'percent',
    reason: 'The middle third of a column, and a little.',
  },
  changeOneNeedle: {
    name: 'Colour change, one needle',
    value: 75,
    unit: 'seconds',
    reason: 'Stop, rethread, start.',
  },
  changeManyNeedles: {
    name: 'Colour change, many needles',
    value: 8,
    unit: 'seconds',
    reason: 'The head moves over.',
  },
  trimByMachine: {
    name: 'Jump trim by the machine',
    value: 8,
    unit: 'seconds',
    reason: 'It stops, cuts and starts.',
  },
  trimByHand: { name: 'Jump trim by hand', value: 20, unit: 'seconds', reason: 'Stop, snips, start.' },
  trimsPerStop: {
    name: 'Jumps to trim in each colour',
    value: 3,
    unit: 'count',
    reason: 'What a small design usually has.',
  },
  layCloth: {
    name: 'Lay the cloth of an appliqué',
    value: 45,
    unit: 'seconds',
    reason: 'Out comes the hoop or not, the cloth goes over its line and is smoothed.',
  },
  trimCloth: {
    name: 'Trim an appliqué in the hoop, each',
    value: 60,
    unit: 'seconds',
    reason: 'Hoop off the machine, never out of the ring; close round the tack-down line.',
  },
  bobbinLeastPercent: {
    name: 'Bobbin at least',
    value: 115,
    unit: 'percent',
    reason: 'A bobbin that runs out leaves a joint.',
  },
  needleHours: {
    name: 'Change a needle after',
    value: 8,
    unit: 'hours',
    reason: 'By then its point is worn.',
  },
});
