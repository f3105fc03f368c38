import { houseNumbers } from '../houseNumber';

export const FINISH_NUMBERS = houseNumbers({
  soakMinutes: {
    name: 'Soak for',
    value: 10,
    unit: 'count',
    reason: 'Minutes in cool water: until nothing is slippery, longer for heavy film.',
  },
  pressSeconds: {
    name: 'Press for',
    value: 15,
    unit: 'seconds',
    reason: 'From the back, on a soft pad, with a cloth: long enough to set, short of scorching.',
  },
});
