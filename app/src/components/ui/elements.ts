/** The parts of React Native Elements that the app uses, each from its own file so that no other is bundled. */
export { default as Button } from '@rneui/themed/dist/Button';
export { createTheme, ThemeProvider } from '@rneui/themed/dist/config';
export { default as Input } from '@rneui/themed/dist/Input';
export { default as Text } from '@rneui/themed/dist/Text';
