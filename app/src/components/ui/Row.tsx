import type { ReactNode } from 'react';
import { View, type ViewProps, type ViewStyle } from 'react-native';

/** Room between things, px: the only steps there are. */
export type Gap = 0 | 2 | 4 | 6 | 8 | 10 | 12 | 14 | 16;

const ALIGNS = {
  start: 'flex-start',
  middle: 'center',
  end: 'flex-end',
  baseline: 'baseline',
} as const satisfies Record<string, ViewStyle['alignItems']>;

interface RowProps extends Pick<ViewProps, 'role' | 'aria-label' | 'testID'> {
  children: ReactNode;
  gap?: Gap;
  /** How its parts lie across it; stretched where nothing is said. */
  align?: keyof typeof ALIGNS;
  /** Goes on below where there is no more room. */
  wrap?: boolean;
  /** Takes the room that is left. */
  grow?: boolean;
  /** Columns of a list, which stand below one another on a phone. */
  columns?: boolean;
  /** The room that is left over lies between its parts. */
  spread?: boolean;
}

/** Things beside one another. */
export function Row({
  children,
  gap = 8,
  align,
  wrap = false,
  grow = false,
  columns = false,
  spread = false,
  ...said
}: RowProps) {
  return (
    <View
      {...said}
      style={{
        flexDirection: 'row',
        ...(columns ? { columnGap: 32, rowGap: gap, flexWrap: 'wrap' } : { gap }),
        ...(align ? { alignItems: ALIGNS[align] } : {}),
        ...(wrap ? { flexWrap: 'wrap' } : {}),
        ...(grow ? { flex: 1 } : {}),
        ...(spread ? { justifyContent: 'space-between' } : {}),
      }}
    >
      {children}
    </View>
  );
}
