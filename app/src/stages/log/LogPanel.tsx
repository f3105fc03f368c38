import {
  BOBBINS,
  FAULTS,
  type FaultId,
  frozenPlan,
  type LogInput,
  NEEDLES,
  SEVERITY_WORDS,
  STABILIZERS,
  type Stage,
  TOPPERS,
} from '@zt/core';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { LengthField } from '../../components/ui/LengthField';
import { NumberField } from '../../components/ui/NumberField';
import { Press } from '../../components/ui/Press';
import { TextField } from '../../components/ui/TextField';
import { Txt } from '../../components/ui/Txt';
import { newId } from '../../hooks/newId';
import { useOpenTicket } from '../../hooks/useTicket';
import { useAddEntryMutation, useRemoveEntryMutation } from '../../services/api';
import { useAppSelector } from '../../store/store';
import { usePalette } from '../../theme/palette';

const METHODS = [
  { id: 'hooped', name: 'hooped' },
  { id: 'floated', name: 'floated' },
  { id: 'partly', name: 'partly' },
] as const;
const TIMED: readonly Stage[] = ['place', 'hoop', 'stitch', 'finish'];
const LEVELS = SEVERITY_WORDS.map((name, i) => ({ id: String(i), name: `${i}`, detail: name }));
const named = (choices: Record<string, { id: string; name: string }>) =>
  Object.values(choices).map(({ id, name }) => ({ id, name }));

/** What was really used; each starts as planned. */
function UsedFields() {
  const { ticket, plan, shelf, change } = useOpenTicket();
  const { hoop, layers } = plan;
  if (!hoop || !layers) return null;
  const { used } = ticket.log;
  const set = (next: Partial<LogInput['used']>) =>
    change({ stage: 'log', set: { used: { ...used, ...next } } });
  return (
    <View style={{ gap: 10 }}>
      <Choice
        label="Hooped or floated"
        small
        options={METHODS}
        chosen={used.method ?? hoop.method}
        onChoose={(method) => set({ method })}
      />
      <Choice
        label="Hoop"
        small
        options={shelf.hoops.map(({ id, name }) => ({ id, name }))}
        chosen={used.hoopId ?? hoop.laid?.verdict.hoop.id ?? null}
        onChoose={(hoopId) => set({ hoopId })}
      />
      <Choice
        label="Topper"
        small
        options={named(TOPPERS)}
        chosen={used.topper ?? layers.parts.topper.choice.id}
        onChoose={(topper) => set({ topper })}
      />
      <Choice
        label="Needle"
        small
        options={named(NEEDLES)}
        chosen={used.needle ?? layers.parts.needle.choice.id}
        onChoose={(needle) => set({ needle })}
      />
      <Choice
        label="Bobbin"
        small
        options={named(BOBBINS)}
        chosen={used.bobbin ?? layers.parts.bobbin.choice.id}
        onChoose={(bobbin) => set({ bobbin })}
      />
      <Choice
        label="Lowest sheet"
        small
        options={Object.values(STABILIZERS).map(({ id, name }) => ({ id, name }))}
        chosen={(used.sheets ?? layers.sheets).at(-1)?.stabilizer ?? null}
        onChoose={(stabilizer) => {
          const sheets = used.sheets ?? layers.sheets;
          const hold = sheets.at(-1)?.hold ?? 'hooped';
          set({ sheets: [...sheets.slice(0, -1), { stabilizer, hold }] });
        }}
      />
    </View>
  );
}

function FaultFields() {
  const { ticket, change } = useOpenTicket();
  const { faults } = ticket.log;
  const set = (id: FaultId, level: number) =>
    change({ stage: 'log', set: { faults: { ...faults, [id]: level } } });
  return (
    <View style={{ gap: 10 }}>
      {FAULTS.map((fault) => {
        const level = faults[fault.id] ?? 0;
        return (
          <View key={fault.id} style={{ gap: 4 }}>
            <Choice
              label={fault.name}
              small
              options={LEVELS}
              chosen={String(level)}
              onChoose={(id) => set(fault.id, Number(id))}
            />
            {level > 0 ? (
              <Txt as="small">{`Usually: ${fault.causes}. Next time: ${fault.nextTime}`}</Txt>
            ) : null}
          </View>
        );
      })}
    </View>
  );
}

/** The button that keeps it all, and the way back. */
function Keep() {
  const { ticket, plan, loggedAs } = useOpenTicket();
  const p = usePalette();
  const router = useRouter();
  const save = useAppSelector((state) => state.editor.save);
  const [add, adding] = useAddEntryMutation();
  const [takeBack] = useRemoveEntryMutation();
  if (loggedAs) {
    return (
      <View
        style={{ gap: 8, backgroundColor: p.shade, borderLeftWidth: 4, borderColor: p.moss, padding: 12 }}
      >
        <Txt as="strong" live>
          It is in the logbook, with the plan as it was.
        </Txt>
        <Press title="Open the entry" onPress={() => router.push(`/logbook/${loggedAs}`)} />
        <Press kind="link" title="Take it back out of the logbook" onPress={() => void takeBack(loggedAs)} />
      </View>
    );
  }
  const ready = plan.hoop !== null && (save === 'saved' || save === 'saving');
  return (
    <View style={{ gap: 6 }}>
      <Press
        kind="main"
        title="Put it in the logbook"
        disabled={!ready || adding.isLoading}
        onPress={() => void add({ id: newId(), ticket, plan: frozenPlan(plan), log: ticket.log })}
      />
      {plan.hoop === null ? (
        <Txt as="small" tone="madder">
          The plan is not complete yet: measure the piece first.
        </Txt>
      ) : null}
      {adding.isError ? (
        <Txt as="small" tone="madder" live>
          It was not logged. The ticket is safe; try again.
        </Txt>
      ) : null}
    </View>
  );
}

/** How it was really done and how it came out. */
export function LogPanel() {
  const { ticket, units, change } = useOpenTicket();
  const { log } = ticket;
  const set = (next: Partial<LogInput>, gesture: string) => change({ stage: 'log', set: next }, gesture);
  return (
    <View style={{ gap: 14 }}>
      <Txt as="heading" level={2}>
        How did it come out?
      </Txt>
      <LengthField
        label="off its place by"
        mm={log.misplacementMm}
        units={units}
        onLength={(mm) => set({ misplacementMm: mm }, 'misplacement')}
        onUnread={(text) => text.trim() === '' && set({ misplacementMm: null }, 'misplacement')}
        hint="Measured from the marks to the stitched centre."
      />
      <FaultFields />
      <Disclosure title="Used as planned? Change what differed">
        <UsedFields />
      </Disclosure>
      <Txt as="label" tone="graphite">
        Minutes
      </Txt>
      <View style={{ flexDirection: 'row', gap: 8 }}>
        {TIMED.map((stage) => (
          <NumberField
            key={stage}
            grow
            label={stage}
            value={log.minutes[stage] ?? null}
            most={10_000}
            onNumber={(value) =>
              set(
                {
                  minutes: Object.fromEntries(
                    Object.entries({ ...log.minutes, [stage]: value }).filter(([, v]) => v !== null),
                  ) as LogInput['minutes'],
                },
                `minutes ${stage}`,
              )
            }
          />
        ))}
      </View>
      <TextField label="Note" value={log.note} multiline onText={(note) => set({ note }, 'note')} />
      <TextField
        label="What to change next time"
        value={log.nextTime}
        onText={(nextTime) => set({ nextTime }, 'next time')}
      />
      <TextField label="Done by" value={log.by} onText={(by) => set({ by }, 'by')} />
      <Keep />
    </View>
  );
}
