import { say } from '@zt/core/base/units/phrase';
import { bobbinWords } from '@zt/core/stages/stitch/bobbinEnd';
import { minuteIn, type Stretch } from '@zt/core/stages/stitch/timeline';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import Svg, { Line, Path, Rect } from 'react-native-svg';
import { oneDigit } from '../../components/figures';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useUnits } from '../../hooks/useTicket';
import { goTo, usePlayhead } from '../../stitches/playhead';
import { usePalette } from '../../theme/palette';
import { type StitchOut, stopAt, useStitchOut } from './useStitchOut';

const HIGH = 34;

/** The minute at which a penetration is stitched: its share of what the machine works at its stop. */
function minuteAt({ answer, plan, firsts }: StitchOut, at: number): number {
  const stop = answer.stitches.stop[Math.min(answer.stitches.stop.length - 1, Math.floor(at))] ?? 0;
  const from = firsts[stop] ?? 0;
  const to = firsts[stop + 1] ?? answer.stitches.stop.length;
  return minuteIn(plan.timeline, stop, (at - from) / Math.max(1, to - from));
}

interface StripProps {
  stretches: readonly Stretch[];
  hexes: readonly string[];
  whole: number;
  /** Minutes at which the bobbin ends, and which is shown. */
  marks: { bobbin: number | null; here: number | null };
  width: number;
}

/** Colour after colour by its minutes; what hands do is hatched. */
function Strip({ stretches, hexes, whole, marks, width }: StripProps) {
  const p = usePalette();
  const px = (minute: number): number => (minute / Math.max(1e-6, whole)) * width;
  return (
    <Svg width={width} height={HIGH}>
      {stretches.map(({ stop, from, to, by }) => {
        const [x, w] = [px(from), Math.max(1, px(to) - px(from))];
        return by === 'machine' ? (
          <Rect
            key={`${stop} ${from}`}
            x={x}
            y={4}
            width={w}
            height={HIGH - 8}
            fill={hexes[stop] ?? p.ink}
            stroke={p.ink}
            strokeWidth={1}
          />
        ) : (
          <Path
            key={`${stop} ${from} hands`}
            d={Array.from(
              { length: Math.max(1, Math.floor(w / 5)) },
              (_, i) => `M${x + i * 5} ${HIGH - 4}l${Math.min(5, w)} ${8 - HIGH}`,
            ).join('')}
            stroke={p.ink}
            strokeWidth={1}
          />
        );
      })}
      {marks.bobbin === null ? null : (
        <Path
          d={`M${px(marks.bobbin)} 0l-6 10h12zM${px(marks.bobbin)} 8V${HIGH}`}
          stroke={p.madder}
          fill={p.madder}
          strokeWidth={2}
        />
      )}
      {marks.here === null ? null : (
        <Line x1={px(marks.here)} x2={px(marks.here)} y1={0} y2={HIGH} stroke={p.chalk} strokeWidth={3} />
      )}
    </Svg>
  );
}

/** Where the bobbin ends, and where it is better changed. */
function BobbinEnds({ out }: { out: StitchOut }) {
  const units = useUnits();
  const { bobbin, plan } = out;
  if (!bobbin) return null;
  const called = (stitch: number): string => plan.stops[stopAt(out, stitch + 1)]?.called ?? '';
  const words = bobbinWords(bobbin, { stitchings: plan.stitchings, called });
  return (
    <Stack gap={4}>
      <Txt as="small" testID="bobbin-ends">
        {say(words, units)}
      </Txt>
      <Press title="Show where it ends" onPress={() => goTo(bobbin.stitch + 1)} />
    </Stack>
  );
}

/** The stitch-out in minutes: colours, what hands do, where the bobbin ends; and when somebody must be there. */
export function TimeStrip() {
  const { stitch } = usePlan('stitch');
  const units = useUnits();
  const out = useStitchOut();
  const { at } = usePlayhead();
  const [width, setWidth] = useState(0);
  if (!stitch) return null;
  const { timeline } = stitch;
  const whole = timeline.machineMinutes + timeline.handsMinutes;
  const pressed = ({ nativeEvent: { locationX } }: { nativeEvent: { locationX: number } }) => {
    const minute = (locationX / Math.max(1, width)) * whole;
    const stretch = timeline.stretches.find(({ from, to }) => minute >= from && minute < to);
    if (out && stretch) goTo(out.firsts[stretch.stop] ?? 0);
  };
  return (
    <Stack gap={4}>
      <Txt as="small" testID="times">
        {`One design: machine ${oneDigit(timeline.machineMinutes)} min by itself, hands ${oneDigit(timeline.handsMinutes)} min`}
      </Txt>
      <Pressable
        role="img"
        aria-label={`Colours by their minutes, ${oneDigit(whole)} in all`}
        onPress={pressed}
        onLayout={({ nativeEvent: { layout } }) => setWidth(layout.width)}
      >
        {width > 0 ? (
          <Strip
            stretches={timeline.stretches}
            hexes={stitch.stops.map(({ hex, thread }) => thread?.hex ?? hex)}
            whole={whole}
            width={width}
            marks={{
              bobbin: out?.bobbin ? minuteAt(out, out.bobbin.stitch) : null,
              here: out ? minuteAt(out, Math.max(0, at - 1)) : null,
            }}
          />
        ) : null}
      </Pressable>
      {out ? <BobbinEnds out={out} /> : null}
      <Disclosure title="When somebody must be there">
        <View role="list">
          {timeline.presences.map(({ at: minute, what }) => (
            <View role="listitem" key={`${minute} ${say(what, units)}`}>
              <Txt as="small">{`${oneDigit(minute)} min: ${say(what, units)}`}</Txt>
            </View>
          ))}
        </View>
      </Disclosure>
    </Stack>
  );
}
