import type { DisplayUnits } from '@zt/core/base/units/length';
import { Pressable, View } from 'react-native';
import { usePalette } from '../../theme/palette';
import { Txt } from './Txt';

interface UnitsToggleProps {
  units: DisplayUnits;
  onUnits: (units: DisplayUnits) => void;
}

const OPTIONS: readonly { name: string; units: DisplayUnits; label: string }[] = [
  { name: 'in', units: { system: 'in', denominator: 16 }, label: 'inches' },
  { name: 'mm', units: { system: 'mm' }, label: 'millimetres' },
];

/** Inches or millimetres, everywhere at once. */
export function UnitsToggle({ units, onUnits }: UnitsToggleProps) {
  const p = usePalette();
  return (
    <View
      role="radiogroup"
      aria-label="Units"
      style={{
        flexDirection: 'row',
        borderWidth: 1.5,
        borderColor: p.ink,
        borderRadius: 6,
        overflow: 'hidden',
      }}
    >
      {OPTIONS.map((option) => {
        const on = option.units.system === units.system;
        return (
          <Pressable
            key={option.name}
            role="radio"
            aria-checked={on}
            tabIndex={on ? 0 : -1}
            aria-label={option.label}
            onPress={() => onUnits(option.units)}
            style={{
              minWidth: 44,
              minHeight: 44,
              alignItems: 'center',
              justifyContent: 'center',
              backgroundColor: on ? p.ink : p.panel,
            }}
          >
            <Txt as="label" tone={on ? 'onInk' : 'ink'}>
              {option.name}
            </Txt>
          </Pressable>
        );
      })}
    </View>
  );
}
