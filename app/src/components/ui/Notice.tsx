import type { ReactNode } from 'react';
import { View } from 'react-native';
import { usePalette } from '../../theme/palette';
import { LateWord } from './NotYet';
import { Txt } from './Txt';

interface NoticeProps {
  title: string;
  children?: ReactNode;
  /** Whether it is awaited: once that takes long, it is said. */
  isAwaited?: boolean;
}

/** A whole page that says one thing: what is awaited, or what went wrong and what is safe. */
export function Notice({ title, children, isAwaited = false }: NoticeProps) {
  const p = usePalette();
  return (
    <View role="main" style={{ flex: 1, padding: 24, gap: 12, backgroundColor: p.panel }}>
      <Txt as="title" level={1}>
        {title}
      </Txt>
      {children}
      {isAwaited ? <LateWord meanwhile="This page opens as soon as it does; nothing was changed." /> : null}
    </View>
  );
}
