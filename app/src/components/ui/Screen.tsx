import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { usePalette } from '../../theme/palette';
import { Bar } from './Bar';
import { Stack } from './Stack';
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
      <Bar at="top">
        <Stack grow>
          <Txt as="title" level={1}>
            {title}
          </Txt>
          {subtitle ? (
            <Txt as="small" tone="graphite">
              {subtitle}
            </Txt>
          ) : null}
        </Stack>
        {aside}
      </Bar>
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
