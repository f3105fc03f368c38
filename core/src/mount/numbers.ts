import type { NumberRule } from '../rules/numberRule';

export const MOUNT_NUMBERS = {
  footRadiusMm: {
    name: 'Presser foot radius',
    value: 6,
    unit: 'mm',
    reason: 'The foot sweeps this much round every stitch.',
  },
} satisfies Record<string, NumberRule>;
