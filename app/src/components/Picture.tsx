import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Disclosure } from './ui/Disclosure';
import { Txt } from './ui/Txt';

/** So wide a picture is drawn, px. */
export const SIDE = 300;

/** A picture under its title, with its figures as a table behind a word. */
export function Picture({
  title,
  said,
  table,
  below,
  children,
}: {
  title: string;
  said?: string;
  table: ReactNode;
  /** What can be done about it. */
  below?: ReactNode;
  children: ReactNode;
}) {
  return (
    <View role="group" aria-label={title} style={{ gap: 8, width: 340, maxWidth: '100%' }}>
      <Txt as="heading" level={2}>
        {title}
      </Txt>
      {said ? <Txt>{said}</Txt> : null}
      <View role="img" aria-label={said ?? title}>
        {children}
      </View>
      {below}
      <Disclosure title="the figures" label={`${title}: the figures`}>
        {table}
      </Disclosure>
    </View>
  );
}
