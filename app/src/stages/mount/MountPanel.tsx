import { formatLength } from '@zt/core/base/units/length';
import { calledKeys, whatFollows } from '@zt/core/stages/mount/copyKeys';
import type { SideHold } from '@zt/core/stages/mount/holdDown';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { KeyRow } from '../../components/KeyRow';
import { TickList } from '../../components/TickList';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { Disclosures } from '../../components/ui/Disclosures';
import { Press } from '../../components/ui/Press';
import { Stack } from '../../components/ui/Stack';
import { Tick } from '../../components/ui/Tick';
import { Txt } from '../../components/ui/Txt';
import { Why } from '../../components/Why';
import { useIsExample } from '../../example/useExample';
import { usePlan, useShelf, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';
import { CrookedFields } from './CrookedFields';
import { DisplayPicture } from './DisplayPicture';
import { SampleFields } from './SampleFields';
import { TraceFields } from './TraceFields';
import { WayRoundChoice } from './WayRoundChoice';

const SIDE_NAMES: Record<SideHold['side'], string> = {
  left: 'left',
  right: 'right',
  back: 'far side',
  front: 'near side',
};

/** Where pins and clips may go on this hoop, round this design. */
function HoldDown({ sides }: { sides: readonly SideHold[] }) {
  const units = useUnits();
  const list = (may: (side: SideHold) => boolean) =>
    sides
      .filter(may)
      .map((s) => `${SIDE_NAMES[s.side]} (${formatLength(Math.max(0, s.roomMm), units)} free)`);
  const clips = sides.filter((s) => s.clip).map((s) => SIDE_NAMES[s.side]);
  const pins = list((s) => s.pin);
  return (
    <View>
      <Txt as="small" testID="pins">
        {pins.length > 0
          ? `Pins may lie along the ring, heads outwards: ${pins.join(', ')}.`
          : 'No room for pins inside this ring: tape or baste.'}
      </Txt>
      <Txt as="small" testID="clips">
        {clips.length > 0
          ? `Clips may sit on its outer edge: ${clips.join(', ')}; never on the bracket.`
          : 'No room for clips on this ring.'}
      </Txt>
    </View>
  );
}

/** Which way round it goes on the machine, what to key in, and the checks before the first stitch. */
export function MountPanel() {
  const ticket = useTicket('mount', 'id');
  const plan = usePlan('mount');
  const shelf = useShelf();
  const units = useUnits();
  const { change } = useTicketActs();
  const router = useRouter();
  const isExample = useIsExample();
  const { mount } = plan;
  if (!mount) return null;
  const { checked } = ticket.mount;
  return (
    <Stack gap={12}>
      <View>
        <Txt as="heading" level={2}>{`Top of the piece ${mount.chosen.topPoints}`}</Txt>
      </View>
      <KeyRow keys={mount.keys} order={mount.keyOrder} units={units} />
      <Txt
        as="heading"
        level={2}
      >{`Before the first stitch: ${mount.checklist.filter((c) => checked.includes(c.id)).length} of ${mount.checklist.length}`}</Txt>
      <TickList
        items={mount.checklist}
        done={checked}
        onDone={(next) => change({ stage: 'mount', set: { checked: next } })}
        units={units}
      />
      <Txt as="small" tone="graphite">
        Where the machine’s manual says otherwise, follow the manual.
      </Txt>
      <View>
        <Txt as="small" tone="graphite">
          {mount.machine
            ? `${mount.machine.name}: ${formatLength(mount.chosen.inThroatMm, units)} of cloth towards the body, throat ${formatLength(mount.machine.throatMm, units)}.`
            : 'No machine chosen.'}
        </Txt>
        <Disclosures>
          <Why
            about="this way round"
            reasons={mount.reasons.filter((r) => r.about !== 'crooked')}
            units={units}
          />
          <CrookedFields />
          <SampleFields />
        </Disclosures>
      </View>
      <TraceFields />
      {mount.copies.length > 0 ? (
        <Disclosure title={`Keys of ${whatFollows(mount.copies)}`}>
          {mount.copies.map(({ number, copy, part, hooping, hoopTurnDeg, keys, order }) => (
            <Stack key={number} gap={4}>
              <Txt as="label">{`Keys of ${calledKeys({ copy, part })}, hooping ${hooping}${hoopTurnDeg === 0 ? '' : `, the hoop turned ${hoopTurnDeg}° on the piece`}`}</Txt>
              <KeyRow keys={keys} order={order} units={units} />
            </Stack>
          ))}
        </Disclosure>
      ) : null}
      <DisplayPicture />
      <HoldDown sides={mount.trace.holdDown} />
      {mount.machine && !isExample ? (
        <Press
          title="Practise it on the stand-in machine"
          onPress={() => router.push(`/ticket/${ticket.id}/practice`)}
        />
      ) : null}
      <WayRoundChoice />
      {shelf.machines.length > 1 ? (
        <Choice
          label="Machine"
          small
          options={shelf.machines.map(({ id, name }) => ({ id, name }))}
          chosen={mount.machine?.id ?? null}
          onChoose={(machineId) => change({ stage: 'mount', set: { machineId } })}
        />
      ) : null}
      <Tick
        title="Mirror the design, so that a figure faces the other way"
        on={ticket.mount.mirror}
        onToggle={(mirror) => change({ stage: 'mount', set: { mirror } })}
      />
    </Stack>
  );
}
