import { View } from 'react-native';
import { FONTS } from '../../theme/fonts';
import { usePalette } from '../../theme/palette';
import { CheckBox } from './elements';

interface TickProps {
  title: string;
  on: boolean;
  onToggle: (on: boolean) => void;
}

/** Something done or not done. */
export function Tick({ title, on, onToggle }: TickProps) {
  const p = usePalette();
  return (
    <View role="checkbox" aria-checked={on} aria-label={title}>
      <CheckBox
        checked={on}
        title={title}
        onPress={() => onToggle(!on)}
        iconType="material"
        checkedIcon="check-box"
        uncheckedIcon="check-box-outline-blank"
        checkedColor={p.moss}
        uncheckedColor={p.graphite}
        containerStyle={{
          backgroundColor: 'transparent',
          padding: 0,
          margin: 0,
          marginLeft: 0,
          minHeight: 44,
          justifyContent: 'center',
        }}
        textStyle={{ fontFamily: FONTS.plain, fontWeight: 'normal', fontSize: 16, color: p.ink }}
      />
    </View>
  );
}
