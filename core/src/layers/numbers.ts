import type { NumberRule } from '../rules/numberRule';

export const LAYER_NUMBERS = {
  knitStretchPercent: {
    name: 'A knit stretches at least',
    value: 8,
    unit: 'percent',
    reason: 'From here the cloth gives under the needle and needs support for good.',
  },
  veryStretchyPercent: {
    name: 'One more layer from a stretch of',
    value: 25,
    unit: 'percent',
    reason: 'Very stretchy cloth pulls in round anything but a light design.',
  },
  manyStitches: {
    name: 'One more layer above',
    value: 10_000,
    unit: 'count',
    reason: 'Every stitch perforates the sheet.',
  },
  heavyStitches: {
    name: 'Heavy from',
    value: 15_000,
    unit: 'count',
    reason: 'So many stitches cut a tear-away to pieces.',
  },
  mostLayers: { name: 'Layers at most', value: 3, unit: 'count', reason: 'More is a board.' },
  leastContrast: {
    name: 'Seen on the cloth from',
    value: 20,
    unit: 'count',
    reason: 'Difference in lightness (CIE L*) below which thread and cloth run together.',
  },
  toneStep: {
    name: 'Tone on tone, a step of',
    value: 8,
    unit: 'count',
    reason: 'Difference in lightness (CIE L*) at which two threads of one hue read as two.',
  },
  strongContrast: {
    name: 'Strong contrast from',
    value: 45,
    unit: 'count',
    reason: 'Difference in lightness (CIE L*) at which the ground shines through loops.',
  },
  paleLightness: {
    name: 'Pale from',
    value: 75,
    unit: 'count',
    reason: 'On cloth this light a backing edge shows.',
  },
  thinMm: {
    name: 'Thin up to',
    value: 0.5,
    unit: 'mm',
    reason: 'Thin cloth shows the edge of a thick sheet.',
  },
  drapeGsm: {
    name: 'Light drape up to',
    value: 140,
    unit: 'count',
    reason: 'Grams to the m²: a woven this light hangs, and a dense design makes a board of it.',
  },
  topperBeyondMm: {
    name: 'Film on top beyond the stitches',
    value: 10,
    unit: 'mm',
    reason: 'Enough to hold and to tear off.',
  },
  coverBeyondMm: {
    name: 'Soft cover beyond the stitches',
    value: 10,
    unit: 'mm',
    reason: 'Its edge must lie on cloth all round.',
  },
  lowRollM: {
    name: 'A roll is low below, m',
    value: 1,
    unit: 'count',
    reason: 'Less than a metre is soon gone.',
  },
  lowThreadM: {
    name: 'A thread is low below, m',
    value: 50,
    unit: 'count',
    reason: 'A middling design takes so much of its main colour.',
  },
  smallLetterMm: {
    name: 'Small lettering below',
    value: 6,
    unit: 'mm',
    reason: 'Small letters need fine thread and a fine needle.',
  },
  toddlerChestMm: {
    name: 'Baby and toddler wear up to chest',
    value: 340,
    unit: 'mm',
    reason: 'Young skin: cover the back.',
  },
} satisfies Record<string, NumberRule>;
