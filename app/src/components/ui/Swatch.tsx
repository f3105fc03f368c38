import { View } from 'react-native';
import { usePalette } from '../../theme/palette';

/** A patch of a thread's or a cloth's colour. */
export function Swatch({
  hex,
  width = 34,
  height = width,
}: {
  hex: string;
  width?: number;
  height?: number;
}) {
  const p = usePalette();
  return (
    <View
      style={{ width, height, borderRadius: 4, borderWidth: 1.5, borderColor: p.ink, backgroundColor: hex }}
    />
  );
}
