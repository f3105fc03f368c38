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

/** The sheet for eyes that need more: black on white, every colour dark enough to be read. */
export const CONTRAST: Palette = {
  paper: '#FFFFFF',
  panel: '#FFFFFF',
  grid: '#DCDCDC',
  ink: '#000000',
  chalk: '#003C75',
  tape: '#FFC72E',
  onTape: '#000000',
  madder: '#8C0D05',
  moss: '#0A4A17',
  graphite: '#2B2F36',
  hairline: '#5C5C5C',
  onInk: '#FFFFFF',
  shade: '#F2F2F2',
};

/** How the app looks on a device: by its own setting, or as somebody chose here. */
export const LOOKS = ['device', 'day', 'evening', 'contrast'] as const;
export type Look = (typeof LOOKS)[number];

const NAME = 'look';
const MORE = globalThis.matchMedia?.('(prefers-contrast: more)');
const changes = new Set<() => void>();

const chosenLook = (): Look =>
  LOOKS.find((look) => look === globalThis.localStorage?.getItem(NAME)) ?? 'device';
const byDevice = (): Look => 'device';
/** Chooses it for this device; it stays. */
export function setLook(look: Look): void {
  localStorage.setItem(NAME, look);
  for (const changed of changes) changed();
}

const PALETTES: Record<Exclude<Look, 'device'>, Palette> = {
  day: DAY,
  evening: EVENING,
  contrast: CONTRAST,
};

const onScheme = (changed: () => void): (() => void) => {
  const listening = Appearance.addChangeListener(changed);
  MORE?.addEventListener('change', changed);
  changes.add(changed);
  return () => {
    listening.remove();
    MORE?.removeEventListener('change', changed);
    changes.delete(changed);
  };
};
const lookNow = (): Exclude<Look, 'device'> => {
  const look = chosenLook();
  if (look !== 'device') return look;
  if (MORE?.matches) return 'contrast';
  return Appearance.getColorScheme() === 'dark' ? 'evening' : 'day';
};
const byDay = (): Exclude<Look, 'device'> => 'day';

/** The palette of the hour; no change is missed, not even one between a first drawing and its effects. */
export const usePalette = (): Palette => PALETTES[useSyncExternalStore(onScheme, lookNow, byDay)];

/** What was chosen on this device. */
export const useLook = (): Look => useSyncExternalStore(onScheme, chosenLook, byDevice);

/** Ink for lines on cloth of this colour, readable on pale and on dark. */
export const CLOTH_INK = { onPale: '#1F2B3A', onDark: '#F7F2E8' };
