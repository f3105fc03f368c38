import { View } from 'react-native';
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

const TYPES = { main: 'solid', plain: 'outline', link: 'clear' } as const;

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
        type={TYPES[kind]}
      />
    </View>
  );
}
