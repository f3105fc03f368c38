import { formatLength } from '@zt/core/base/units/length';
import { asCut, type CutSheet } from '@zt/core/files/cutFile/cutSheet';
import { View } from 'react-native';
import Svg, { G, Line, Path, Rect, Text } from 'react-native-svg';
import { useUnits } from '../../hooks/useTicket';
import { FONTS } from '../../theme/fonts';
import { usePalette } from '../../theme/palette';

const MARGIN_PX = 26;
/** No piece is drawn larger: on any screen about its own size. */
const MOST_PX_PER_MM = 4;
const d = (region: ReturnType<typeof asCut>[number]): string =>
  region.map((ring) => `M${ring.map(({ x, y }) => `${x} ${y}`).join('L')}Z`).join('');

/** The pieces on the cloth as they are cut, to scale: across its whole width, as long as they take. */
export function NestPicture({ sheet, most }: { sheet: CutSheet; most: number }) {
  const p = usePalette();
  const units = useUnits();
  const { cloth, nested } = sheet;
  const scale = Math.min(MOST_PX_PER_MM, (most - 2 * MARGIN_PX) / Math.max(1, nested.widthMm));
  const width = nested.widthMm * scale + 2 * MARGIN_PX;
  const [wide, high] = [nested.widthMm * scale, Math.max(8, nested.lengthMm * scale)];
  const words = { fill: p.ink, fontFamily: FONTS.bold, fontSize: 13, textAnchor: 'middle' as const };
  return (
    <View
      role="img"
      aria-label={`${nested.laid.length} pieces on ${cloth.name} ${formatLength(nested.widthMm, units)} wide and ${formatLength(nested.lengthMm, units)} long`}
    >
      <Svg width={width} height={high + 2 * MARGIN_PX}>
        <Text {...words} x={width / 2} y={MARGIN_PX - 9}>
          {formatLength(nested.widthMm, units)}
        </Text>
        <Text
          {...words}
          x={0}
          y={0}
          transform={`translate(${width - 8} ${MARGIN_PX + high / 2}) rotate(-90)`}
        >
          {formatLength(nested.lengthMm, units)}
        </Text>
        <Rect
          x={MARGIN_PX}
          y={MARGIN_PX}
          width={wide}
          height={high}
          fill={p.panel}
          stroke={p.ink}
          strokeWidth={1.5}
        />
        <G transform={`translate(${MARGIN_PX} ${MARGIN_PX}) scale(${scale})`}>
          {asCut(sheet).map((region, i) => (
            <Path
              key={i}
              d={d(region)}
              fill={cloth.hex}
              fillRule="evenodd"
              stroke={p.ink}
              strokeWidth={1.2 / scale}
            />
          ))}
        </G>
        {cloth.alongGrain ? (
          <Line
            x1={12}
            x2={12}
            y1={MARGIN_PX + 4}
            y2={MARGIN_PX + high - 4}
            stroke={p.ink}
            strokeWidth={1.5}
            strokeDasharray="8 3"
          />
        ) : null}
      </Svg>
    </View>
  );
}
