import type { QuantityPoint } from '@zt/core/business/cost/price';
import Svg, { Circle, G, Line, Path, Text } from 'react-native-svg';
import { Picture, SIDE } from '../../components/Picture';
import { LateTable } from '../../components/ui/LateTable';
import { Txt } from '../../components/ui/Txt';
import { FONTS } from '../../theme/fonts';
import { usePalette } from '../../theme/palette';

const HEIGHT = 170;
const LEFT = 8;
const BOTTOM = 26;
const TOP = 20;

interface QuantityCurveProps {
  points: readonly QuantityPoint[];
  /** How many this run has. */
  own: number;
  money: (minor: number) => string;
}

/** What a piece costs and its price, by how many are made; the run at hand is marked. */
export function QuantityCurve({ points, own, money }: QuantityCurveProps) {
  const p = usePalette();
  const most = Math.max(
    ...points.map(({ costExact, priceMinor }) => Math.max(costExact, priceMinor ?? 0)),
    1,
  );
  const last = points[points.length - 1]?.pieces ?? 1;
  // By the factor: from one to two is as far as from a hundred to two hundred.
  const x = (pieces: number) => LEFT + (Math.log(pieces) / Math.log(Math.max(2, last))) * (SIDE - 2 * LEFT);
  const y = (minor: number) => TOP + (1 - minor / most) * (HEIGHT - TOP - BOTTOM);
  const path = (of: (point: QuantityPoint) => number | null) =>
    points
      .flatMap((point) => {
        const value = of(point);
        return value === null ? [] : [`${x(point.pieces)} ${y(value)}`];
      })
      .join('L');
  const here = points.find(({ pieces }) => pieces === own);
  const [first, end] = [points[0], points[points.length - 1]];
  const said = [first, here, end]
    .filter((point, i, all) => point && all.indexOf(point) === i)
    .map((point) => `${point?.pieces}: ${money(point?.priceMinor ?? point?.costExact ?? 0)}`)
    .join(', ');
  return (
    <Picture
      title="By how many"
      said={`A piece, ${said}`}
      table={
        <LateTable
          label="Price by quantity"
          rows={points}
          keyOf={({ pieces }) => String(pieces)}
          openerTitle="pieces"
          opener={({ pieces }) => <Txt as={pieces === own ? 'strong' : 'body'}>{pieces}</Txt>}
          columns={[
            { id: 'cost', title: 'costs, each', cell: ({ costExact }) => money(costExact) },
            {
              id: 'price',
              title: 'price, each',
              cell: ({ priceMinor }) => (priceMinor === null ? '–' : money(priceMinor)),
            },
          ]}
        />
      }
    >
      <Svg width={SIDE} height={HEIGHT}>
        <Line x1={LEFT} x2={SIDE - LEFT} y1={y(0)} y2={y(0)} stroke={p.ink} strokeWidth={1.5} />
        {points.map(({ pieces }) => (
          <Line key={pieces} x1={x(pieces)} x2={x(pieces)} y1={y(0)} y2={y(0) + 5} stroke={p.ink} />
        ))}
        {[1, 10, 100].map((pieces) => (
          <Text
            key={pieces}
            x={x(pieces)}
            y={HEIGHT - 6}
            fontSize={12}
            textAnchor="middle"
            fontFamily={FONTS.plain}
            fill={p.graphite}
          >
            {pieces}
          </Text>
        ))}
        <Path d={`M${path(({ priceMinor }) => priceMinor)}`} fill="none" stroke={p.ink} strokeWidth={2.5} />
        <Path
          d={`M${path(({ costExact }) => costExact)}`}
          fill="none"
          stroke={p.madder}
          strokeWidth={2.5}
          strokeDasharray="6 4"
        />
        {here ? (
          <G>
            <Line
              x1={x(own)}
              x2={x(own)}
              y1={TOP}
              y2={y(0)}
              stroke={p.chalk}
              strokeWidth={1.5}
              strokeDasharray="2 3"
            />
            <Circle
              cx={x(own)}
              cy={y(here.priceMinor ?? here.costExact)}
              r={5}
              fill={p.tape}
              stroke={p.ink}
              strokeWidth={1.5}
            />
          </G>
        ) : null}
        <Text
          x={SIDE - LEFT}
          y={y(end?.priceMinor ?? 0) - 8}
          fontSize={13}
          textAnchor="end"
          fontFamily={FONTS.medium}
          fill={p.ink}
        >
          price
        </Text>
        <Text
          x={SIDE - LEFT}
          y={y(end?.costExact ?? 0) + 18}
          fontSize={13}
          textAnchor="end"
          fontFamily={FONTS.medium}
          fill={p.madder}
        >
          cost
        </Text>
      </Svg>
    </Picture>
  );
}
