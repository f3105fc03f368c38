import { useWindowDimensions } from 'react-native';

/** From this width sheet and panel stand side by side. */
export const WIDE_FROM = 900;
export const TARGET = 44;

/** A phone on its side, or a page that was made large: less high than this. */
const LOW_BELOW = 480;
/** From this width two columns stand on such a page. */
const SIDE_FROM = 560;

/** Whether sheet and panel stand side by side: on a wide screen, and on a phone on its side. */
export function useWide(): boolean {
  const { width, height } = useWindowDimensions();
  return width >= WIDE_FROM || (height < LOW_BELOW && width >= SIDE_FROM && width > height);
}

/** Whether there is room for columns of drawn rows side by side. */
export const useBoard = (): boolean => useWindowDimensions().width >= WIDE_FROM;

/** Whether there is so little height that bars give way to what is read. */
export const useLow = (): boolean => useWindowDimensions().height < LOW_BELOW;
