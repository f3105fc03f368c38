import type { NameSet } from '@zt/core/model/ticket/names';
import { View } from 'react-native';
import Svg, { G, Line, Path, Rect } from 'react-native-svg';
import { usePalette } from '../../theme/palette';

interface NameDrawingProps {
  set: NameSet | null;
  /** px to the mm: the same for all names of a list. */
  scale: number;
  isTooWide: boolean;
  width: number;
}

const TICK_PX = 6;
const LEAST_PX = 26;

/** A name to the scale of all of them, between the ends of the width that is allowed. */
export function NameDrawing({ set, isTooWide, scale, width }: NameDrawingProps) {
  const p = usePalette();
  const withinMm = set?.withinMm ?? null;
  const height = Math.max(LEAST_PX, (set?.heightMm ?? 0) * scale) + 2 * TICK_PX;
  const [middle, half] = [width / 2, ((withinMm ?? 0) * scale) / 2];
  const ends = withinMm === null ? [] : [middle - half, middle + half];
  return (
    <View aria-hidden style={{ width, height }}>
      <Svg width={width} height={height}>
        {withinMm === null ? null : (
          <Rect x={middle - half} y={0} width={2 * half} height={height} fill={p.shade} />
        )}
        {set ? (
          <G transform={`translate(${middle} ${height / 2}) scale(${scale})`}>
            {set.artwork.paths.map(({ d }, i) => (
              <Path key={i} d={d} fill={isTooWide ? p.madder : p.ink} fillRule="evenodd" />
            ))}
          </G>
        ) : null}
        {ends.map((x) => (
          <Line
            key={x}
            x1={x}
            x2={x}
            y1={0}
            y2={height}
            stroke={isTooWide ? p.madder : p.ink}
            strokeWidth={1.5}
          />
        ))}
      </Svg>
    </View>
  );
}
