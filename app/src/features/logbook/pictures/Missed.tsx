import { type DisplayUnits, formatLength } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import type { Pictures } from '@zt/core/records/pictures/pictures';
import Svg, { Circle, G, Line, Text } from 'react-native-svg';
import { oneDigit } from '../../../components/figures';
import { Picture, SIDE } from '../../../components/Picture';
import { LateTable } from '../../../components/ui/LateTable';
import { Txt } from '../../../components/ui/Txt';
import { useShop } from '../../../shop/useShop';
import { FONTS } from '../../../theme/fonts';
import { usePalette } from '../../../theme/palette';

/** So many rings have room for their figures. */
const MOST_RINGS = 3;

/** A step that shows so much in a few rings, round as lengths are told, mm. */
function stepFor(most: number, units: DisplayUnits): number {
  const inch = (parts: number) => (25.4 * parts) / (units.system === 'in' ? units.denominator : 1);
  const round = units.system === 'in' ? [1, 2, 4, 8, 16, 32].map(inch) : [1, 2, 5, 10, 20, 50];
  return round.find((step) => most / step <= MOST_RINGS) ?? Math.ceil(most / MOST_RINGS);
}

/** Where pieces sit against their marks: the mark in the middle, each piece a point, their mean a cross. */
export function Missed({ missed }: { missed: Pictures['missed'][number] }) {
  const p = usePalette();
  const { units } = useShop();
  const { points, mean, placement, text } = missed;
  const far = Math.max(2, ...points.map(({ right, down }) => Math.max(Math.abs(right), Math.abs(down))));
  const step = stepFor(far, units);
  const half = Math.ceil(far / step) * step;
  const at = (mm: number) => SIDE / 2 + (mm / half) * (SIDE / 2 - 22);
  const rings = Array.from({ length: Math.round(half / step) }, (_, i) => (i + 1) * step);
  return (
    <Picture
      title={`Off its place${placement ? `: ${placement.toLowerCase()}` : ''}`}
      said={text ? say(text, units) : `${points.length} measured: too few to say where you sit.`}
      table={
        <LateTable
          label="Measured"
          rows={points.map((point, i) => ({ ...point, i }))}
          keyOf={({ i }) => String(i)}
          openerTitle="piece"
          opener={({ i }) => <Txt>{String(i + 1)}</Txt>}
          columns={[
            {
              id: 'right',
              title: 'right',
              cell: ({ right }) => formatLength(right, units),
              sortedBy: ({ right }) => right,
            },
            {
              id: 'down',
              title: 'down',
              cell: ({ down }) => formatLength(down, units),
              sortedBy: ({ down }) => down,
            },
            {
              id: 'turned',
              title: 'turned',
              cell: ({ turnDeg }) => (turnDeg === null ? '–' : `${oneDigit(turnDeg)}°`),
            },
          ]}
        />
      }
    >
      <Svg width={SIDE} height={SIDE}>
        {rings.map((ring) => (
          <G key={ring}>
            <Circle
              cx={SIDE / 2}
              cy={SIDE / 2}
              r={at(ring) - SIDE / 2}
              stroke={p.hairline}
              strokeWidth={1}
              fill="none"
            />
            <Text
              x={at(ring)}
              y={SIDE / 2 - 4}
              fontSize={12}
              fontFamily={FONTS.plain}
              fill={p.graphite}
              textAnchor="middle"
            >
              {formatLength(ring, units)}
            </Text>
          </G>
        ))}
        <Line
          x1={0}
          x2={SIDE}
          y1={SIDE / 2}
          y2={SIDE / 2}
          stroke={p.chalk}
          strokeWidth={1}
          strokeDasharray="6 4"
        />
        <Line
          y1={0}
          y2={SIDE}
          x1={SIDE / 2}
          x2={SIDE / 2}
          stroke={p.chalk}
          strokeWidth={1}
          strokeDasharray="6 4"
        />
        {points.map(({ right, down }, i) => (
          <Circle key={i} cx={at(right)} cy={at(down)} r={4} fill={p.ink} fillOpacity={0.55} />
        ))}
        <Line
          x1={at(mean.right) - 9}
          x2={at(mean.right) + 9}
          y1={at(mean.down)}
          y2={at(mean.down)}
          stroke={p.madder}
          strokeWidth={3}
        />
        <Line
          y1={at(mean.down) - 9}
          y2={at(mean.down) + 9}
          x1={at(mean.right)}
          x2={at(mean.right)}
          stroke={p.madder}
          strokeWidth={3}
        />
      </Svg>
    </Picture>
  );
}
