import { say } from '@zt/core/base/units/phrase';
import type { StitchStop } from '@zt/core/stages/stitch/planStitch';
import { lazy, Suspense } from 'react';
import { Pressable, View } from 'react-native';
import { oneDigit } from '../../components/figures';
import { Disclosures } from '../../components/ui/Disclosures';
import { LOADING } from '../../components/ui/NotYet';
import { NumberField } from '../../components/ui/NumberField';
import { Stack } from '../../components/ui/Stack';
import { Swatch } from '../../components/ui/Swatch';
import { Txt } from '../../components/ui/Txt';
import { Why } from '../../components/Why';
import { usePlan, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';
import { usePalette } from '../../theme/palette';
import { FieldFindings } from '../FieldFindings';
import { NeedleCare } from './NeedleCare';

/** Only where somebody stitches is it fetched. */
const Playback = lazy(() => import('./Playback').then((own) => ({ default: own.Playback })));
const TimeStrip = lazy(() => import('./TimeStrip').then((own) => ({ default: own.TimeStrip })));
const StitchFiles = lazy(() => import('./StitchFiles').then((own) => ({ default: own.StitchFiles })));
const BenchNeedles = lazy(() => import('./BenchNeedles').then((own) => ({ default: own.BenchNeedles })));
const HowStitched = lazy(() => import('./HowStitched').then((own) => ({ default: own.HowStitched })));

const MATCH_WORDS: Record<StitchStop['match'], string> = {
  same: 'on the shelf',
  close: 'close match',
  substitute: 'substitute',
  none: 'no thread on the shelf',
};

/** How the shelf's thread matches; one of the same name is another shade of it, not a substitute for itself. */
function matchWords({ match, name, thread }: StitchStop, wanted: string): string {
  if (match !== 'substitute') return MATCH_WORDS[match];
  const sameName = thread?.name.toLowerCase().includes(name.toLowerCase());
  return sameName ? 'another shade of it' : `${MATCH_WORDS.substitute} for ${name}, ${wanted}`;
}

function StopRow({
  stop,
  number,
  done,
  onNeedle,
  wanted,
  onPress,
}: {
  stop: StitchStop;
  number: number;
  done: boolean;
  /** On a machine of many needles: which one. */
  onNeedle: number | null;
  /** The kind of thread that the layers ask for. */
  wanted: string;
  onPress: () => void;
}) {
  const p = usePalette();
  return (
    <Pressable
      role="checkbox"
      aria-checked={done}
      aria-label={`Colour ${number}: ${stop.name}, ${oneDigit(stop.minutes)} minutes${done ? ', done' : ''}`}
      onPress={onPress}
      style={{
        flexDirection: 'row',
        gap: 12,
        alignItems: 'center',
        minHeight: 48,
        borderBottomWidth: 1,
        borderColor: p.hairline,
        backgroundColor: done ? p.shade : 'transparent',
        paddingHorizontal: 4,
      }}
    >
      <Swatch hex={stop.hex} />
      <Stack grow>
        <Txt as="strong">{`${number} ${stop.called}${done ? ' ✓' : ''}`}</Txt>
        <Txt
          as="small"
          tone="graphite"
        >{`${onNeedle === null ? '' : `needle ${onNeedle + 1} · `}${stop.stitches} stitches · ${oneDigit(stop.topM)} m · ${matchWords(stop, wanted)}`}</Txt>
      </Stack>
      <Txt as="figure">{`${oneDigit(stop.minutes)} min`}</Txt>
    </Pressable>
  );
}

/** Colours; with an appliqué, which takes several stops in one of them, stops. */
function stopsInWords(stops: readonly StitchStop[]): string {
  const what = stops.some(({ applique }) => applique) ? 'stop' : 'colour';
  return `${stops.length} ${stops.length === 1 ? what : `${what}s`}`;
}

/** As high as the controls of a stitch-out: while its stitches are made nothing below it moves under the finger. */
const PLAY_ROOM = 96;

/** Colour by colour: how long, how much thread, and whether the bobbin lasts. */
export function StitchPanel() {
  return (
    // At once or not yet: a part that came later would move the rows that are tapped.
    <Suspense fallback={<Txt as="small">{LOADING}</Txt>}>
      <Stitching />
    </Suspense>
  );
}

function Stitching() {
  const ticket = useTicket('stitch');
  const plan = usePlan('stitch', 'piece', 'place', 'mount', 'layers');
  const units = useUnits();
  const { change } = useTicketActs();
  const { stitch } = plan;
  if (!stitch) return null;
  const done = ticket.stitch.stopsDone;
  const { pieces } = plan.piece;
  const copies = plan.place?.copies.length ?? 1;
  const counted = [
    ...(pieces > 1 ? [`${pieces} pieces`] : []),
    ...(copies > 1 ? [`${copies} copies${pieces > 1 ? ' each' : ''}`] : []),
  ];
  const needles = plan.mount?.machine?.needles ?? 1;
  return (
    <Stack gap={12}>
      <View>
        <Txt
          as="heading"
          level={2}
        >{`${oneDigit(stitch.totalMinutes)} min in all, ${stopsInWords(stitch.stops)}${counted.map((words) => `, ${words}`).join('')}`}</Txt>
        <Txt testID="thread-sum">{`Top thread ${oneDigit(stitch.topM)} m · bobbin ${oneDigit(stitch.bobbinNeededM)} m needed, ${oneDigit(stitch.bobbinLeftM)} m left`}</Txt>
      </View>
      <Disclosures>
        <Why about="these figures" reasons={stitch.reasons} units={units} />
        <HowStitched />
        <StitchFiles />
      </Disclosures>
      <View style={{ minHeight: PLAY_ROOM }}>
        <Playback />
      </View>
      <View>
        {stitch.stops.map((stop, i) => (
          <StopRow
            key={i}
            stop={stop}
            number={i + 1}
            done={i < done}
            onNeedle={needles > 1 ? stop.needle : null}
            wanted={plan.layers?.parts.thread.choice.name ?? ''}
            onPress={() => change({ stage: 'stitch', set: { stopsDone: i < done ? i : i + 1 } })}
          />
        ))}
      </View>
      <TimeStrip />
      <FieldFindings field="bobbinLeftM" />
      <NumberField
        label="bobbin left, m (empty: as the last piece left it)"
        at="stitch.bobbinLeftM"
        value={ticket.stitch.bobbinLeftM}
        onNumber={(bobbinLeftM) => change({ stage: 'stitch', set: { bobbinLeftM } })}
      />
      {plan.mount?.machine ? <NeedleCare key={plan.mount.machine.id} machine={plan.mount.machine} /> : null}
      {plan.mount?.machine && needles > 1 ? <BenchNeedles machine={plan.mount.machine} /> : null}
      <Stack gap={2}>
        {stitch.acts.map((act) => (
          <Txt key={say(act, units)} as="small">
            {say(act, units)}
          </Txt>
        ))}
        <Txt as="small" tone="madder">
          Glasses on; hands away from the moving hoop; never reach in while it runs.
        </Txt>
      </Stack>
    </Stack>
  );
}
