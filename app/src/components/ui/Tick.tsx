import { Pressable } from 'react-native';
import { TARGET } from '../../theme/layout';
import { usePalette } from '../../theme/palette';
import { Icon } from './Icon';
import { Stack } from './Stack';
import { Txt } from './Txt';

interface TickProps {
  title: string;
  /** What it is called where the title does not say it alone. */
  label?: string;
  on: boolean;
  onToggle: (on: boolean) => void;
}

/** Something done or not done. */
export function Tick({ title, label = title, on, onToggle }: TickProps) {
  const p = usePalette();
  return (
    <Pressable
      role="checkbox"
      aria-checked={on}
      aria-label={label}
      onPress={() => onToggle(!on)}
      style={{ flexDirection: 'row', alignItems: 'center', gap: 10, minHeight: TARGET, paddingVertical: 4 }}
    >
      <Icon name={on ? 'ticked' : 'unticked'} size={24} color={on ? p.moss : p.graphite} />
      <Stack grow>
        <Txt>{title}</Txt>
      </Stack>
    </Pressable>
  );
}
