import type { ReactNode, Ref } from 'react';
import { View, type ViewProps } from 'react-native';
import { type Palette, usePalette } from '../../theme/palette';
import type { Gap } from './Row';

interface CalloutProps extends Pick<ViewProps, 'role' | 'aria-label' | 'testID'> {
  children: ReactNode;
  /** The colour of its edge. */
  tone: keyof Palette;
  gap?: Gap;
  /** Grave: with a broad edge. */
  grave?: boolean;
  ref?: Ref<View>;
}

/** Something said apart from the rest: a shaded block with a coloured edge. */
export function Callout({ children, tone, gap = 6, grave = false, ref, ...said }: CalloutProps) {
  const p = usePalette();
  return (
    <View
      ref={ref}
      {...said}
      style={{
        backgroundColor: p.shade,
        borderLeftWidth: grave ? 8 : 5,
        borderColor: p[tone],
        padding: 12,
        gap,
      }}
    >
      {children}
    </View>
  );
}
