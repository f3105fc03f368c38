import type { Pictures } from '@zt/core/records/pictures/pictures';
import Svg, { G, Rect, Text } from 'react-native-svg';
import { oneDigit } from '../../../components/figures';
import { Picture, SIDE } from '../../../components/Picture';
import { LateTable } from '../../../components/ui/LateTable';
import { Txt } from '../../../components/ui/Txt';
import { FONTS } from '../../../theme/fonts';
import { usePalette } from '../../../theme/palette';
import { TakeOffers } from './TakeOffers';

/** Minutes of each stage: from the quarter to three quarters a bar, the middle one a notch; and what the house would count. */
export function TookPicture({ took: rows, hands }: Pick<Pictures, 'took' | 'hands'>) {
  const p = usePalette();
  const most = Math.max(1, ...rows.map(({ threeQuarters }) => threeQuarters));
  const at = (minutes: number) => 76 + (minutes / most) * (SIDE - 120);
  return (
    <Picture
      title="Minutes by stage"
      said={rows.map(({ stage, half }) => `${stage} ${oneDigit(half)}`).join(', ')}
      below={<TakeOffers offers={hands} />}
      table={
        <LateTable
          label="Minutes"
          rows={rows}
          keyOf={({ stage }) => stage}
          openerTitle="stage"
          opener={({ stage }) => <Txt>{stage}</Txt>}
          columns={[
            { id: 'timed', title: 'timed', cell: ({ n }) => String(n) },
            { id: 'quarter', title: 'a quarter below', cell: ({ quarter }) => oneDigit(quarter) },
            { id: 'half', title: 'the middle one', cell: ({ half }) => oneDigit(half) },
            { id: 'three', title: 'a quarter above', cell: ({ threeQuarters }) => oneDigit(threeQuarters) },
          ]}
        />
      }
    >
      <Svg width={SIDE} height={rows.length * 30}>
        {rows.map(({ stage, quarter, half, threeQuarters }, i) => (
          <G key={stage} y={i * 30}>
            <Text x={0} y={20} fontSize={14} fontFamily={FONTS.medium} fill={p.ink}>
              {stage}
            </Text>
            <Rect
              x={at(quarter)}
              y={8}
              width={Math.max(3, at(threeQuarters) - at(quarter))}
              height={16}
              fill={p.tape}
            />
            <Rect x={at(half) - 1.5} y={4} width={3} height={24} fill={p.ink} />
            <Text x={at(threeQuarters) + 6} y={20} fontSize={13} fontFamily={FONTS.plain} fill={p.ink}>
              {oneDigit(half)}
            </Text>
          </G>
        ))}
      </Svg>
    </Picture>
  );
}
