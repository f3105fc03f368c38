import type { TextStyle, ViewStyle } from 'react-native';
import { FONTS } from '../../theme/fonts';
import { TARGET } from '../../theme/layout';
import { CONTRAST, DAY, EVENING, type Palette } from '../../theme/palette';
import { createTheme } from './elements';

type ButtonType = 'solid' | 'outline' | 'clear';

/** A button: the one thing to do next, an outlined one, or a word within text. */
const buttonOf = (p: Palette, type: ButtonType) => ({
  radius: 6,
  // What is round it must not clip the ring that shows the focus.
  containerStyle: { overflow: 'visible' } satisfies ViewStyle,
  buttonStyle: {
    minHeight: TARGET,
    paddingHorizontal: type === 'clear' ? 2 : 14,
    paddingVertical: type === 'clear' ? 6 : 10,
    backgroundColor: type === 'solid' ? p.ink : 'transparent',
    borderColor: p.ink,
    borderWidth: type === 'clear' ? 0 : 1.5,
  } satisfies ViewStyle,
  titleStyle: {
    fontFamily: type === 'clear' ? FONTS.medium : FONTS.bold,
    fontSize: type === 'clear' ? 15 : 16,
    color: { solid: p.onInk, outline: p.ink, clear: p.chalk }[type],
    textDecorationLine: type === 'clear' ? 'underline' : 'none',
    textDecorationStyle: 'dotted',
    fontWeight: 'normal',
  } satisfies TextStyle,
  disabledStyle: { backgroundColor: p.shade, borderColor: p.hairline },
  disabledTitleStyle: { color: p.graphite },
});

const buttonsOf =
  (p: Palette) =>
  ({ type = 'solid' }: { type?: ButtonType }) =>
    buttonOf(p, type);

/** A line of text, 1.5 px round it, its figures one under the other. */
const inputOf = (p: Palette) => ({
  placeholderTextColor: p.graphite,
  renderErrorMessage: false,
  containerStyle: { paddingHorizontal: 0 },
  inputContainerStyle: {
    borderWidth: 1.5,
    borderBottomWidth: 1.5,
    borderRadius: 6,
    borderColor: p.graphite,
    backgroundColor: p.panel,
  },
  inputStyle: {
    minHeight: TARGET,
    minWidth: 0,
    paddingHorizontal: 10,
    fontFamily: FONTS.medium,
    fontSize: 17,
    color: p.ink,
    fontVariant: ['tabular-nums' as const],
  },
});

const themeOf = (p: Palette) =>
  createTheme({
    lightColors: {
      primary: p.ink,
      background: p.panel,
      black: p.ink,
      grey3: p.graphite,
      error: p.madder,
    },
    components: {
      Button: buttonsOf(p),
      Input: inputOf(p),
      Text: { style: { color: p.ink, fontWeight: 'normal', fontVariant: ['tabular-nums'], margin: 0 } },
    },
  });

const THEMES = new Map([DAY, EVENING, CONTRAST].map((palette) => [palette, themeOf(palette)]));

/** The look of React Native Elements by this hour's palette: what a button, a line and a text look like stands here. */
export const elementsTheme = (palette: Palette) => THEMES.get(palette) ?? themeOf(palette);
