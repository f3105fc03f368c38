import { useSyncExternalStore } from 'react';
import { Appearance } from 'react-native';

/** The colours of the pattern sheet by day. */
export const DAY = {
  paper: '#F7F2E8',
  panel: '#FFFEF8',
  grid: '#E9E1D0',
  ink: '#1F2B3A',
  chalk: '#2D6A99',
  tape: '#EFBF45',
  onTape: '#1F2B3A',
  madder: '#A93F36',
  moss: '#436947',
  graphite: '#59626E',
  hairline: '#D8CDB8',
  onInk: '#FFFEF8',
  shade: '#F1EADB',
};
export type Palette = typeof DAY;

/** The evening bench: the same sheet by lamplight. */
export const EVENING: Palette = {
  paper: '#1B222B',
  panel: '#212A35',
  grid: '#2A3440',
  ink: '#F0E9DA',
  chalk: '#8FC1E6',
  tape: '#D9AC3C',
  onTape: '#1F2B3A',
  madder: '#F0968B',
  moss: '#93C297',
  graphite: '#B4BCC6',
  hairline: '#465160',
  onInk: '#1B222B',
  shade: '#2A3440',
};

const onScheme = (changed: () => void): (() => void) => {
  const listening = Appearance.addChangeListener(changed);
  return () => listening.remove();
};
const isEvening = (): boolean => Appearance.getColorScheme() === 'dark';
const byDay = (): boolean => false;

/** The palette of the hour; no change is missed, not even one between a first drawing and its effects. */
export const usePalette = (): Palette => (useSyncExternalStore(onScheme, isEvening, byDay) ? EVENING : DAY);

/** Ink for lines on cloth of this colour, readable on pale and on dark. */
export const CLOTH_INK = { onPale: '#1F2B3A', onDark: '#F7F2E8' };
