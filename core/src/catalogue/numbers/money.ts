import { houseNumbers } from '../houseNumber';

/** What work and wear cost a shop: nobody else’s figures fit, so each is to be made one’s own. */
export const MONEY_NUMBERS = houseNumbers({
  handsPerHour: {
    name: 'An hour of hands',
    value: 1800,
    unit: 'money',
    reason: 'What an hour of whoever works has to bring in; your own hour is not free.',
  },
  machinePerHour: {
    name: 'An hour of the machine',
    value: 400,
    unit: 'money',
    reason: 'Its price over the hours it will run: while a piece is on it, no other is.',
  },
  machineWearPerHour: {
    name: 'Wear of the machine, an hour it stitches',
    value: 100,
    unit: 'money',
    reason: 'Service, oil and parts over the hours between them.',
  },
  hoopWear: {
    name: 'Wear of a hoop, each hooping',
    value: 5,
    unit: 'money',
    reason: 'Its price over the hoopings it lasts.',
  },
  overheadPercent: {
    name: 'Overhead',
    value: 15,
    unit: 'percent',
    reason: 'Rent, light, insurance, fees and what is given away, on everything else.',
  },
  marginPercent: {
    name: 'Margin wanted',
    value: 30,
    unit: 'percent',
    reason: 'Of the price, what is to be left when all costs are paid.',
  },
  priceStep: {
    name: 'Prices are whole',
    value: 50,
    unit: 'money',
    reason: 'A price is rounded up to a whole number of these.',
  },
  spoiltPercent: {
    name: 'Spoilt, before the logbook says',
    value: 3,
    unit: 'percent',
    reason: 'Counts as much as so many pieces seen; what is logged then outweighs it.',
  },
  spareCertainty: {
    name: 'Spares are enough in so many of a hundred orders',
    value: 90,
    unit: 'percent',
    reason: 'With more, more bare pieces are left over; with less, more often one is missing.',
  },
  spoiltSeen: {
    name: 'Pieces that this belief counts as',
    value: 20,
    unit: 'count',
    reason: 'With more, it takes longer to learn from the logbook what is spoilt.',
  },
});
