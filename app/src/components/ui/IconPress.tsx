import { Pressable } from 'react-native';
import { TARGET } from '../../theme/layout';
import { usePalette } from '../../theme/palette';
import { Icon, type IconName } from './Icon';

interface IconPressProps {
  icon: IconName;
  label: string;
  onPress: () => void;
  disabled?: boolean;
}

/** A button of one sign, named for those who listen. */
export function IconPress({ icon, label, onPress, disabled = false }: IconPressProps) {
  const p = usePalette();
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-disabled={disabled}
      disabled={disabled}
      onPress={onPress}
      style={{
        width: TARGET,
        height: TARGET,
        alignItems: 'center',
        justifyContent: 'center',
        opacity: disabled ? 0.4 : 1,
      }}
    >
      <Icon name={icon} size={26} color={p.ink} />
    </Pressable>
  );
}
