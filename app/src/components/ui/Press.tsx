import { View } from 'react-native';
import { FONTS } from '../../theme/fonts';
import { TARGET } from '../../theme/layout';
import { usePalette } from '../../theme/palette';
import { Button } from './elements';

interface PressProps {
  title: string;
  onPress: () => void;
  /** `main`: the one thing to do next. `plain`: outlined. `link`: a word within text. */
  kind?: 'main' | 'plain' | 'link';
  disabled?: boolean;
  /** What those who listen hear, where the title alone does not say it. */
  label?: string;
  grow?: boolean;
  testID?: string;
}

/** A button. */
export function Press({
  title,
  onPress,
  kind = 'plain',
  disabled = false,
  label,
  grow = false,
  testID,
}: PressProps) {
  const p = usePalette();
  const main = kind === 'main';
  const link = kind === 'link';
  return (
    <View style={grow ? { flex: 1 } : { alignSelf: link ? 'flex-start' : 'auto' }}>
      <Button
        testID={testID}
        title={title}
        onPress={onPress}
        disabled={disabled}
        accessibilityLabel={label ?? title}
        accessibilityRole="button"
        type={main ? 'solid' : link ? 'clear' : 'outline'}
        radius={6}
        buttonStyle={{
          minHeight: TARGET,
          paddingHorizontal: link ? 2 : 14,
          paddingVertical: link ? 6 : 10,
          backgroundColor: main ? p.ink : 'transparent',
          borderColor: p.ink,
          borderWidth: link ? 0 : 1.5,
        }}
        titleStyle={{
          fontFamily: link ? FONTS.medium : FONTS.bold,
          fontSize: link ? 15 : 16,
          color: main ? p.onInk : link ? p.chalk : p.ink,
          textDecorationLine: link ? 'underline' : 'none',
          textDecorationStyle: 'dotted',
          fontWeight: 'normal',
        }}
        disabledStyle={{ backgroundColor: p.shade, borderColor: p.hairline }}
        disabledTitleStyle={{ color: p.graphite }}
      />
    </View>
  );
}
