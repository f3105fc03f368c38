import { View } from 'react-native';
import { usePalette } from '../theme/palette';
import { Press } from './ui/Press';
import { Txt } from './ui/Txt';

interface UndoBarProps {
  /** What was done. */
  text: string;
  onPutBack: () => void;
}

/** Says what was taken away, and puts it back. */
export function UndoBar({ text, onPutBack }: UndoBarProps) {
  const p = usePalette();
  return (
    <View
      role="status"
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: 12,
        backgroundColor: p.shade,
        borderLeftWidth: 4,
        borderColor: p.moss,
        padding: 10,
      }}
    >
      <View style={{ flex: 1 }}>
        <Txt>{text}</Txt>
      </View>
      <Press title="Put it back" onPress={onPutBack} />
    </View>
  );
}
