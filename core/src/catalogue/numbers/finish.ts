import { houseNumbers } from '../houseNumber';

export const FINISH_NUMBERS = houseNumbers({
  pressSeconds: {
    name: 'Press for',
    value: 15,
    unit: 'seconds',
    reason: 'From the back, on a soft pad, with a cloth: long enough to set, short of scorching.',
  },
});
