import type { ReactNode } from 'react';
import { View } from 'react-native';
import { usePalette } from '../../theme/palette';

/** One rule or number of the house: a column of its own where there is room, a hairline below it. */
export function RuleRow({ children }: { children: ReactNode }) {
  const p = usePalette();
  return (
    <View
      style={{
        flexBasis: 320,
        flexGrow: 1,
        paddingVertical: 8,
        borderBottomWidth: 1,
        borderColor: p.hairline,
        gap: 2,
      }}
    >
      {children}
    </View>
  );
}
