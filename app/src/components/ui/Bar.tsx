import type { ReactNode } from 'react';
import { View } from 'react-native';
import { useLow } from '../../theme/layout';
import { usePalette } from '../../theme/palette';

/** A line of things that stays in sight: above the page, or below it. */
export function Bar({ children, at }: { children: ReactNode; at: 'top' | 'foot' }) {
  const p = usePalette();
  const low = useLow();
  return (
    <View
      testID={at}
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: at === 'foot' ? 5 : 8,
        paddingHorizontal: at === 'foot' ? 10 : 12,
        paddingVertical: low && at === 'foot' ? 2 : 8,
        ...(at === 'top'
          ? { backgroundColor: p.paper, borderBottomWidth: 1.5, borderColor: p.ink }
          : {
              backgroundColor: p.panel,
              borderTopWidth: 1,
              borderColor: p.hairline,
              // Where letters are large it takes a second line.
              flexWrap: 'wrap',
              justifyContent: 'flex-end',
            }),
      }}
    >
      {children}
    </View>
  );
}
