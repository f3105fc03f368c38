import type { Hoop } from '@zt/core/model/shelf';
import { View } from 'react-native';
import Svg, { G, Line, Path, Rect } from 'react-native-svg';
import { usePalette } from '../../theme/palette';

/** The square the ring is drawn in, px, and the room round it for figures. */
export const BOX = 320;
const ROOM = 76;

/** Half the sides of a hoop as drawn, px from its middle. */
export function drawnSides(hoop: Hoop) {
  const scale = (BOX - 2 * ROOM) / Math.max(hoop.ringWidthMm, hoop.ringHeightMm);
  const half = (mm: number) => (mm * scale) / 2;
  return {
    scale,
    ring: { w: half(hoop.ringWidthMm), h: half(hoop.ringHeightMm) },
    field: { w: half(hoop.fieldWidthMm), h: half(hoop.fieldHeightMm) },
  };
}

/** The ring, its wall and its field to scale; of a repositioning hoop the field of the next place too. */
export function RingFigure({ hoop }: { hoop: Hoop }) {
  const p = usePalette();
  const { scale, ring, field } = drawnSides(hoop);
  const wall = hoop.wallMm * scale;
  const rect = (w: number, h: number, radius: number) => ({
    x: -w,
    y: -h,
    width: 2 * w,
    height: 2 * h,
    rx: hoop.round ? w : radius,
  });
  return (
    <View role="img" aria-label={`Drawing of ${hoop.name}`}>
      <Svg width={BOX} height={BOX}>
        <G transform={`translate(${BOX / 2} ${BOX / 2})`}>
          <Rect {...rect(ring.w, ring.h, 12)} fill={p.panel} stroke={p.ink} strokeWidth={2.4} />
          <Rect {...rect(ring.w - wall, ring.h - wall, 9)} fill="none" stroke={p.ink} strokeWidth={1} />
          <Rect
            {...rect(field.w, field.h, 1)}
            fill="none"
            stroke={p.chalk}
            strokeWidth={1.6}
            strokeDasharray="10 3 2 3"
          />
          <Line x1={-ring.w} y1={-ring.h - 18} x2={ring.w} y2={-ring.h - 18} stroke={p.ink} strokeWidth={1} />
          <Line x1={ring.w + 18} y1={-ring.h} x2={ring.w + 18} y2={ring.h} stroke={p.ink} strokeWidth={1} />
          <Path
            d={`M${-ring.w - 10} ${ring.h + 24}L${-ring.w + wall / 2} ${ring.h - wall / 2}`}
            stroke={p.ink}
            strokeWidth={1}
            strokeDasharray="2 3"
          />
          {hoop.positions.count > 1 ? (
            <Rect
              {...rect(field.w, field.h, 1)}
              y={-field.h + hoop.positions.stepMm * scale}
              fill="none"
              stroke={p.chalk}
              strokeWidth={1}
              strokeDasharray="2 4"
            />
          ) : null}
        </G>
      </Svg>
    </View>
  );
}
