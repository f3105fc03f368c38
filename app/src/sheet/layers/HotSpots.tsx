import type { Made } from '@zt/core/model/ticket/made';
import { View } from 'react-native';
import Svg, { G, Path, Rect, Text } from 'react-native-svg';
import { FONTS } from '../../theme/fonts';
import { useOnSheet } from '../onSheet';
import { toPx } from '../view';

/** Where thread lies thicker than it may: a zigzag with its figure, over the painted thread. */
export function HotSpots({ made, scale, above }: { made: Made; scale: number; above: number }) {
  const { view, palette } = useOnSheet();
  return (
    <View style={{ position: 'absolute', inset: 0, pointerEvents: 'none' }}>
      <Svg width={view.width} height={view.height}>
        {made.spots
          .filter(({ cover }) => cover / scale > above)
          .map(({ at, cover }) => {
            const { x, y } = toPx(view, { x: at.x * scale, y: at.y * scale });
            return (
              <G key={`${at.x} ${at.y}`}>
                <Rect
                  x={x - 20}
                  y={y - 42}
                  width={40}
                  height={34}
                  rx={4}
                  fill={palette.paper}
                  stroke={palette.madder}
                  strokeWidth={1}
                />
                <Path
                  d={`M${x - 12} ${y - 12}l6 -7l6 7l6 -7l6 7`}
                  stroke={palette.madder}
                  strokeWidth={2.5}
                  fill="none"
                />
                <Text
                  x={x}
                  y={y - 25}
                  fontSize={15}
                  fontFamily={FONTS.bold}
                  textAnchor="middle"
                  fill={palette.madder}
                >
                  {String(Math.round((cover / scale) * 10) / 10)}
                </Text>
              </G>
            );
          })}
      </Svg>
    </View>
  );
}
