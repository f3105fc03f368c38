import type { ReactNode } from 'react';
import { View } from 'react-native';
import { usePalette } from '../../theme/palette';
import { Txt } from './Txt';

/** A whole page that says one thing: what is awaited, or what went wrong and what is safe. */
export function Notice({ title, children }: { title: string; children?: ReactNode }) {
  const p = usePalette();
  return (
    <View role="main" style={{ flex: 1, padding: 24, gap: 12, backgroundColor: p.panel }}>
      <Txt as="title" level={1}>
        {title}
      </Txt>
      {children}
    </View>
  );
}
