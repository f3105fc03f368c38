import type { Pictures } from '@zt/core/records/pictures/pictures';
import Svg, { G, Rect, Text } from 'react-native-svg';
import { Picture, SIDE } from '../../../components/Picture';
import { LateTable } from '../../../components/ui/LateTable';
import { Txt } from '../../../components/ui/Txt';
import { FONTS } from '../../../theme/fonts';
import { usePalette } from '../../../theme/palette';

/** Needles by their hours: pieces stitched with such a one, and those at which it broke or thread nested. */
export function Needles({ rows }: { rows: Pictures['needles'] }) {
  const p = usePalette();
  const most = Math.max(1, ...rows.map(({ pieces }) => pieces));
  const wide = (SIDE - 10) / Math.max(1, rows.length);
  return (
    <Picture
      title="Needle life"
      said={`${rows.reduce((sum, { bad }) => sum + bad, 0)} of ${rows.reduce((sum, { pieces }) => sum + pieces, 0)} pieces broke a needle or nested their thread.`}
      table={
        <LateTable
          label="Needle hours"
          rows={rows}
          keyOf={({ fromHours }) => String(fromHours)}
          openerTitle="hours"
          opener={({ fromHours, toHours }) => <Txt>{`${fromHours} to ${toHours}`}</Txt>}
          columns={[
            { id: 'pieces', title: 'pieces', cell: ({ pieces }) => String(pieces) },
            { id: 'bad', title: 'broke or nested', cell: ({ bad }) => String(bad) },
          ]}
        />
      }
    >
      <Svg width={SIDE} height={140}>
        {rows.map(({ fromHours, pieces, bad }, i) => {
          const tall = (n: number) => (n / most) * 96;
          return (
            <G key={fromHours}>
              <Rect
                x={i * wide}
                y={110 - tall(pieces)}
                width={wide - 4}
                height={tall(pieces - bad)}
                fill={p.moss}
              />
              <Rect x={i * wide} y={110 - tall(bad)} width={wide - 4} height={tall(bad)} fill={p.madder} />
              <Text
                x={i * wide + wide / 2}
                y={128}
                fontSize={12}
                fontFamily={FONTS.plain}
                fill={p.graphite}
                textAnchor="middle"
              >
                {`${fromHours} h`}
              </Text>
            </G>
          );
        })}
      </Svg>
    </Picture>
  );
}
