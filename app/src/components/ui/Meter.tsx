import { View } from 'react-native';
import { usePalette } from '../../theme/palette';

interface MeterProps {
  value: number;
  most: number;
  colour: string;
  /** What it measures, for those who listen; else it is told elsewhere. */
  label?: string;
  height?: number;
}

/** How much of a whole is there, as a bar. */
export function Meter({ value, most, colour, label, height = 14 }: MeterProps) {
  const p = usePalette();
  const told = label
    ? {
        role: 'progressbar' as const,
        'aria-label': label,
        'aria-valuemin': 0,
        'aria-valuemax': most,
        'aria-valuenow': value,
      }
    : {};
  return (
    <View {...told} style={{ flexGrow: 1, height, borderWidth: 1.5, borderColor: p.ink, borderRadius: 3 }}>
      <View
        style={{
          height: height - 3,
          width: `${(100 * value) / Math.max(1, most)}%`,
          backgroundColor: colour,
        }}
      />
    </View>
  );
}
