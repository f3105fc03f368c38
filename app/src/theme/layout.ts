import { useWindowDimensions } from 'react-native';

/** From this width sheet and panel stand side by side. */
export const WIDE_FROM = 900;
export const TARGET = 44;

export function useWide(): boolean {
  return useWindowDimensions().width >= WIDE_FROM;
}
