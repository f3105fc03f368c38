import { type DisplayUnits, formatFigure, formatLength } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import { titleOf } from '@zt/core/planner/titleOf';
import { type SizeRow, sizeRun, widestOf } from '@zt/core/table/sizes/sizeRun';
import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { ScrollView, useWindowDimensions, View } from 'react-native';
import { Callout } from '../../components/ui/Callout';
import { Press } from '../../components/ui/Press';
import { Screen } from '../../components/ui/Screen';
import { Txt } from '../../components/ui/Txt';
import { UnitsToggle } from '../../components/ui/UnitsToggle';
import { usePlan, useRules, useShelf, useTicket, useUnits } from '../../hooks/useTicket';
import type { Shop } from '../../shop/useShop';
import { NamesPress } from '../../stages/design/NamesPress';
import { WithTicket } from '../../stages/WithTicket';
import { usePalette } from '../../theme/palette';
import { SizeFields } from './SizeFields';
import { SizePicture } from './SizePicture';

const PICTURE_PX = 250;
const GAP_PX = 8;
/** Room beside the widest for its figure. */
const MARGIN_PX = 28;
/** No picture narrower than this: so the smallest design is still seen. */
const LEAST_ROOM_PX = 108;

const COLUMNS = ['width', 'across', 'depth', 'takes'] as const;

function cellsOf(row: SizeRow, units: DisplayUnits): Record<(typeof COLUMNS)[number], string> {
  const figure = (mm: number | null) => (mm === null ? '–' : formatFigure(mm, units));
  return {
    width: figure(row.faceMm),
    across: figure(row.acrossMm === null ? null : Math.abs(row.acrossMm)),
    depth: figure(row.depthMm),
    takes: row.coverPercent === null ? '–' : `${Math.round(row.coverPercent)} %`,
  };
}

function SizeTable({ rows }: { rows: readonly SizeRow[] }) {
  const units = useUnits();
  const p = usePalette();
  const line = {
    flexDirection: 'row' as const,
    alignItems: 'center' as const,
    borderBottomWidth: 1,
    borderColor: p.hairline,
    minHeight: 40,
  };
  return (
    <View role="table" aria-label="The run of sizes">
      <View role="row" style={line}>
        <View role="columnheader" style={{ flex: 1.4 }}>
          <Txt as="label" tone="graphite">
            size
          </Txt>
        </View>
        {COLUMNS.map((name) => (
          <View key={name} role="columnheader" style={{ flex: 1, alignItems: 'flex-end' }}>
            <Txt as="label" tone="graphite">
              {name}
            </Txt>
          </View>
        ))}
      </View>
      {rows.map((row) => {
        const cells = cellsOf(row, units);
        const out = row.outOfLine.length > 0;
        return (
          <View key={row.name} role="row" aria-label={row.name} style={line}>
            <View role="cell" style={{ flex: 1.4 }}>
              <Txt as="label" tone={out ? 'madder' : 'ink'} lines={2}>
                {row.own ? `${row.name} (this)` : row.name}
              </Txt>
              {row.names.length > 0 ? (
                <Txt as="small" tone="graphite">
                  {row.names.join(', ')}
                </Txt>
              ) : null}
            </View>
            {COLUMNS.map((name) => (
              <View key={name} role="cell" style={{ flex: 1, alignItems: 'flex-end' }}>
                <Txt as="label" lines={1} tone={out ? 'madder' : 'ink'} style={{ fontSize: 15 }}>
                  {cells[name]}
                </Txt>
              </View>
            ))}
          </View>
        );
      })}
    </View>
  );
}

function Pictures({ rows }: { rows: readonly SizeRow[] }) {
  const { width: screen } = useWindowDimensions();
  const { widthMm, heightMm } = widestOf(rows);
  const room = Math.max(LEAST_ROOM_PX, Math.min(1080, screen - 32) / Math.max(1, rows.length) - GAP_PX);
  const scale = Math.min((PICTURE_PX - 16) / heightMm, (room - MARGIN_PX) / widthMm);
  return (
    <ScrollView
      horizontal
      tabIndex={0}
      aria-label="The sizes side by side"
      contentContainerStyle={{ gap: GAP_PX }}
    >
      {rows.map((row) => (
        <View key={row.name} style={{ alignItems: 'center', gap: 4 }}>
          <SizePicture
            row={row}
            scale={scale}
            width={widthMm * scale + MARGIN_PX}
            height={heightMm * scale + 14}
          />
          <Txt
            as="label"
            lines={1}
            tone={row.outOfLine.length > 0 ? 'madder' : 'ink'}
            style={{ maxWidth: room }}
          >
            {row.name}
          </Txt>
        </View>
      ))}
    </ScrollView>
  );
}

function Sizes({ shop }: { shop: Shop }) {
  const ticket = useTicket();
  const plan = usePlan('place');
  const shelf = useShelf();
  const rules = useRules();
  const units = useUnits();
  const router = useRouter();
  const rows = useMemo(() => sizeRun(ticket, shelf, rules), [ticket, shelf, rules]);
  const troubled = rows.filter((row) => row.outOfLine.length > 0);
  return (
    <Screen
      title="Sizes"
      subtitle={`${titleOf(ticket)}: ${plan.place?.placement.name ?? 'not placed yet'}`}
      aside={
        <>
          <UnitsToggle units={units} onUnits={shop.setUnits} />
          <Press title="Back" onPress={() => router.replace(`/ticket/${ticket.id}/place`)} />
        </>
      }
    >
      <Pictures rows={rows} />
      <SizeTable rows={rows} />
      <Txt as="small" tone="graphite">
        {`All at one scale, in ${units.system === 'in' ? 'inches' : 'mm'}. Across from the centre line, depth from ${plan.place?.depthName ?? 'the landmark'}, and how much of the width the design takes.`}
      </Txt>
      {troubled.length === 0 && rows.length > 2 ? <Txt as="strong">The run looks alike.</Txt> : null}
      {troubled.map((row) => (
        <Callout tone="madder" gap={4} key={row.name} role="note">
          <Txt as="strong">{row.name}</Txt>
          {row.outOfLine.map((words) => (
            <Txt key={say(words, units)}>{say(words, units)}</Txt>
          ))}
        </Callout>
      ))}
      <Txt as="heading" level={2}>
        The sizes of this order
      </Txt>
      <SizeFields />
      <NamesPress title="A name on every piece" label="Names, each on its size" />
      <Txt as="small" tone="graphite">{`The widest is ${formatLength(widestOf(rows).widthMm, units)}.`}</Txt>
    </Screen>
  );
}

/** One placement on every size of an order, side by side at one scale, with its numbers. */
export function SizesScreen({ id }: { id: string }) {
  return <WithTicket id={id}>{(shop) => <Sizes shop={shop} />}</WithTicket>;
}
