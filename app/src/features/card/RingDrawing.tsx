import type { DisplayUnits } from '@zt/core/base/units/length';
import type { LaidHoop } from '@zt/core/stages/hoop/layHoop';
import type { RingPicture } from '@zt/core/table/deck/step';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { G } from 'react-native-svg';
import { usePalette } from '../../theme/palette';
import { SCENES, type Scene } from './ringScenes';

const ROOM_PX = 74;

/** A step of the ring's ritual, drawn to the sides of the hoop in hand. */
export function RingDrawing({
  picture,
  laid,
  cut,
  units,
  description,
}: {
  picture: Exclude<RingPicture, 'notches'>;
  laid: LaidHoop;
  /** The sides of what is cut, mm. */
  cut: Scene['cut'];
  units: DisplayUnits;
  description: string;
}) {
  const p = usePalette();
  const [size, setSize] = useState({ width: 0, height: 0 });
  const { hoop } = laid.verdict;
  const scale = Math.max(
    0.1,
    Math.min(
      (size.width - 2 * ROOM_PX) / hoop.ringWidthMm,
      (size.height - 2 * ROOM_PX * 0.7) / hoop.ringHeightMm,
    ),
  );
  const scene: Scene = {
    hoop,
    cut,
    units,
    p,
    w: (hoop.ringWidthMm / 2) * scale,
    h: (hoop.ringHeightMm / 2) * scale,
    wall: Math.max(5, hoop.wallMm * scale),
    edge: size.width / 2,
  };
  return (
    <View
      role="img"
      aria-label={description}
      style={{ flex: 1, backgroundColor: p.paper, overflow: 'hidden' }}
      onLayout={({ nativeEvent: { layout } }) => setSize({ width: layout.width, height: layout.height })}
    >
      {size.width > 0 ? (
        <Svg width={size.width} height={size.height}>
          <G transform={`translate(${size.width / 2} ${size.height / 2})`}>{SCENES[picture](scene)}</G>
        </Svg>
      ) : null}
    </View>
  );
}
