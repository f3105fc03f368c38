import { View } from 'react-native';
import { usePalette } from '../theme/palette';
import { Txt } from './ui/Txt';

interface SlipProps {
  ok: boolean;
  message: string;
  testID: string;
}

/** The slip of paper on which a stand-in machine says what it did, or why it did not. */
export function Slip({ ok, message, testID }: SlipProps) {
  const p = usePalette();
  return (
    <View
      style={{
        backgroundColor: p.panel,
        borderTopWidth: 1.5,
        borderBottomWidth: 1.5,
        borderLeftWidth: 8,
        borderColor: ok ? p.ink : p.madder,
        paddingHorizontal: 12,
        paddingVertical: 8,
      }}
    >
      <Txt as="strong" live testID={testID}>
        {message}
      </Txt>
    </View>
  );
}
