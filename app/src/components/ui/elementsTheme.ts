import { DAY, EVENING } from '../../theme/palette';
import { createTheme } from './elements';

/** Our palette for React Native Elements; its own primary colour is too pale to read. */
export const ELEMENTS_THEME = createTheme({
  lightColors: {
    primary: DAY.ink,
    background: DAY.panel,
    black: DAY.ink,
    grey3: DAY.graphite,
    error: DAY.madder,
  },
  darkColors: {
    primary: EVENING.ink,
    background: EVENING.panel,
    black: EVENING.ink,
    grey3: EVENING.graphite,
    error: EVENING.madder,
  },
});
