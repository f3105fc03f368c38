import { houseNumbers } from '../houseNumber';

export const PIECE_NUMBERS = houseNumbers({
  unevenMm: {
    name: 'Centre line off by',
    value: 3,
    unit: 'mm',
    reason: 'Under 3 mm nobody sees that a garment is uneven.',
  },
  unevenDeg: {
    name: 'Centre line leaning by',
    value: 0.5,
    unit: 'deg',
    reason: 'Under half a degree a lean is lost in the reading.',
  },
});
