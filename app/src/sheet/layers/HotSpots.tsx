import type { Made } from '@zt/core/model/ticket/made';
import { G, Path, Text } from 'react-native-svg';
import { useOnSheet } from '../onSheet';
import { toPx } from '../view';

/** Where thread lies thicker than it may: a zigzag with its figure. */
export function HotSpots({ made, scale, above }: { made: Made; scale: number; above: number }) {
  const { view, palette } = useOnSheet();
  return made.spots
    .filter(({ cover }) => cover / scale > above)
    .map(({ at, cover }) => {
      const { x, y } = toPx(view, { x: at.x * scale, y: at.y * scale });
      return (
        <G key={`${at.x} ${at.y}`}>
          <Path
            d={`M${x - 12} ${y - 14}l6 -7l6 7l6 -7l6 7`}
            stroke={palette.madder}
            strokeWidth={2.5}
            fill="none"
          />
          <Text
            x={x}
            y={y - 24}
            fontSize={15}
            fontWeight="700"
            textAnchor="middle"
            fill={palette.madder}
            stroke={palette.paper}
            strokeWidth={0.4}
          >
            {String(Math.round((cover / scale) * 10) / 10)}
          </Text>
        </G>
      );
    });
}
