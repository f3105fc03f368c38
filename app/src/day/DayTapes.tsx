import { clockDay, clockTime } from '@zt/core/business/day/calendar';
import { countPieces, type DayPlan } from '@zt/core/business/day/dayPlan';
import { pinnedAt, placeAt } from '@zt/core/business/day/pin';
import { ScrollView, View } from 'react-native';
import { Txt } from '../components/ui/Txt';
import { usePalette } from '../theme/palette';
import { HANDS, HandsTape, HOOP, HoopLines, HoursRuler, hoopLanes, RULER } from './HandsTape';
import { MACHINE, MachineTape } from './MachineTape';
import { type Scale, scaleOf } from './scale';

interface DayTapesProps {
  plan: DayPlan;
  open: DayPlan['open'];
  nowMs: number;
  pinned: readonly string[];
  chosen: number | null;
  onChoose: (work: number) => void;
  onPinned: (pinned: string[]) => void;
  hoopName: (id: string) => string;
}

const NAMES_PX = 84;

function NowLine({ scale, nowMs, height }: { scale: Scale; nowMs: number; height: number }) {
  const p = usePalette();
  if (nowMs < scale.fromMs || nowMs > scale.toMs) return null;
  return (
    <View
      pointerEvents="none"
      style={{
        position: 'absolute',
        left: scale.x(nowMs) - 1,
        top: 0,
        height,
        width: 2.5,
        backgroundColor: p.madder,
        zIndex: 2,
      }}
    />
  );
}

/** One day as tapes along its hours: hands, machines, and below them the hoops. */
export function DayTapes(props: DayTapesProps) {
  const { plan, open, nowMs, pinned, chosen, onChoose, onPinned, hoopName } = props;
  const p = usePalette();
  const last = plan.hands.filter(({ toMs }) => toMs <= (open.at(-1)?.toMs ?? 0)).at(-1)?.toMs ?? 0;
  const scale = scaleOf(
    open,
    Math.max(last, ...plan.hoops.map(({ toMs }) => toMs).filter((ms) => ms <= (open.at(-1)?.toMs ?? 0))),
  );
  const lanes = hoopLanes(plan, scale);
  const machines = plan.machines.filter(({ on }) =>
    on.some(({ fromMs, toMs }) => toMs > scale.fromMs && fromMs < scale.toMs),
  );
  const height = RULER + HANDS + machines.length * (MACHINE + 4) + lanes.length * HOOP + 8;
  const day = clockDay(scale.fromMs, plan.zone);
  const pieces = countPieces(plan, scale);
  return (
    <View style={{ gap: 4 }}>
      <Txt as="heading" level={2}>{`${day}: ${pieces} ${pieces === 1 ? 'piece' : 'pieces'} done`}</Txt>
      <View
        role="img"
        aria-label={`${day} from ${clockTime(scale.fromMs, plan.zone)} to ${clockTime(scale.toMs, plan.zone)}: hands, ${machines.map(({ name }) => name).join(', ')}, and ${lanes.length} hoops; step by step below`}
        style={{ flexDirection: 'row', borderWidth: 1.5, borderColor: p.ink, backgroundColor: p.panel }}
      >
        <View style={{ width: NAMES_PX, borderRightWidth: 1.5, borderColor: p.ink, paddingLeft: 6 }}>
          <View style={{ height: RULER }} />
          <Named height={HANDS + 2} name="Hands" />
          {machines.map(({ id, name }) => (
            <Named key={id} height={MACHINE + 4} name={name} />
          ))}
          {lanes.map(({ hoop }, i) => (
            <Named key={`${hoop} ${i}`} height={HOOP} name={hoopName(hoop)} small />
          ))}
        </View>
        <ScrollView horizontal tabIndex={0} style={{ flex: 1 }}>
          <View style={{ width: scale.widthPx + 12, height }}>
            <HoursRuler scale={scale} zone={plan.zone} />
            <HandsTape {...{ plan, scale, chosen, onChoose }} />
            <View style={{ height: 2 }} />
            {machines.map(({ id, on }) => (
              <View key={id} style={{ height: MACHINE + 4 }}>
                <MachineTape
                  {...{ plan, on, scale, pinned, chosen, onChoose }}
                  onDrop={(work, atMs) =>
                    onPinned(pinnedAt(plan, { work, at: placeAt(plan, { work, atMs }) }, pinned))
                  }
                />
              </View>
            ))}
            <HoopLines plan={plan} scale={scale} lanes={lanes} />
            <NowLine scale={scale} nowMs={nowMs} height={height} />
          </View>
        </ScrollView>
      </View>
    </View>
  );
}

function Named({ height, name, small = false }: { height: number; name: string; small?: boolean }) {
  return (
    <View style={{ height, justifyContent: 'center' }}>
      <Txt as={small ? 'small' : 'label'} lines={small ? 1 : 2}>
        {name}
      </Txt>
    </View>
  );
}
