import type { Week } from '@zt/core/model/weeks';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { G, Line, Rect, Text } from 'react-native-svg';
import { Disclosure } from '../../components/ui/Disclosure';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { FONTS } from '../../theme/fonts';
import { type Palette, usePalette } from '../../theme/palette';

/** What stands for a week side by side: what it is called, its colour, and its figure; null where there is none. */
export interface WeekBar {
  name: string;
  tone: keyof Palette;
  of: (week: Week) => number | null;
}

interface WeekBarsProps {
  title: string;
  weeks: readonly Week[];
  bars: readonly WeekBar[];
  /** A figure as it is read. */
  say: (figure: number) => string;
  /** A line across, where one is aimed at. */
  aim?: { name: string; at: number };
}

const HIGH = 120;
const ABOVE = 18;
const BELOW = 22;
/** So many weeks apart are named. */
const NAMED_EVERY = 3;

const dayOf = ({ monday }: Week): string => format(parseISO(monday), 'd MMM');

/** Weeks as bars beside one another, over a line of nothing; and the same as a table. */
export function WeekBars({ title, weeks, bars, say, aim }: WeekBarsProps) {
  const p = usePalette();
  const [widthPx, setWidth] = useState(0);
  const figures = weeks.flatMap((week) => bars.flatMap(({ of }) => of(week) ?? []));
  const most = Math.max(1e-9, aim?.at ?? 0, ...figures);
  const least = Math.min(0, ...figures);
  const y = (figure: number) => ABOVE + ((most - figure) / (most - least)) * HIGH;
  const each = widthPx / Math.max(1, weeks.length);
  const wide = Math.max(2, (each * 0.7) / bars.length);
  return (
    <Stack gap={4}>
      <Txt as="heading" level={2}>
        {title}
      </Txt>
      <View
        role="img"
        aria-label={`${title}: ${weeks.length} weeks as bars; the figures stand in the table below`}
        onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
      >
        {widthPx > 0 ? (
          <Svg width={widthPx} height={ABOVE + HIGH + BELOW}>
            {weeks.map((week, i) => (
              <G key={week.monday}>
                {bars.map(({ name, tone, of }, b) => {
                  const figure = of(week);
                  if (figure === null) return null;
                  const x = i * each + each * 0.15 + b * wide;
                  return (
                    <Rect
                      key={name}
                      x={x}
                      y={Math.min(y(figure), y(0))}
                      width={wide - 1}
                      height={Math.max(figure === 0 ? 0 : 1, Math.abs(y(figure) - y(0)))}
                      fill={p[tone]}
                      stroke={p.ink}
                      strokeWidth={0.8}
                    />
                  );
                })}
                {(weeks.length - 1 - i) % NAMED_EVERY === 0 ? (
                  <Text
                    x={Math.min(widthPx - 2, (i + 0.5) * each)}
                    y={ABOVE + HIGH + BELOW - 5}
                    textAnchor={i === weeks.length - 1 ? 'end' : 'middle'}
                    fontFamily={FONTS.plain}
                    fontSize={12}
                    fill={p.ink}
                  >
                    {dayOf(week)}
                  </Text>
                ) : null}
              </G>
            ))}
            <Line x1={0} x2={widthPx} y1={y(0)} y2={y(0)} stroke={p.ink} strokeWidth={1.5} />
            {aim ? (
              <Line
                x1={0}
                x2={widthPx}
                y1={y(aim.at)}
                y2={y(aim.at)}
                stroke={p.madder}
                strokeWidth={1.5}
                strokeDasharray="6 4"
              />
            ) : null}
            <Text x={0} y={12} fontFamily={FONTS.plain} fontSize={12} fill={p.graphite}>
              {say(most)}
            </Text>
          </Svg>
        ) : null}
      </View>
      <Row wrap>
        {bars.map(({ name, tone }) => (
          <Row key={name} align="middle">
            <View
              style={{ width: 12, height: 12, borderWidth: 1, borderColor: p.ink, backgroundColor: p[tone] }}
            />
            <Txt as="small">{name}</Txt>
          </Row>
        ))}
        {aim ? <Txt as="small" tone="madder">{`- - ${aim.name} ${say(aim.at)}`}</Txt> : null}
      </Row>
      <Disclosure title="As a table" label={`${title} as a table`}>
        <Stack gap={2}>
          {[...weeks].reverse().map((week) => (
            <Txt key={week.monday} as="small">
              {`Week of ${dayOf(week)}: ${bars
                .map(({ name, of }) => {
                  const figure = of(week);
                  return `${name} ${figure === null ? 'not known' : say(figure)}`;
                })
                .join(', ')}`}
            </Txt>
          ))}
        </Stack>
      </Disclosure>
    </Stack>
  );
}
