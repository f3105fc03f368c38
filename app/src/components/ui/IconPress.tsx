import MaterialIcons from '@expo/vector-icons/MaterialIcons';
import type { ComponentProps } from 'react';
import { Pressable } from 'react-native';
import { TARGET } from '../../theme/layout';
import { usePalette } from '../../theme/palette';

interface IconPressProps {
  icon: ComponentProps<typeof MaterialIcons>['name'];
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
      <MaterialIcons name={icon} size={26} color={p.ink} />
    </Pressable>
  );
}
