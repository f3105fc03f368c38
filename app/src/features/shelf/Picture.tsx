import { View } from 'react-native';
import { usePalette } from '../../theme/palette';

/** A small picture to one scale: field inside ring, or a swatch. */
export function ItemPicture({
  width,
  height,
  inner,
  round,
  fill,
}: {
  width: number;
  height: number;
  inner?: { width: number; height: number };
  round?: boolean;
  fill?: string;
}) {
  const p = usePalette();
  const scale = 1 / 8.2;
  return (
    <View style={{ width: 56, height: 56, alignItems: 'center', justifyContent: 'center' }}>
      <View
        style={{
          width: width * scale,
          height: height * scale,
          borderWidth: 2,
          borderColor: p.ink,
          borderRadius: round ? 40 : 4,
          alignItems: 'center',
          justifyContent: 'center',
          backgroundColor: fill ?? 'transparent',
        }}
      >
        {inner ? (
          <View
            style={{
              width: inner.width * scale,
              height: inner.height * scale,
              borderWidth: 1,
              borderColor: p.chalk,
              borderRadius: round ? 40 : 1,
              borderStyle: 'dashed',
            }}
          />
        ) : null}
      </View>
    </View>
  );
}
