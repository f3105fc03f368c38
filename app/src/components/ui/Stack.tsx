import type { ReactNode } from 'react';
import { View, type ViewProps } from 'react-native';
import type { Gap } from './Row';

interface StackProps extends Pick<ViewProps, 'role' | 'aria-label' | 'testID'> {
  children?: ReactNode;
  gap?: Gap;
  /** Takes the room that is left. */
  grow?: boolean;
  /** Of this width, px, whatever is in it. */
  width?: number;
  /** Set in from the left, under what it belongs to. */
  indent?: boolean;
}

const INDENT_PX = 34;

/** Things below one another. */
export function Stack({ children, gap = 0, grow = false, width, indent = false, ...said }: StackProps) {
  return (
    <View
      {...said}
      style={{
        gap,
        ...(grow ? { flex: 1 } : {}),
        ...(width ? { width } : {}),
        ...(indent ? { marginLeft: INDENT_PX } : {}),
      }}
    >
      {children}
    </View>
  );
}
