import type { DisplayUnits } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import { clockDay, clockTime, isoOfMs } from '@zt/core/business/day/calendar';
import type { DayPlan } from '@zt/core/business/day/dayPlan';
import { sayHands } from '@zt/core/business/day/now';
import { Pressable, View } from 'react-native';
import { Disclosure } from '../components/ui/Disclosure';
import { Press } from '../components/ui/Press';
import { Row } from '../components/ui/Row';
import { Stack } from '../components/ui/Stack';
import { Txt } from '../components/ui/Txt';
import { handOver } from '../hooks/handOver';

interface DayStepsProps {
  plan: DayPlan;
  units: DisplayUnits;
  /** A step is tapped: its piece is the one that is spoken of. */
  onChoose: (work: number) => void;
}

function Step({ time, words, onPress }: { time: string; words: string; onPress: () => void }) {
  return (
    <Pressable
      role="button"
      aria-label={`${time} ${words}`}
      onPress={onPress}
      style={{ minHeight: 44, flexDirection: 'row', alignItems: 'center', gap: 10 }}
    >
      <View style={{ width: 46 }}>
        <Txt as="label">{time}</Txt>
      </View>
      <View style={{ flex: 1 }}>
        <Txt as="small">{words}</Txt>
      </View>
    </Pressable>
  );
}

/** The steps of hands by the clock, for those who read or listen, and as a calendar file. */
export function DaySteps({ plan, units, onChoose }: DayStepsProps) {
  const toCalendar = async () => {
    const { dayToIcs } = await import('@zt/core/business/day/toIcs');
    handOver(dayToIcs(plan, units), 'text/calendar', 'day.ics');
  };
  return (
    <Stack gap={8}>
      <Row wrap>
        <Press title="Calendar file" onPress={() => void toCalendar()} />
      </Row>
      <Disclosure title={`Step by step: ${plan.hands.length}`} label="Step by step">
        <Stack gap={4}>
          {plan.hands.map((one, i) => {
            const piece = plan.works[one.work];
            const before = plan.hands[i - 1];
            const isNewDay = !before || isoOfMs(before.fromMs, plan.zone) !== isoOfMs(one.fromMs, plan.zone);
            return piece ? (
              <Stack key={`${one.fromMs} ${one.what}`} gap={0}>
                {isNewDay ? <Txt as="strong">{clockDay(one.fromMs, plan.zone)}</Txt> : null}
                <Step
                  time={clockTime(one.fromMs, plan.zone)}
                  words={say(sayHands(one, piece), units)}
                  onPress={() => onChoose(one.work)}
                />
              </Stack>
            ) : null;
          })}
        </Stack>
      </Disclosure>
    </Stack>
  );
}
