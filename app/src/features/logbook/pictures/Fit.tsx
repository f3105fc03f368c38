import type { Pictures } from '@zt/core/records/pictures/pictures';
import Svg, { Circle, Line, Text } from 'react-native-svg';
import { oneDigit } from '../../../components/figures';
import { Picture, SIDE } from '../../../components/Picture';
import { LateTable } from '../../../components/ui/LateTable';
import { Txt } from '../../../components/ui/Txt';
import { FONTS } from '../../../theme/fonts';
import { usePalette } from '../../../theme/palette';
import { TakeOffers } from './TakeOffers';

/** What was worked out against what it was, with the line that fits it; on the dashed line both are the same. */
export function Fit({ fit }: { fit: Pictures['fits'][number] }) {
  const p = usePalette();
  const { figure, n, times, low, high, points, offers } = fit;
  const most = Math.max(1e-9, ...points.map(({ planned, was }) => Math.max(planned, was)));
  const at = (value: number) => 10 + (value / most) * (SIDE - 20);
  const y = (value: number) => SIDE - at(value);
  const end = Math.min(1, 1 / times);
  return (
    <Picture
      title={`Worked out and measured: ${figure}`}
      said={`It really was ${oneDigit(times * 100)} % of what was worked out, half of them ${Math.round(low * 100)} to ${Math.round(high * 100)} %, from ${n} measured.`}
      below={<TakeOffers offers={offers ? [offers] : []} />}
      table={
        <LateTable
          label={figure}
          rows={points.map((point, i) => ({ ...point, i }))}
          keyOf={({ i }) => String(i)}
          openerTitle="entry"
          opener={({ i }) => <Txt>{String(i + 1)}</Txt>}
          columns={[
            {
              id: 'planned',
              title: 'worked out',
              cell: ({ planned }) => oneDigit(planned),
              sortedBy: ({ planned }) => planned,
            },
            { id: 'was', title: 'was', cell: ({ was }) => oneDigit(was), sortedBy: ({ was }) => was },
          ]}
        />
      }
    >
      <Svg width={SIDE} height={SIDE}>
        <Line x1={at(0)} y1={y(0)} x2={at(most)} y2={y(0)} stroke={p.ink} strokeWidth={1} />
        <Line x1={at(0)} y1={y(0)} x2={at(0)} y2={y(most)} stroke={p.ink} strokeWidth={1} />
        <Line
          x1={at(0)}
          y1={y(0)}
          x2={at(most)}
          y2={y(most)}
          stroke={p.graphite}
          strokeDasharray="6 4"
          strokeWidth={1}
        />
        <Line
          x1={at(0)}
          y1={y(0)}
          x2={at(most * end)}
          y2={y(most * end * times)}
          stroke={p.madder}
          strokeWidth={2.5}
        />
        {points.map(({ planned, was }, i) => (
          <Circle key={i} cx={at(planned)} cy={y(was)} r={4} fill={p.ink} fillOpacity={0.55} />
        ))}
        <Text
          x={SIDE - 10}
          y={SIDE - 16}
          fontSize={13}
          fontFamily={FONTS.plain}
          fill={p.graphite}
          textAnchor="end"
        >
          worked out
        </Text>
        <Text x={16} y={20} fontSize={13} fontFamily={FONTS.plain} fill={p.graphite}>
          measured
        </Text>
      </Svg>
    </Picture>
  );
}
