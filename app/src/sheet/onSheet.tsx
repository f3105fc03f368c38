import { lightnessOf } from '@zt/core/base/colour/colour';
import { createContext, type ReactNode, useContext, useMemo } from 'react';
import { CLOTH_INK, DAY, EVENING, type Palette } from '../theme/palette';
import type { View } from './view';

/** What every layer of a sheet is drawn with: how mm are shown as px, and the colours that are seen there. */
export interface OnSheet {
  view: View;
  palette: Palette;
}

const OnSheetContext = createContext<OnSheet | null>(null);

/** Layers inside are drawn in this view. */
export function InView({ view, palette, children }: OnSheet & { children: ReactNode }) {
  const on = useMemo(() => ({ view, palette }), [view, palette]);
  return <OnSheetContext.Provider value={on}>{children}</OnSheetContext.Provider>;
}

export function useOnSheet(): OnSheet {
  const on = useContext(OnSheetContext);
  if (!on) throw new Error('assertion failed: a layer is drawn on no sheet');
  return on;
}

/** Lines on this cloth, readable on pale and on dark. */
export const clothInk = (colour: string): string =>
  lightnessOf(colour) > 52 ? CLOTH_INK.onPale : CLOTH_INK.onDark;

/** The palette for what is drawn on this cloth: ink and chalk that are seen on it, by day and by night. */
export function paletteOnCloth(palette: Palette, colour: string): Palette {
  const ink = clothInk(colour);
  return { ...palette, ink, chalk: ink === CLOTH_INK.onPale ? DAY.chalk : EVENING.chalk };
}

/** Layers inside lie on cloth of this colour. */
export function OnCloth({ colour, children }: { colour: string; children: ReactNode }) {
  const { view, palette } = useOnSheet();
  const onCloth = useMemo(() => paletteOnCloth(palette, colour), [palette, colour]);
  return (
    <InView view={view} palette={onCloth}>
      {children}
    </InView>
  );
}
