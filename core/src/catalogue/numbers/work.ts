import { houseNumbers } from '../houseNumber';

/** How long hands take for what the machine does not do. */
export const WORK_NUMBERS = houseNumbers({
  setUpMinutes: {
    name: 'Set up a run',
    value: 15,
    unit: 'minutes',
    reason: 'Template, bobbins and threads laid out, the first piece checked: once, however many follow.',
  },
  prepareMinutes: {
    name: 'Prepare a piece',
    value: 3,
    unit: 'minutes',
    reason: 'Press it, find the lines, chalk the marks.',
  },
  hoopMinutes: {
    name: 'Hoop a piece',
    value: 3,
    unit: 'minutes',
    reason: 'Sheets in, ring closed over the marks, the cloth smooth.',
  },
  floatMinutes: {
    name: 'Float a piece',
    value: 4,
    unit: 'minutes',
    reason: 'The sheet into the ring first, then the piece laid and held on it.',
  },
  mountMinutes: {
    name: 'Put a hoop on the machine',
    value: 1.5,
    unit: 'minutes',
    reason: 'Latched, the roll clear of the needle, the trace run.',
  },
  takeOffMinutes: {
    name: 'Take a piece off',
    value: 2,
    unit: 'minutes',
    reason: 'Off the machine, ring loosened, sheets torn or trimmed.',
  },
  finishMinutes: {
    name: 'Finish a piece',
    value: 3,
    unit: 'minutes',
    reason: 'Jump threads, marks out, pressed from the back, folded.',
  },
});
