import type { ReactNode } from 'react';
import type { TextStyle } from 'react-native';
import { FONTS } from '../../theme/fonts';
import { type Palette, usePalette } from '../../theme/palette';
import { Text } from './elements';

const VARIANTS = {
  title: { fontFamily: FONTS.title, fontSize: 22, lineHeight: 26 },
  heading: { fontFamily: FONTS.title, fontSize: 18, lineHeight: 23 },
  body: { fontFamily: FONTS.plain, fontSize: 16, lineHeight: 22 },
  strong: { fontFamily: FONTS.medium, fontSize: 16, lineHeight: 22 },
  small: { fontFamily: FONTS.plain, fontSize: 14, lineHeight: 19 },
  label: { fontFamily: FONTS.medium, fontSize: 14, lineHeight: 19 },
  /** Read from a step away, on a card. */
  step: { fontFamily: FONTS.title, fontSize: 26, lineHeight: 33 },
  aside: { fontFamily: FONTS.plain, fontSize: 18, lineHeight: 24 },
  figure: { fontFamily: FONTS.bold, fontSize: 22, lineHeight: 27 },
  huge: { fontFamily: FONTS.bold, fontSize: 72, lineHeight: 80 },
} satisfies Record<string, TextStyle>;

export interface TxtProps {
  children: ReactNode;
  as?: keyof typeof VARIANTS;
  tone?: keyof Palette;
  style?: TextStyle;
  /** A heading for those who listen, by level. */
  level?: 1 | 2 | 3;
  live?: boolean;
  testID?: string;
  /** By which a field is told that this is said of it. */
  id?: string;
  /** Cut off after so many lines. */
  lines?: number;
}

/** All text of the app: two typefaces, tabular figures. */
export function Txt({
  children,
  as = 'body',
  tone = 'ink',
  style,
  level,
  live,
  testID,
  id,
  lines,
}: TxtProps) {
  const palette = usePalette();
  return (
    <Text
      testID={testID}
      {...(id ? { nativeID: id } : {})}
      {...(lines ? { numberOfLines: lines } : {})}
      {...(level ? { role: 'heading' as const, 'aria-level': level } : {})}
      {...(live ? { 'aria-live': 'polite' as const } : {})}
      style={[VARIANTS[as], { color: palette[tone] }, style]}
    >
      {children}
    </Text>
  );
}
