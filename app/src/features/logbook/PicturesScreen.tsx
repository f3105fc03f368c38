import { FABRICS, FAULTS, formatLength, say } from '@zt/core';
import type { Pictures } from '@zt/core/uses/pictures/pictures';
import { useRouter } from 'expo-router';
import { type ReactNode, useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Rect, Text } from 'react-native-svg';
import { oneDigit } from '../../components/figures';
import { Disclosure } from '../../components/ui/Disclosure';
import { LateTable } from '../../components/ui/LateTable';
import { Press } from '../../components/ui/Press';
import { Screen } from '../../components/ui/Screen';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePicturesQuery } from '../../services/logbookApi';
import { useShop } from '../../shop/useShop';
import { FONTS } from '../../theme/fonts';
import { usePalette } from '../../theme/palette';

const SIDE = 300;

/** A picture under its title, with its figures as a table behind a word. */
function Picture({
  title,
  said,
  table,
  children,
}: {
  title: string;
  said?: string;
  table: ReactNode;
  children: ReactNode;
}) {
  return (
    <View role="group" aria-label={title} style={{ gap: 8, width: 340, maxWidth: '100%' }}>
      <Txt as="heading" level={2}>
        {title}
      </Txt>
      {said ? <Txt>{said}</Txt> : null}
      <View role="img" aria-label={said ?? title}>
        {children}
      </View>
      <Disclosure title="the figures" label={`${title}: the figures`}>
        {table}
      </Disclosure>
    </View>
  );
}

/** A round step that shows so much in a few lines, mm. */
const stepFor = (most: number): number => [1, 2, 5, 10, 20, 50].find((step) => most / step <= 4) ?? 100;

/** Where pieces sit against their marks: the mark in the middle, each piece a point, their mean a cross. */
function Missed({ missed }: { missed: Pictures['missed'][number] }) {
  const p = usePalette();
  const { units } = useShop();
  const { points, mean, placement, text } = missed;
  const far = Math.max(2, ...points.map(({ right, down }) => Math.max(Math.abs(right), Math.abs(down))));
  const step = stepFor(far);
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

const faultsOf = (faults: Pictures['cameOut'][number]['faults']): string =>
  FAULTS.flatMap(({ id, name }) => (faults[id] ? [`${name.toLowerCase()} ${faults[id]}`] : [])).join(', ');

/** How pieces came out by cloth and method: clean ones and bad ones as one bar each, in counts. */
function CameOut({ rows }: { rows: Pictures['cameOut'] }) {
  const p = usePalette();
  const { shelf } = useShop();
  const nameOf = (id: string) =>
    [...FABRICS, ...shelf.fabrics].find((f) => f.id === id)?.name ?? 'a cloth no longer kept';
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

/** Minutes of each stage: from the quarter to three quarters a bar, the middle one a notch. */
function Took({ rows }: { rows: Pictures['took'] }) {
  const p = usePalette();
  const most = Math.max(1, ...rows.map(({ threeQuarters }) => threeQuarters));
  const at = (minutes: number) => 76 + (minutes / most) * (SIDE - 120);
  return (
    <Picture
      title="Minutes by stage"
      said={rows.map(({ stage, half }) => `${stage} ${oneDigit(half)}`).join(', ')}
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

/** Needles by their hours: pieces stitched with such a one, and those at which it broke or thread nested. */
function Needles({ rows }: { rows: Pictures['needles'] }) {
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

/** What was worked out against what it was, with the line that fits it; on the dashed line both are the same. */
function Fit({ fit }: { fit: Pictures['fits'][number] }) {
  const p = usePalette();
  const { rules, setRules } = useShop();
  const [taken, setTaken] = useState(false);
  const { figure, n, times, low, high, points, offers } = fit;
  const most = Math.max(1e-9, ...points.map(({ planned, was }) => Math.max(planned, was)));
  const at = (value: number) => 10 + (value / most) * (SIDE - 20);
  const y = (value: number) => SIDE - at(value);
  const end = Math.min(1, 1 / times);
  return (
    <Picture
      title={`Worked out and measured: ${figure}`}
      said={`It really was ${oneDigit(times * 100)} % of what was worked out, half of them ${Math.round(low * 100)} to ${Math.round(high * 100)} %, from ${n} measured.`}
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
      {offers ? (
        <Stack gap={6}>
          <Txt as="small">{`${offers.name}: ${offers.now} ${offers.unit === 'percent' ? '%' : offers.unit} now; ${offers.fitted} would meet it. House rules put it back.`}</Txt>
          <Press
            title={taken ? 'Taken' : `Take ${offers.fitted}`}
            label={`Take ${offers.fitted} for ${offers.name}`}
            disabled={taken}
            onPress={() => {
              const numbers = Object.fromEntries(offers.ids.map((id) => [id, offers.fitted]));
              setRules({ ...rules, numbers: { ...rules.numbers, ...numbers } });
              setTaken(true);
            }}
          />
        </Stack>
      ) : null}
    </Picture>
  );
}

/** What the logbook shows of itself. */
export function PicturesScreen() {
  const router = useRouter();
  const { data, isError } = usePicturesQuery();
  return (
    <Screen
      title="Pictures"
      subtitle={data ? `of ${data.pieces} ${data.pieces === 1 ? 'piece' : 'pieces'} in the logbook` : ''}
      aside={<Press title="Back" onPress={() => router.replace('/logbook')} />}
    >
      {isError ? <Txt tone="madder">The shop’s computer draws them, and it cannot be reached.</Txt> : null}
      {data?.pieces === 0 ? <Txt>Nothing is logged yet: pictures come with the first pieces.</Txt> : null}
      {data ? (
        <View
          style={{
            flexDirection: 'row',
            flexWrap: 'wrap',
            columnGap: 32,
            rowGap: 24,
            alignItems: 'flex-start',
          }}
        >
          {data.cameOut.length > 0 ? <CameOut rows={data.cameOut} /> : null}
          {data.missed.map((missed) => (
            <Missed key={missed.placement} missed={missed} />
          ))}
          {data.took.length > 0 ? <Took rows={data.took} /> : null}
          {data.needles.length > 0 ? <Needles rows={data.needles} /> : null}
          {data.fits.map((fit) => (
            <Fit key={fit.figure} fit={fit} />
          ))}
        </View>
      ) : null}
    </Screen>
  );
}
