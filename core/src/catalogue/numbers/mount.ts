import { houseNumbers } from '../houseNumber';

export const MOUNT_NUMBERS = houseNumbers({
  crookedInvisibleMm: {
    name: 'Crooked: nobody sees up to',
    value: 1,
    unit: 'mm',
    reason: 'At the farthest corner; a millimetre is lost in the cloth.',
  },
  crookedNoticeableMm: {
    name: 'Crooked: noticed up to, then hoop again',
    value: 2,
    unit: 'mm',
    reason: 'Beside a seam or a band two millimetres are seen at once.',
  },
  readingsAgreeMm: {
    name: 'Readings off the hoop agree within',
    value: 1.5,
    unit: 'mm',
    reason: 'A grid can be read to a millimetre; more is a mistake in one of them.',
  },
  stretchKnitPercent: {
    name: 'Knit may be stretched in the hoop by',
    value: 2,
    unit: 'percent',
    reason: 'What is stretched more springs back and puckers.',
  },
  stretchWovenPercent: {
    name: 'Woven cloth may be stretched in the hoop by',
    value: 1,
    unit: 'percent',
    reason: 'A weave has no stretch to give: more means it is pulled out of square.',
  },
  footRadiusMm: {
    name: 'Presser foot, radius',
    value: 6,
    unit: 'mm',
    reason: 'Half the width of an embroidery foot; measure yours.',
  },
  traceLeastMm: {
    name: 'Trace: least clearance',
    value: 2,
    unit: 'mm',
    reason: 'Cloth gives a little under the foot; a pin bends.',
  },
});
