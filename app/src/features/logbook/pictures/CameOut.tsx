import { FAULTS } from '@zt/core/model/faults';
import type { Pictures } from '@zt/core/records/pictures/pictures';
import Svg, { G, Rect, Text } from 'react-native-svg';
import { Picture, SIDE } from '../../../components/Picture';
import { LateTable } from '../../../components/ui/LateTable';
import { Txt } from '../../../components/ui/Txt';
import { useClothName } from '../../../shop/useClothName';
import { FONTS } from '../../../theme/fonts';
import { usePalette } from '../../../theme/palette';

const faultsOf = (faults: Pictures['cameOut'][number]['faults']): string =>
  FAULTS.flatMap(({ id, name }) => (faults[id] ? [`${name.toLowerCase()} ${faults[id]}`] : [])).join(', ');

/** How pieces came out by cloth and method: clean ones and bad ones as one bar each, in counts. */
export function CameOut({ rows }: { rows: Pictures['cameOut'] }) {
  const p = usePalette();
  const nameOf = useClothName();
  const most = Math.max(1, ...rows.map(({ pieces }) => pieces));
  const shown = rows.slice(0, 12);
  const ROW = 44;
  return (
    <Picture
      title="Faults by cloth and method"
      said={`${rows.reduce((sum, row) => sum + row.pieces, 0)} pieces, ${rows.reduce((sum, row) => sum + row.clean, 0)} clean.`}
      table={
        <LateTable
          label="By cloth and method"
          rows={rows}
          keyOf={({ fabricId, method }) => `${fabricId} ${method}`}
          openerTitle="cloth"
          openerSortedBy={({ fabricId }) => nameOf(fabricId)}
          opener={({ fabricId }) => <Txt>{nameOf(fabricId)}</Txt>}
          columns={[
            { id: 'method', title: 'method', cell: ({ method }) => method, sortedBy: ({ method }) => method },
            {
              id: 'pieces',
              title: 'pieces',
              cell: ({ pieces }) => String(pieces),
              sortedBy: ({ pieces }) => pieces,
            },
            {
              id: 'clean',
              title: 'clean',
              cell: ({ clean }) => String(clean),
              sortedBy: ({ clean }) => clean,
            },
            { id: 'faults', title: 'faults', share: 3, cell: ({ faults }) => faultsOf(faults) || '–' },
          ]}
        />
      }
    >
      <Svg width={SIDE} height={shown.length * ROW}>
        {shown.map(({ fabricId, method, pieces, clean }, i) => {
          const wide = (n: number) => (n / most) * (SIDE - 40);
          return (
            <G key={`${fabricId} ${method}`} y={i * ROW}>
              <Text x={0} y={14} fontSize={13} fontFamily={FONTS.medium} fill={p.ink}>
                {`${nameOf(fabricId)}, ${method}`}
              </Text>
              <Rect x={0} y={20} width={wide(clean)} height={14} fill={p.moss} />
              <Rect x={wide(clean)} y={20} width={wide(pieces - clean)} height={14} fill={p.madder} />
              <Text x={wide(pieces) + 6} y={32} fontSize={13} fontFamily={FONTS.plain} fill={p.ink}>
                {`${clean}/${pieces}`}
              </Text>
            </G>
          );
        })}
      </Svg>
    </Picture>
  );
}
