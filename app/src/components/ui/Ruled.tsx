import type { ReactNode } from 'react';
import { View } from 'react-native';
import { usePalette } from '../../theme/palette';
import type { Gap } from './Row';

interface RuledProps {
  children: ReactNode;
  gap?: Gap;
  room?: Gap;
  dashed?: boolean;
}

/** An entry of a list with a hairline below. */
export function Ruled({ children, gap = 0, room = 0, dashed = false }: RuledProps) {
  const p = usePalette();
  return (
    <View
      style={{
        borderBottomWidth: 1,
        borderColor: p.hairline,
        borderStyle: dashed ? 'dashed' : 'solid',
        paddingBottom: room,
        gap,
      }}
    >
      {children}
    </View>
  );
}
