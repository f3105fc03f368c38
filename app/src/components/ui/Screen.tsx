import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { usePalette } from '../../theme/palette';
import { Txt } from './Txt';

interface ScreenProps {
  title: string;
  subtitle?: string;
  /** Beside the title, at the right. */
  aside?: ReactNode;
  children: ReactNode;
  /** Stays in sight below the scrolling part. */
  foot?: ReactNode;
}

/** A page with a title, outside a ticket. */
export function Screen({ title, subtitle, aside, children, foot }: ScreenProps) {
  const p = usePalette();
  return (
    <View role="main" style={{ flex: 1, backgroundColor: p.panel }}>
      <View
        style={{
          flexDirection: 'row',
          alignItems: 'center',
          gap: 8,
          paddingHorizontal: 16,
          paddingVertical: 10,
          backgroundColor: p.paper,
          borderBottomWidth: 1.5,
          borderColor: p.ink,
        }}
      >
        <View style={{ flex: 1 }}>
          <Txt as="title" level={1}>
            {title}
          </Txt>
          {subtitle ? (
            <Txt as="small" tone="graphite">
              {subtitle}
            </Txt>
          ) : null}
        </View>
        {aside}
      </View>
      <ScrollView
        tabIndex={0}
        style={{ flex: 1 }}
        contentContainerStyle={{
          paddingHorizontal: 16,
          paddingVertical: 12,
          gap: 14,
          width: '100%',
          maxWidth: 1080,
          alignSelf: 'center',
        }}
      >
        {children}
      </ScrollView>
      {foot}
    </View>
  );
}
