import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { usePageTitle } from '../../everyone/usePageTitle';
import { usePalette } from '../../theme/palette';
import { Bar } from './Bar';
import { LOADING } from './NotYet';
import { Stack } from './Stack';
import { Txt } from './Txt';

export interface ScreenHeadProps {
  title: string;
  subtitle?: string;
  /** Beside the title, at the right. */
  aside?: ReactNode;
  /** Whether what the page is about is known; until then no figure of it is said. */
  isHere?: boolean;
}

interface ScreenProps extends ScreenHeadProps {
  children: ReactNode;
  /** Stays in sight below the scrolling part. */
  foot?: ReactNode;
}

/** The title of a page, with what stands beside it. */
export function ScreenHead({ title, subtitle, aside, isHere = true }: ScreenHeadProps) {
  usePageTitle(title);
  const said = isHere ? subtitle : LOADING;
  return (
    <Bar at="top">
      <Stack grow>
        <Txt as="title" level={1}>
          {title}
        </Txt>
        {said ? (
          <Txt as="small" tone="graphite">
            {said}
          </Txt>
        ) : null}
      </Stack>
      {aside}
    </Bar>
  );
}

/** A page with a title, outside a ticket. */
export function Screen({ children, foot, ...head }: ScreenProps) {
  const p = usePalette();
  return (
    <View role="main" style={{ flex: 1, backgroundColor: p.panel }}>
      <ScreenHead {...head} />
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
