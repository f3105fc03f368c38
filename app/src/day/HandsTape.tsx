import { clockTime } from '@zt/core/business/day/calendar';
import type { DayPlan, HandsOn, HoopOn } from '@zt/core/business/day/dayPlan';
import type { HandsDo } from '@zt/core/business/day/stretches';
import Svg, { G, Line, Rect, Text } from 'react-native-svg';
import { FONTS } from '../theme/fonts';
import { type Palette, usePalette } from '../theme/palette';
import { quartersOf, type Scale } from './scale';

export const RULER = 26;
export const HANDS = 40;
export const HOOP = 22;
/** So wide is one figure. */
const FIGURE_PX = 8;

/** What hands do, as it is drawn: its colour, and whether its number is pale on it. */
export const handsColour = (what: HandsDo, p: Palette): { fill: string; ink: string } =>
  ({
    prepare: { fill: p.panel, ink: p.ink },
    hoop: { fill: p.tape, ink: p.onTape },
    mount: { fill: p.chalk, ink: p.onInk },
    tend: { fill: p.madder, ink: p.onInk },
    'take off': { fill: p.moss, ink: p.onInk },
    finish: { fill: p.graphite, ink: p.onInk },
  })[what];

const words = { fontFamily: FONTS.medium, fontSize: 12, textAnchor: 'middle' as const };

/** The hours along the edge, as on a tape measure. */
export function HoursRuler({ scale, zone }: { scale: Scale; zone: string }) {
  const p = usePalette();
  return (
    <Svg width={scale.widthPx} height={RULER}>
      {quartersOf(scale).map((ms) => {
        const isHour = clockTime(ms, zone).endsWith(':00');
        return (
          <G key={ms}>
            <Line
              x1={scale.x(ms)}
              x2={scale.x(ms)}
              y1={isHour ? 12 : 19}
              y2={RULER}
              stroke={p.ink}
              strokeWidth={isHour ? 1.6 : 1}
            />
            {isHour ? (
              <Text {...words} x={scale.x(ms) + 4} y={13} textAnchor="start" fill={p.ink}>
                {clockTime(ms, zone)}
              </Text>
            ) : null}
          </G>
        );
      })}
    </Svg>
  );
}

interface BlockProps {
  scale: Scale;
  fromMs: number;
  toMs: number;
  top: number;
  height: number;
  no: number;
  fill: string;
  ink: string;
  round?: number;
  chosen?: boolean;
  onPress?: () => void;
}

function Block({ scale, fromMs, toMs, top, height, no, fill, ink, round = 0, chosen, onPress }: BlockProps) {
  const p = usePalette();
  const width = scale.x(toMs) - scale.x(fromMs);
  return (
    <G {...(onPress ? { onPress } : {})}>
      <Rect
        x={scale.x(fromMs)}
        y={top}
        width={Math.max(1, width)}
        height={height}
        rx={round}
        fill={fill}
        stroke={p.ink}
        strokeWidth={chosen ? 3 : 1}
      />
      {width >= FIGURE_PX * String(no).length + 1 ? (
        <Text {...words} x={scale.x(fromMs) + width / 2} y={top + height / 2 + 4} fill={ink}>
          {no}
        </Text>
      ) : null}
    </G>
  );
}

const isOn =
  ({ fromMs, toMs }: Scale) =>
  (one: { fromMs: number; toMs: number }): boolean =>
    one.toMs > fromMs && one.fromMs < toMs;

interface TapeProps {
  plan: DayPlan;
  scale: Scale;
  chosen: number | null;
  onChoose: (work: number) => void;
}

/** What hands do, one after the other, each with the number of its piece. */
export function HandsTape({ plan, scale, chosen, onChoose }: TapeProps) {
  const p = usePalette();
  return (
    <Svg width={scale.widthPx} height={HANDS}>
      <Rect x={0} y={1} width={scale.widthPx} height={HANDS - 2} fill={p.shade} />
      {plan.hands.filter(isOn(scale)).map((one: HandsOn) => (
        <Block
          key={`${one.fromMs} ${one.what} ${one.work}`}
          {...{ scale, fromMs: one.fromMs, toMs: one.toMs, top: 2, height: HANDS - 4 }}
          no={plan.works[one.work]?.no ?? 0}
          {...handsColour(one.what, p)}
          chosen={one.work === chosen}
          onPress={() => onChoose(one.work)}
        />
      ))}
    </Svg>
  );
}

/** Which piece is in which hoop: a line for each hoop that is used on the day. */
export function HoopLines({
  plan,
  scale,
  lanes,
}: {
  plan: DayPlan;
  scale: Scale;
  lanes: readonly HoopLane[];
}) {
  const p = usePalette();
  return (
    <Svg width={scale.widthPx} height={lanes.length * HOOP}>
      {lanes.flatMap(({ on }, lane) =>
        on.map((one) => (
          <Block
            key={`${lane} ${one.fromMs}`}
            {...{ scale, fromMs: one.fromMs, toMs: one.toMs, top: lane * HOOP + 2, height: HOOP - 4 }}
            no={plan.works[one.work]?.no ?? 0}
            fill={p.panel}
            ink={p.ink}
            round={9}
          />
        )),
      )}
    </Svg>
  );
}

/** One hoop over a day. */
export interface HoopLane {
  hoop: string;
  on: HoopOn[];
}

/** The hoops that are used on a day, each with what is in it: of one kind as many lanes as are in use at once. */
export function hoopLanes(plan: DayPlan, scale: Scale): HoopLane[] {
  const lanes: HoopLane[] = [];
  for (const one of plan.hoops.filter(isOn(scale))) {
    const free = lanes.find(({ hoop, on }) => hoop === one.hoop && (on.at(-1)?.toMs ?? 0) <= one.fromMs);
    if (free) free.on.push(one);
    else lanes.push({ hoop: one.hoop, on: [one] });
  }
  return lanes;
}
